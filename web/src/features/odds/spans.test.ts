import { describe, expect, it } from "vitest";
import type { PlanView } from "../../shared/api/client";
import { closedBelow, depthOf } from "./LevelChoice";
import { spanColumns, spanSentence } from "./spanColumns";

const DAY = 1440;
const day = (iso: string) => Date.parse(`${iso}T00:00Z`) / 60_000;
const finish = day("2028-03-01");
const simulated = {
  levels: [10, 50, 80, 90],
  level: 80,
  stale: false,
  spans: new Map([
    [
      "A",
      {
        id: "A",
        criticality: 0.65,
        start: ["2027-11-01", "2027-12-01", "2027-12-20", "2028-01-10"].map(day),
        finish: [finish, finish + 10 * DAY, finish + 20 * DAY, finish + 30 * DAY],
      },
    ],
    [
      "M",
      {
        id: "M",
        criticality: 0,
        start: [finish, finish, finish, finish],
        finish: [finish, finish, finish, finish],
      },
    ],
  ]),
};
const plan = {
  branches: [
    { id: "W", name: "All" },
    { id: "W1", name: "First", parent: "W" },
    { id: "W11", name: "Deep", parent: "W1" },
  ],
  activities: [
    { id: "A", name: "Dig", wbs: "W1" },
    { id: "M", name: "Gate", wbs: "W1" },
  ],
} as PlanView;

describe("the plan as it may turn out", () => {
  it("tells start and finish of a row with their ranges, and whether it drives", () => {
    expect(spanSentence(plan, simulated, "A")).toBe(
      "Dig starts about 1 Dec 2027 (P10 1 Nov 2027, P90 10 Jan 2028) and finishes about 11 Mar 2028 (P10 1 Mar, P80 21 Mar, P90 31 Mar 2028). It drives the finish in 65 of 100 futures.",
    );
    expect(spanSentence(plan, simulated, "M")).toBe(
      "Gate starts on 1 Mar 2028 and finishes on 1 Mar 2028. It never drives the finish.",
    );
    expect(spanSentence(plan, simulated, "W")).toBeUndefined();
  });

  it("has a column for the middle and for the level that matters", () => {
    expect(spanColumns({ ...simulated, level: 90 }).map((column) => column.title)).toEqual([
      "Code",
      "Activity",
      "P50",
      "P90",
      "Drives",
    ]);
  });

  it("has one column where the middle is what matters", () => {
    const ids = spanColumns({ ...simulated, level: 50 }).map((column) => column.id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it("is shown down to a level of the work breakdown by closing what lies on it", () => {
    expect(depthOf(plan)).toBe(3);
    expect(closedBelow(plan, 1)).toEqual(["W", "W1", "W11"]);
    expect(closedBelow(plan, 2)).toEqual(["W1", "W11"]);
    expect(closedBelow(plan, undefined)).toEqual([]);
  });
});
