import { scaleLinear } from "d3-scale";

/** Where a drawing leaves room for what stands around it, in pixels. */
export interface Margins {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Where values lie in a drawing of a given size; all that is drawn over each other agrees on it. */
export interface Plot extends Margins {
  min: number;
  max: number;
  /** Pixels from the left of a value, and back. */
  x: (value: number) => number;
  value: (x: number) => number;
  /** Pixels from the top of a height, and back; heights go from low to high. */
  y: (height: number) => number;
  height: (y: number) => number;
}

interface Ends {
  min: number;
  max: number;
  /** Ends of the heights; 0 and 1 for chances. */
  low?: number;
  high?: number;
}

/** A plot of a width and a height; left, right, top and bottom of it are where the drawing itself begins and ends. */
export function plotOf(ends: Ends, width: number, height: number, margins: Margins): Plot {
  const [left, right, top, bottom] = [
    margins.left,
    width - margins.right,
    margins.top,
    height - margins.bottom,
  ];
  const across = scaleLinear([ends.min, ends.max], [left, right]);
  const up = scaleLinear([ends.low ?? 0, ends.high ?? 1], [bottom, top]);
  return {
    min: ends.min,
    max: ends.max,
    left,
    right,
    top,
    bottom,
    x: (value) => across(value),
    value: (x) => across.invert(x),
    y: (at) => up(at),
    height: (y) => up.invert(y),
  };
}
