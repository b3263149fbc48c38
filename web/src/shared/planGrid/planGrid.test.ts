import { describe, expect, it } from "vitest";
import type { ActivityView, PlanView } from "../api/client";
import { rangeColumns } from "../../features/ranges/rangeColumns";
import { blockOf, copyText, fillEdits, parseBlock } from "../grid/block";
import { bound } from "./columns";
import { type Row, visibleRows } from "./rows";

const COLUMNS = rangeColumns([], "units").map(bound);

function activity(id: string, wbs: string): ActivityView {
  return {
    id,
    wbs,
    name: `Activity ${id}`,
    kind: "task",
    duration: "10d",
    calendar: "std",
    start: "2027-03-01T08:00:00",
    finish: "2027-03-12T17:00:00",
    totalFloatDays: 0,
    freeFloatDays: 0,
    onLongestPath: true,
    watch: false,
    combineRisks: "add",
    lateStart: "2027-03-01T08:00:00",
    lateFinish: "2027-03-12T17:00:00",
    range: {
      shape: "triangular",
      limits: true,
      planned: 10,
      low: 8,
      likely: 10,
      high: 15,
      mean: 11,
      sd: 1.5,
      plannedChance: 0.3,
      density: [0, 100, 0],
    },
  };
}

const plan = {
  branches: [
    { id: "W", code: "1", name: "Site" },
    { id: "W2", parent: "W", code: "1.1", name: "Road" },
  ],
  activities: [activity("B", "W2"), activity("A", "W")],
} as unknown as PlanView;

const rows: Row[] = visibleRows(plan, new Set());
const place = (row: string, column: string) => ({ row, column });

describe("the rows of a plan", () => {
  it("stand under their branches, own activities first", () => {
    expect(rows.map((row) => `${row.depth} ${row.id}`)).toEqual(["0 W", "1 A", "1 W2", "2 B"]);
  });

  it("of a closed branch are not shown", () => {
    expect(visibleRows(plan, new Set(["W2"])).map((row) => row.id)).toEqual(["W", "A", "W2"]);
  });
});

describe("a block of cells", () => {
  const block = blockOf(rows, COLUMNS, place("B", "high"), place("A", "low"));

  it("spans from one corner to the other, whichever came first", () => {
    expect(block).toEqual({ top: 1, bottom: 3, left: 5, right: 7 });
  });

  it("is copied as a spreadsheet would", () => {
    expect(block && copyText(rows, COLUMNS, block)).toBe("8\t10\t15\n\t\t\n8\t10\t15");
  });

  it("is filled with one edit an activity, branches passed over", () => {
    const cells = parseBlock("7\t9\t20\r\nignored\n6\t8\t30\n");
    const edits = block && fillEdits(rows, COLUMNS, block, (r, c) => cells[r]?.[c]);
    expect(edits).toEqual([
      { id: "A", estimate: { shape: "triangular", low: 7, likely: 9, high: 20, basis: "days" } },
      { id: "B", estimate: { shape: "triangular", low: 6, likely: 8, high: 30, basis: "days" } },
    ]);
  });

  it("is refused as a whole when one text is no number", () => {
    const edits = block && fillEdits(rows, COLUMNS, block, () => "x");
    expect(edits).toEqual({ refusal: "A, Low: A number is needed, days, such as 12.5, not “x”." });
  });
});
