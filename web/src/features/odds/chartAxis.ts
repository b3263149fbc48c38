import { DAY_MS } from "../../shared/format/dates";
import type { Quantity } from "./quantity";
import { isDate } from "./subject";

export const GRID = { left: 28, right: 92, top: 34, bottom: 58 };
const MARGIN = 0.03;
/** What is taken for a range where there is a single date. */
const ALONE_MS = 100 * DAY_MS;

/** Where values and chances lie in a chart of a given size; the drawing and what lies over it agree on it. */
export interface Axis {
  min: number;
  max: number;
  x: (value: number) => number;
  /** Chance 0 to 1. */
  y: (chance: number) => number;
  value: (x: number) => number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** An axis on which all values, the marks and what it is compared with have room. */
export function chartAxis(quantity: Quantity, width: number, height: number, beside?: Quantity): Axis {
  const marks = [
    quantity.plan.value,
    quantity.target?.value ?? quantity.plan.value,
    ...(beside ? [beside.min, beside.max] : []),
  ];
  const low = Math.min(quantity.edges[0] ?? quantity.min, ...marks);
  const high = Math.max(quantity.edges.at(-1) ?? quantity.max, ...marks);
  const alone = isDate(quantity.name) ? ALONE_MS : Math.abs(low) || 1;
  const margin = (high - low || alone) * MARGIN;
  const [min, max] = [low - margin, high + margin];
  const [left, right, top, bottom] = [GRID.left, width - GRID.right, GRID.top, height - GRID.bottom];
  return {
    min,
    max,
    left,
    right,
    top,
    bottom,
    x: (value) => left + ((value - min) / (max - min)) * (right - left),
    y: (chance) => bottom - chance * (bottom - top),
    value: (x) => min + ((x - left) / (right - left)) * (max - min),
  };
}
