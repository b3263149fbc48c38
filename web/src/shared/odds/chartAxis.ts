import { type Plot, plotOf } from "../charts/plot";
import { DAY_MS } from "../format/dates";
import type { Quantity } from "./quantity";
import { isDate } from "./subject";

const GRID = { left: 28, right: 92, top: 34, bottom: 58 };
const MARGIN = 0.03;
/** What is taken for a range where there is a single date. */
const ALONE_MS = 100 * DAY_MS;

/** Where values and chances, 0 to 1, lie in the chart. */
export type Axis = Plot;

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
  return plotOf({ min: low - margin, max: high + margin }, width, height, GRID);
}
