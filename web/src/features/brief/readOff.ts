import type { BriefAxis } from "../../shared/api/client";

/** The value that is kept with a chance from 0 to 1. */
export function valueAt(axis: BriefAxis, chance: number): number {
  const last = axis.quantiles.length - 1;
  const place = Math.max(0, Math.min(1, chance)) * last;
  const below = Math.min(last - 1, Math.floor(place));
  const low = axis.quantiles[below] ?? 0;
  const high = axis.quantiles[below + 1] ?? low;
  return low + (place - below) * (high - low);
}

/** The chance with which a value is kept. */
export function chanceAt(axis: BriefAxis, value: number): number {
  const all = axis.quantiles;
  const last = all.length - 1;
  if (value < (all[0] ?? 0)) return 0;
  if (value >= (all[last] ?? 0)) return 1;
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((all[middle] ?? 0) <= value) low = middle;
    else high = middle;
  }
  const from = all[low] ?? 0;
  const width = (all[high] ?? 0) - from;
  return (low + (width > 0 ? (value - from) / width : 0)) / last;
}

/** Where a value stands in the drawing. */
export const xOf = (axis: BriefAxis, value: number) =>
  axis.left + ((value - axis.low) / (axis.high - axis.low)) * (axis.right - axis.left);

/** The value that stands somewhere in the drawing. */
export const valueOf = (axis: BriefAxis, x: number) =>
  axis.low +
  ((Math.max(axis.left, Math.min(axis.right, x)) - axis.left) / (axis.right - axis.left)) *
    (axis.high - axis.low);
