import { describe, expect, it } from "vitest";
import type { PlanView } from "../api/client";
import { moveOf } from "./outline";
import { visibleRows } from "./rows";

const plan = {
  branches: [
    { id: "1", code: "1", name: "Site" },
    { id: "1.1", parent: "1", code: "1.1", name: "Road" },
    { id: "2", code: "2", name: "Enclosure" },
  ],
  activities: [
    { id: "A", wbs: "1", name: "Survey" },
    { id: "B", wbs: "1", name: "Permit" },
    { id: "C", wbs: "1", name: "Fence" },
    { id: "D", wbs: "1.1", name: "Cut the road" },
    { id: "E", wbs: "2", name: "Steel" },
  ],
} as unknown as PlanView;

describe("moving rows", () => {
  it("steps over the neighbour among activities of the branch", () => {
    expect(moveOf(plan, ["B"], "up")).toEqual({ rows: ["B"], into: "1", after: undefined });
    expect(moveOf(plan, ["C"], "up")).toEqual({ rows: ["C"], into: "1", after: "A" });
    expect(moveOf(plan, ["A", "B"], "down")).toEqual({ rows: ["A", "B"], into: "1", after: "C" });
    expect(moveOf(plan, ["A"], "up")).toBeUndefined();
    expect(moveOf(plan, ["C"], "down")).toBeUndefined();
  });

  it("goes into the branch beneath, and out to the one above", () => {
    expect(moveOf(plan, ["A"], "in")).toEqual({ rows: ["A"], into: "1.1", after: "D" });
    expect(moveOf(plan, ["D"], "out")).toEqual({ rows: ["D"], into: "1", after: "C" });
    expect(moveOf(plan, ["A"], "out")).toBeUndefined();
    expect(moveOf(plan, ["E"], "in")).toBeUndefined();
  });

  it("takes branches along with what lies in them", () => {
    expect(moveOf(plan, ["2"], "in")).toEqual({ rows: ["2"], into: "1", after: "1.1" });
    expect(moveOf(plan, ["1.1"], "out")).toEqual({ rows: ["1.1"], into: undefined, after: "1" });
    expect(moveOf(plan, ["2"], "up")).toEqual({ rows: ["2"], into: undefined, after: undefined });
    expect(moveOf(plan, ["1"], "in")).toBeUndefined();
  });
});

describe("rows that are looked for", () => {
  const ids = (rows: { id: string }[]) => rows.map((row) => row.id);

  it("stand under the branches above them, closed or not", () => {
    const sieve = { activity: (activity: { name: string }) => activity.name.includes("road") };
    expect(ids(visibleRows(plan, new Set(["1", "1.1"]), { sieve }))).toEqual(["1", "1.1", "D"]);
  });

  it("are all of a branch that is meant itself", () => {
    const sieve = { activity: () => false, branch: (branch: { name: string }) => branch.name === "Site" };
    expect(ids(visibleRows(plan, new Set(), { sieve }))).toEqual(["1", "A", "B", "C", "1.1", "D"]);
  });
});
