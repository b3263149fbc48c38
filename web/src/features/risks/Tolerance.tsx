import type { SchemeView } from "../../shared/api/client";

interface Props {
  /** Where the grid begins, in pixels from the left. */
  left: number;
  scheme: SchemeView;
  levels: number;
  zero: number;
  row: number;
  column: number;
}

/** The line up to which risks are tolerated. */
export function Tolerance({ left, scheme, levels, zero, row, column }: Props) {
  const heights = scheme.tolerated.map((level) => zero - Math.min(level, levels) * row);
  const path = heights
    .map((at, c) => `${c === 0 ? "M" : "L"}${left + c * column} ${at}L${left + (c + 1) * column} ${at}`)
    .join("");
  const last = heights.at(-1) ?? zero;
  return (
    <g pointerEvents="none">
      <path d={path} fill="none" stroke="var(--chakra-colors-risk)" strokeWidth="2" strokeDasharray="5 4" />
      <text
        x={left + heights.length * column - 6}
        y={last - 6}
        textAnchor="end"
        fill="var(--chakra-colors-risk)"
      >
        tolerated up to here
      </text>
    </g>
  );
}
