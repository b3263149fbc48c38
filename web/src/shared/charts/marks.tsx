/** What a mark stands for; each has a shape and a colour of its own, so that either alone tells it. */
export type MarkKind = "estimate" | "threat" | "opportunity" | "money";

interface MarkProps {
  kind: MarkKind;
  x: number;
  y: number;
  size?: number;
  /** Filled where it is as it is; hollow where it is only proposed, or as it would be. */
  hollow?: boolean;
}

export const MARK_COLOURS: Record<MarkKind, string> = {
  estimate: "var(--chakra-colors-action)",
  threat: "var(--chakra-colors-risk)",
  opportunity: "var(--chakra-colors-action)",
  money: "var(--chakra-colors-soft-ink)",
};

/** A disc for an estimate, a wedge that points down for a threat and up for an opportunity, a square for money. */
export function Mark({ kind, x, y, size = 5, hollow = false }: MarkProps) {
  const look = {
    fill: hollow ? "var(--chakra-colors-ground)" : MARK_COLOURS[kind],
    stroke: MARK_COLOURS[kind],
    strokeWidth: 1.5,
  };
  switch (kind) {
    case "estimate":
      return <circle cx={x} cy={y} r={size} {...look} />;
    case "threat":
      return <path d={`M${x - size} ${y - size * 0.8}h${2 * size}L${x} ${y + size}Z`} {...look} />;
    case "opportunity":
      return <path d={`M${x - size} ${y + size * 0.8}h${2 * size}L${x} ${y - size}Z`} {...look} />;
    case "money":
      return <rect x={x - size * 0.9} y={y - size * 0.9} width={1.8 * size} height={1.8 * size} {...look} />;
  }
}

/** A pin at a planned value: a line from its head down to the foot. */
export function Pin({ x, top, bottom, size = 5 }: { x: number; top: number; bottom: number; size?: number }) {
  return (
    <g stroke="var(--chakra-colors-plan)" fill="var(--chakra-colors-plan)">
      <line x1={x} x2={x} y1={top + 2} y2={bottom} strokeWidth="2" />
      <circle cx={x} cy={top} r={size} stroke="none" />
    </g>
  );
}

/** A flag at a promised value. */
export function Flag({
  x,
  top,
  bottom,
  dashed,
}: {
  x: number;
  top: number;
  bottom: number;
  dashed?: boolean;
}) {
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={top}
        y2={bottom}
        stroke="var(--chakra-colors-ink)"
        strokeWidth="1.4"
        strokeDasharray={dashed ? "3 3" : undefined}
      />
      <path d={`M${x} ${top}h12l-3 5 3 5h-12Z`} fill="var(--chakra-colors-ink)" />
    </g>
  );
}
