import { area as areaOf, line as lineOf } from "d3-shape";
import type { Plot } from "./plot";

interface Props {
  plot: Plot;
  /** Heights at even steps from one value to another, in the plot's heights. */
  heights: readonly number[];
  from: number;
  to: number;
  colour: string;
  /** Filled: what one looks at; dashed: what it is compared with; pale: one of several that might be. */
  look?: "filled" | "line" | "dashed" | "pale";
}

/** A density between two values. */
export function Density({ plot, heights, from, to, colour, look = "filled" }: Props) {
  const x = (_: number, i: number) => plot.x(from + ((to - from) * i) / (heights.length - 1));
  const outline = lineOf<number>()
    .x(x)
    .y((height) => plot.y(height));
  const filling = areaOf<number>()
    .x(x)
    .y0(plot.bottom)
    .y1((height) => plot.y(height));
  return (
    <g pointerEvents="none" data-density={look}>
      {look === "filled" && <path d={filling(heights) ?? undefined} fill={colour} fillOpacity="0.22" />}
      <path
        d={outline(heights) ?? undefined}
        fill="none"
        stroke={colour}
        strokeWidth={look === "line" ? 2 : 1.5}
        strokeOpacity={look === "pale" ? 0.22 : 1}
        strokeDasharray={look === "dashed" ? "4 3" : undefined}
      />
    </g>
  );
}
