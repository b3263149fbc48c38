import { describe, expect, it } from "vitest";
import type { EditResult, PlanView } from "../api/client";
import { outgrown, scaledAlong } from "./scaleAlong";

const triangle = { shape: "triangular", low: 10, likely: 12, high: 20, basis: "days" };
const activity = (duration: string, planned: number, estimate: object | undefined = triangle) => ({
  id: "A",
  duration,
  estimate,
  range: { planned },
});
const plan = (one: object) => ({ activities: [one] }) as unknown as PlanView;
const result = (one: object) => ({ activities: [one] }) as unknown as EditResult;

describe("a range made for another duration", () => {
  it("is known by its days and scaled as the duration was", () => {
    const after = result(activity("24d", 24));
    const rows = outgrown(plan(activity("12d", 12)), after);
    expect(rows).toEqual([{ id: "A", was: 12, now: 24 }]);
    expect(scaledAlong(after, rows)).toEqual([
      { id: "A", estimate: { shape: "triangular", low: 20, likely: 24, high: 40, basis: "days" } },
    ]);
  });

  it("is none where it counts in parts of the duration, was typed with it, or is not its own", () => {
    const before = plan(activity("12d", 12));
    const factor = { ...triangle, basis: "factor" };
    expect(outgrown(plan(activity("12d", 12, factor)), result(activity("24d", 24, factor)))).toEqual([]);
    expect(outgrown(before, result(activity("24d", 24, { ...triangle, high: 30 })))).toEqual([]);
    expect(
      outgrown(plan({ ...activity("12d", 12), estimate: undefined }), result(activity("24d", 24))),
    ).toEqual([]);
    expect(outgrown(before, result(activity("12d", 12)))).toEqual([]);
  });
});
