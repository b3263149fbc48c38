import { describe, expect, it } from "vitest";
import { ApiError, type EditResult, type PlanView } from "./client";
import { merged, refusalOf } from "./edits";

const plan = {
  project: { id: "p", revision: 1, name: "Old" },
  finish: "2027-06-01T17:00:00",
  plannedCost: 1,
  branches: [{ id: "W" }],
  activities: [{ id: "A" }, { id: "B" }, { id: "C" }],
  links: [
    { from: "A", to: "B", type: "FS", lag: "0d" },
    { from: "B", to: "C", type: "FS", lag: "0d" },
  ],
  calendars: [{ id: "std" }],
} as unknown as PlanView;

const result = {
  revision: 2,
  project: { id: "p", revision: 2, name: "New" },
  finish: "2027-07-01T17:00:00",
  plannedCost: 2,
  branches: [{ id: "W" }],
  activities: [{ id: "N" }, { id: "C", name: "changed" }],
  order: ["A", "N", "C"],
  predecessors: { B: [], C: [{ from: "N", to: "C", type: "SS", lag: "1d" }] },
  gone: [],
  undoing: {},
} as unknown as EditResult;

describe("a plan after an edit", () => {
  it("has the rows in their new order, and no links of rows that are gone", () => {
    const after = merged(plan, result);
    expect(after.activities).toEqual([{ id: "A" }, { id: "N" }, { id: "C", name: "changed" }]);
    expect(after.links.map((link) => `${link.from}>${link.to}`)).toEqual(["N>C"]);
    expect(after.project).toMatchObject({ revision: 2, name: "New" });
    expect(after.calendars).toEqual(plan.calendars);
  });

  it("keeps its order where no row came, went or moved", () => {
    const after = merged(plan, { ...result, order: undefined, activities: [] });
    expect(after.activities).toEqual(plan.activities);
  });
});

describe("a refusal", () => {
  it("is the first problem as a sentence", () => {
    const error = new ApiError(422, "all of it", [{ pointer: "/0/name", message: "the name is empty" }]);
    expect(refusalOf(error)).toBe("The name is empty.");
    expect(refusalOf(new ApiError(409, "Look again.", []))).toBe("Look again.");
    expect(refusalOf(new Error("x"))).toBe("The edit could not be sent.");
  });
});
