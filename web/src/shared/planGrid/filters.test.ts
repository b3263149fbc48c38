import { describe, expect, it } from "vitest";
import type { ActivityView, PlanView } from "../api/client";
import { FILTERS, filtersOf, FIRST_OF_A_PROGRAMME, isAcross, sieveOf } from "./filters";
import { withFirst } from "../grid/gridStore";

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
  project: { programme: false },
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

  it("shows milestones of a programme and the work that waits for another project", () => {
    const programme = {
      ...plan,
      project: { programme: true },
      activities: ["KR:A", "KR:B", "VC:A", "VC:B"]
        .map((id) => activity(id))
        .concat(activity("VC:M", { kind: "milestone" })),
      links: [
        { from: "KR:A", to: "VC:B", type: "FS", lag: "0d" },
        { from: "KR:A", to: "KR:B", type: "FS", lag: "0d" },
      ],
    } as unknown as PlanView;
    expect(filtersOf(programme)).toHaveLength(FILTERS.length + 1);
    expect(filtersOf(plan)).toHaveLength(FILTERS.length);
    expect(programme.links.filter(isAcross)).toHaveLength(1);
    const shown = (search: Parameters<typeof withFirst>[0]) => {
      const sieve = sieveOf(programme, withFirst(search, FIRST_OF_A_PROGRAMME));
      return programme.activities.filter((one) => sieve?.activity(one) ?? true).map((one) => one.id);
    };
    expect(shown({ text: "" })).toEqual(["KR:A", "VC:B", "VC:M"]);
    expect(shown({ text: "", filter: "" })).toHaveLength(5);
    expect(shown({ text: "kr:b" })).toEqual(["KR:B"]);
    expect(withFirst({ text: "" }, undefined)).toEqual({ text: "" });
  });

  it("shows rows that were named one by one", () => {
    const sieve = sieveOf(plan, { text: "", rows: { title: "Leads", ids: new Set(["C"]) } });
    expect(plan.activities.filter((one) => sieve?.activity(one)).map((one) => one.id)).toEqual(["C"]);
  });
});
