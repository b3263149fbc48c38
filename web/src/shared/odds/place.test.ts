import { describe, expect, it } from "vitest";
import { DAY_MS } from "../format/dates";
import { chartAxis } from "./chartAxis";
import { clearOf, placeOf } from "./place";
import type { Quantity } from "./quantity";

const reading = (value: number) => ({
  value,
  chance: 0.5,
  chanceError: 0.01,
  low: value,
  high: value,
  fromPlan: 0,
});
const days = {
  name: "duration",
  plan: reading(80),
  edges: [60, 100, 140],
  curve: [60, 80, 100, 120, 140],
  min: 60,
  max: 140,
} as Quantity;

describe("the reading line in the chart", () => {
  const axis = chartAxis(days, 900, 500);

  it("stands where its value meets the curve, from either side", () => {
    const byChance = placeOf({ by: "chance", chance: 75 }, days, axis);
    expect(byChance.value).toBe(120);
    expect(byChance.x).toBeCloseTo(axis.x(120));
    expect(byChance.y).toBeCloseTo(axis.y(0.75));
    expect(placeOf({ by: "value", value: 120 }, days, axis)).toEqual(byChance);
  });

  it("stays within the chart whatever is typed", () => {
    expect(placeOf({ by: "value", value: 1e9 }, days, axis).x).toBeCloseTo(axis.x(axis.max));
  });

  it("keeps the numbers of a second line clear of the first", () => {
    expect(clearOf(100, undefined, 28)).toBe(100);
    expect(clearOf(100, 200, 28)).toBe(100);
    expect(clearOf(190, 200, 28)).toBe(172);
    expect(clearOf(205, 200, 28)).toBe(228);
  });
});

describe("the axis", () => {
  it("has room for the marks and for what it is compared with", () => {
    const beside = { ...days, min: 20, max: 200 };
    const axis = chartAxis(days, 900, 500, beside);
    expect(axis.min).toBeLessThan(20);
    expect(axis.max).toBeGreaterThan(200);
    expect(axis.value(axis.x(77))).toBeCloseTo(77);
  });

  it("of a single date shows the days around it, not the years since 1970", () => {
    const one = Date.UTC(2028, 5, 1);
    const date = {
      ...days,
      name: "finish",
      plan: reading(one),
      edges: [one],
      min: one,
      max: one,
    } as Quantity;
    const axis = chartAxis(date, 900, 500);
    expect((axis.max - axis.min) / DAY_MS).toBeLessThan(30);
  });
});
