import type { SchedulePreview } from "../api/client";
import { DAY_MS, formatDay } from "../format/dates";
import { formatWhole } from "../format/numbers";

/** What a column of a schedule can say. */
export const MEANINGS = [
  { value: "id", label: "Id" },
  { value: "name", label: "Name" },
  { value: "wbs", label: "WBS" },
  { value: "kind", label: "Kind" },
  { value: "duration", label: "Duration" },
  { value: "predecessors", label: "Predecessors" },
  { value: "calendar", label: "Calendar" },
  { value: "low", label: "Low" },
  { value: "likely", label: "Likely" },
  { value: "high", label: "High" },
  { value: "shape", label: "Shape" },
  { value: "level", label: "Level" },
  { value: "start", label: "Start" },
  { value: "finish", label: "Finish" },
  { value: "actual start", label: "Actual start" },
  { value: "actual finish", label: "Actual finish" },
  { value: "remaining", label: "Remaining" },
  { value: "constraint", label: "Constraint" },
  { value: "constraint date", label: "Constraint date" },
  { value: "notes", label: "Notes" },
] as const;

/** A number with the word for one, or for many. */
export const counted = (count: number, one: string, many: string) =>
  `${formatWhole(count)} ${count === 1 ? one : many}`;

/** What would come of a table, in a sentence. */
export function previewSentence(preview: SchedulePreview): string {
  if (preview.problemCount > 0) {
    const rows = counted(preview.rows, "row", "rows");
    return `${counted(preview.problemCount, "problem", "problems")} in ${rows}. Nothing is kept until there are none.`;
  }
  const parts = [
    counted(preview.activities, "activity", "activities"),
    counted(preview.links, "link", "links"),
    `${formatWhole(preview.ranges)} with a range`,
  ].join(", ");
  return preview.finish ? `${parts}. The plan would finish on ${formatDay(preview.finish)}.` : `${parts}.`;
}

/** How the calculated dates agree with the table's own, in a sentence. */
export function fidelitySentence(preview: SchedulePreview): string {
  if (preview.compared === 0) return "The table has no dates of its own to compare ours with.";
  if (preview.differenceCount === 0)
    return `All ${formatWhole(preview.compared)} dates come out as in the table.`;
  const causes = preview.differences.filter((one) => one.cause).length;
  const same = formatWhole(preview.compared - preview.differenceCount);
  return `${same} of ${formatWhole(preview.compared)} dates come out as in the table; ${formatWhole(
    preview.differenceCount,
  )} differ, beginning at ${counted(causes, "activity", "activities")}.`;
}

/** The Monday after a day, as 2027-03-01. */
export function nextMonday(today: Date): string {
  const days = ((8 - today.getDay()) % 7) + (today.getDay() === 1 ? 7 : 0);
  const monday = Date.UTC(today.getFullYear(), today.getMonth(), today.getDate()) + days * DAY_MS;
  return new Date(monday).toISOString().slice(0, 10);
}
