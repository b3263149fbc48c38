const QUIET = 4;

/** A picture made of dark squares, which apps read off the screen; a line of 0 and 1 for each row. */
export function Modules({ rows, label }: { rows: string; label: string }) {
  const lines = rows.trim().split("\n");
  const size = lines.length + 2 * QUIET;
  const dark = lines.flatMap((line, y) =>
    [...line].flatMap((one, x) => (one === "1" ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])),
  );
  return (
    <svg
      role="img"
      aria-label={label}
      width="200"
      height="200"
      viewBox={`0 0 ${size} ${size}`}
      shapeRendering="crispEdges"
    >
      {/* Dark on light in every scheme: cameras expect it. */}
      <rect width={size} height={size} fill="white" />
      <path d={dark.join("")} fill="black" />
    </svg>
  );
}
