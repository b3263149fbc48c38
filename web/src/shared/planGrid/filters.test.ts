import { describe, expect, it } from "vitest";
import type { ActivityView, PlanView } from "../api/client";
import { FILTERS, sieveOf } from "./filters";

const activity = (id: string, more: object = {}) =>
  ({
    id,
    name: `Activity ${id}`,
    kind: "task",
    onLongestPath: false,
    totalFloatDays: 20,
    range: { shape: "pert" },
    ...more,
  }) as ActivityView;

const plan = {
  activities: [
    activity("A", { onLongestPath: true, totalFloatDays: 0 }),
    activity("B", { range: { shape: "certain" }, constraint: { type: "startOn", date: "2027-03-01T08:00" } }),
    activity("C", { kind: "milestone", actualStart: "2027-03-01T08:00", actualFinish: "2027-03-01T08:00" }),
  ],
  links: [{ from: "A", to: "B", type: "FS", lag: "0d" }],
} as unknown as PlanView;

const found = (search: { text: string; filter?: string }) => {
  const sieve = sieveOf(plan, search);
  return plan.activities.filter((one) => sieve?.activity(one) ?? true).map((one) => one.id);
};

describe("looking for rows", () => {
  it("shows all where nothing is looked for", () => {
    expect(sieveOf(plan, { text: " " })).toBeUndefined();
  });

  it("finds by code and name, and within a filter", () => {
    expect(found({ text: "activity b" })).toEqual(["B"]);
    expect(found({ text: "a", filter: "longest" })).toEqual(["A"]);
  });

  it.each([
    ["longest", ["A"]],
    ["float", ["A"]],
    ["certain", ["B"]],
    ["noPredecessor", ["A", "C"]],
    ["noSuccessor", ["B", "C"]],
    ["held", ["B"]],
    ["milestones", ["C"]],
    ["underWay", []],
    ["ahead", ["A", "B"]],
  ])("filters by %s", (filter, expected) => {
    expect(FILTERS.map((one) => one.value)).toContain(filter);
    expect(found({ text: "", filter })).toEqual(expected);
  });

  it("shows rows that were named one by one", () => {
    const sieve = sieveOf(plan, { text: "", rows: { title: "Leads", ids: new Set(["C"]) } });
    expect(plan.activities.filter((one) => sieve?.activity(one)).map((one) => one.id)).toEqual(["C"]);
  });
});
