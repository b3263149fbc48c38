import type { BriefAxis, BriefDrawing, FutureView, PlanView } from "../../shared/api/client";
import { civil } from "../../shared/format/dates";

const MINUTE_MS = 60_000;

/** A row of a drawing in one future: where it stands, and when its work begins and ends. */
export interface Played {
  id: string;
  y: number;
  start: number;
  finish: number;
}

/** The rows of a drawing as one future has them, in milliseconds of civil time. */
export function played(plan: PlanView, drawing: BriefDrawing, future: FutureView): Played[] {
  const above = new Map(plan.branches.map((branch) => [branch.id, branch.parent]));
  const branchOf = new Map(plan.activities.map((activity) => [activity.id, activity.wbs]));
  const rows = new Map(
    drawing.spots.map(({ id, y }) => [
      id,
      { id, y, start: Number.POSITIVE_INFINITY, finish: Number.NEGATIVE_INFINITY },
    ]),
  );
  for (const work of future.rows) {
    if (work.kind === "hammock") continue;
    let branch: string | undefined = branchOf.get(work.id);
    while (branch !== undefined) {
      const row = rows.get(branch);
      if (row) {
        row.start = Math.min(row.start, civil(work.start));
        row.finish = Math.max(row.finish, civil(work.finish));
      }
      branch = above.get(branch);
    }
  }
  return [...rows.values()].filter((row) => row.finish >= row.start);
}

/** Where a time stands on an axis of dates. */
export const placeOf = (axis: BriefAxis, time: number) =>
  axis.left + ((time / MINUTE_MS - axis.low) / (axis.high - axis.low)) * (axis.right - axis.left);

/** The time that stands at a share of the axis, 0 to 1. */
export const timeAt = (axis: BriefAxis, share: number) =>
  (axis.low + share * (axis.high - axis.low)) * MINUTE_MS;
