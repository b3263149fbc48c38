import type { Standing } from "../../shared/api/client";
import { civil, DAY_MS, formatMonthYear } from "../../shared/format/dates";
import type { SteeringRow } from "./steering";

/** What the drawings of all lines have in common, so that they can be compared. */
export interface Axis {
  from: number;
  to: number;
}

/**
 * From the first to the last that any row shows, with some room.
 *
 * @param open rows that show their milestones too
 */
export function finishAxis(rows: readonly SteeringRow[], open: ReadonlySet<string> = new Set()): Axis {
  const all = rows
    .flatMap(({ key, standing }) =>
      standing
        ? [standing.finish, ...(open.has(key) ? standing.milestones.map((one) => one.finish) : [])]
        : [],
    )
    .flatMap(({ plan, target, tenths }) => [plan, ...(target ? [target] : []), ...tenths])
    .map((one) => civil(one));
  if (all.length === 0) return { from: 0, to: 1 };
  const from = Math.min(...all);
  const to = Math.max(...all);
  const room = Math.max(20 * DAY_MS, (to - from) * 0.04);
  return { from: from - room, to: to + room };
}

/** Where the axis is marked: years, or quarters where it spans but a few. */
export function ticks({ from, to }: Axis): { at: number; label: string }[] {
  const months = to - from > 3.2 * 365 * DAY_MS ? 12 : to - from > 1.6 * 365 * DAY_MS ? 6 : 3;
  const first = new Date(from);
  const marks: { at: number; label: string }[] = [];
  for (let month = 0; ; month += months) {
    const at = Date.UTC(first.getUTCFullYear(), month, 1);
    if (at >= to) return marks;
    if (at > from)
      marks.push({ at, label: months === 12 ? String(new Date(at).getUTCFullYear()) : formatMonthYear(at) });
  }
}

/** What each amount is of the budget, or of the plan where there is none. */
export const costBase = ({ cost }: Standing) => (cost ? (cost.target ?? cost.plan) : 0);

/** The share of the budget that the narrowest axis for all rows begins and ends with. */
export function costAxis(rows: readonly SteeringRow[]): Axis {
  const shares = rows.flatMap(({ standing }) => {
    const base = standing ? costBase(standing) : 0;
    return standing?.cost && base > 0 ? standing.cost.tenths.map((one) => one / base) : [];
  });
  return { from: Math.min(0.9, ...shares) - 0.03, to: Math.max(1.1, ...shares) + 0.03 };
}
