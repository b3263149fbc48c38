import type { EditResult, PlanView, RowEdit } from "../api/client";
import type { RowEdits } from "../api/rowEdits";
import { formatDays } from "../format/numbers";
import { notify } from "../ui/notify";
import { withBasis } from "./draft";

/** A range of an activity's own that counts in time, and was made for another duration than it has now. */
interface Outgrown {
  id: string;
  was: number;
  now: number;
}

/** Ranges that an edit of durations has left as they were. */
export function outgrown(before: PlanView, result: EditResult): Outgrown[] {
  const known = new Map(before.activities.map((activity) => [activity.id, activity]));
  return result.activities.flatMap((activity) => {
    const old = known.get(activity.id);
    const inTime = activity.estimate?.basis === "days" || activity.estimate?.basis === "hours";
    const same = JSON.stringify(old?.estimate) === JSON.stringify(activity.estimate);
    if (!old || !inTime || !same || old.duration === activity.duration) return [];
    const [was, now] = [old.range.planned, activity.range.planned];
    return was > 0 && now > 0 && was !== now ? [{ id: activity.id, was, now }] : [];
  });
}

/** The edits that scale such ranges as their durations were. */
export function scaledAlong(result: EditResult, rows: Outgrown[]): RowEdit[] {
  const changed = new Map(result.activities.map((activity) => [activity.id, activity]));
  return rows.flatMap(({ id, was, now }) => {
    const estimate = changed.get(id)?.estimate;
    return estimate ? [{ id, estimate: withBasis(estimate, estimate.basis ?? "days", now, was) }] : [];
  });
}

/** Says at once that a range was made for another duration, and offers to scale it along or to leave it. */
export function offerToScale(before: PlanView, result: EditResult, edits: RowEdits) {
  const rows = outgrown(before, result);
  const [first] = rows;
  if (!first) return;
  notify(
    rows.length === 1
      ? `The range of ${first.id} was made for ${formatDays(first.was)} days; the duration is ${formatDays(first.now)} now.`
      : `The ranges of ${rows.length} activities were made for other durations than they have now.`,
    {
      label: rows.length === 1 ? "Scale it along" : "Scale them along",
      key: "s",
      run: () =>
        void edits.rows(scaledAlong(result, rows)).catch(() => notify("The ranges could not be scaled.")),
    },
    { label: rows.length === 1 ? "Leave it" : "Leave them", key: "l", run: () => undefined },
  );
}
