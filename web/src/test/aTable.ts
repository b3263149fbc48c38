import type { SchedulePreview } from "../shared/api/client";

/** What comes of a schedule's table, for tests: two columns, two rows, nothing wrong. */
export const aTable = (more: Partial<SchedulePreview> = {}): SchedulePreview => ({
  columns: [
    { header: "ID", meaning: "code" },
    { header: "Days", meaning: "duration" },
  ],
  sample: [
    { row: 2, cells: ["A10", "5"] },
    { row: 3, cells: ["A20", "8"] },
  ],
  rows: 2,
  problems: [],
  problemCount: 0,
  notes: [],
  activities: 2,
  links: 1,
  ranges: 0,
  compared: 0,
  differences: [],
  differenceCount: 0,
  ...more,
});

/** The same with a cell that cannot be understood. */
export const A_FAULTY_TABLE = aTable({
  sample: [{ row: 2, cells: ["A10", "soon"] }],
  problems: [{ row: 2, column: "Days", message: "“soon” is no duration" }],
  problemCount: 1,
});
