import { describe, expect, it } from "vitest";
import type { EstimateWords, PlanView, RangeLook, RangeView } from "../api/client";
import {
  countedWords,
  listText,
  shownParameter,
  unitOf,
  withBasis,
  withEnds,
  withList,
  withParameter,
  withShapeWord,
} from "./draft";
import { SHAPE_INFO } from "./shapes";
import { doubts } from "./warnings";

const range = (more: Partial<RangeView> = {}): RangeView => ({
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
  ...more,
});
const one = { id: "A", kind: "task", range: range() };
const plan = {
  grades: [{ id: "B", name: "Fair", shape: { shape: "uniform", low: 0.9, high: 1.3 } }],
  activities: [{ id: "A", calendar: "std", duration: "10d" }],
  calendars: [{ id: "std", hoursPerDay: 8 }],
} as unknown as PlanView;
const triangle: EstimateWords = { shape: "triangular", low: 8, likely: 10, high: 15, basis: "days" };

describe("an estimate in the sheet", () => {
  it("begins with what counts: its own, a grade's in percent, or the plan", () => {
    expect(countedWords(plan, { ...one, estimate: triangle })).toBe(triangle);
    expect(countedWords(plan, { ...one, inherited: "B" })).toMatchObject({
      shape: "uniform",
      basis: "factor",
    });
    expect(countedWords(plan, one)).toEqual({ shape: "fixed", value: 10, basis: "days" });
  });

  it("is shown in percent where it counts in factors", () => {
    const factors = { ...triangle, low: 0.85, basis: "factor" };
    expect(shownParameter(factors, "low")).toBe("85");
    expect(withParameter(factors, "low", "90 %")).toMatchObject({ low: 0.9 });
    expect(withParameter({ ...factors, weight: 4 }, "weight", "6")).toMatchObject({ weight: 6 });
    expect(withParameter(factors, "low", "soon")).toHaveProperty("refusal");
  });

  it("loses a cut that is emptied", () => {
    expect(withParameter({ ...triangle, max: 12 }, "max", "")).toEqual(triangle);
  });

  it("keeps its size when it is counted in another unit", () => {
    expect(unitOf(plan, one, { ...triangle, basis: "factor" })).toBe(10);
    expect(unitOf(plan, one, { ...triangle, basis: "hours" })).toBe(1 / 8);
    expect(withBasis({ ...triangle, max: 14 }, "factor", 1, 10)).toEqual({
      shape: "triangular",
      low: 0.8,
      likely: 1,
      high: 1.5,
      max: 1.4,
      basis: "factor",
    });
    const gamma = withBasis({ shape: "gamma", shapeParameter: 4, scale: 3, basis: "days" }, "factor", 1, 10);
    expect(gamma).toMatchObject({ shapeParameter: 4, scale: 0.3 });
  });

  it("can take every shape, with every parameter the shape asks for", () => {
    for (const [shape, info] of Object.entries(SHAPE_INFO)) {
      const begun = withShapeWord(triangle, shape, one, 1);
      for (const parameter of info.parameters) expect(begun, shape).toHaveProperty(parameter);
      if (info.list) expect(begun, shape).toHaveProperty(info.list);
    }
  });

  it("has its ends as limits or as percentiles", () => {
    const ends = withEnds(triangle, "0.1 0.9");
    expect(ends).toMatchObject({ lowAt: 0.1, highAt: 0.9 });
    expect(withEnds(ends, "0 1")).toEqual(triangle);
  });

  it("given by a list is typed a line each", () => {
    const discrete: EstimateWords = { shape: "discrete", values: [[8, 0.25]], basis: "days" };
    expect(listText(discrete)).toBe("8  25 %");
    expect(withList(discrete, "8 50%\n12  50 %")).toMatchObject({
      values: [
        [8, 0.5],
        [12, 0.5],
      ],
    });
    expect(withList(discrete, "8")).toEqual({ refusal: "“8” should be a value and its chance." });
    expect(withList({ shape: "sample", basis: "days" }, "8\n9,5")).toMatchObject({ values: [8, 9.5] });
  });
});

describe("doubts about a range", () => {
  const look = (more: Partial<RangeView>) => ({ range: range(more) }) as RangeLook;
  const of = (more: Partial<RangeView>) => doubts(triangle, look(more)).join(" ");

  it("are raised where it leaves the plan no chance", () => {
    expect(of({ plannedChance: 0, likely: 12 })).toContain("outside the range");
    expect(of({ plannedChance: 0.3, likely: 11 })).toBe("");
  });

  it("are raised where it is even, ten percent, or anchored at the plan", () => {
    expect(of({ low: 7, high: 13, likely: 10 })).toContain("as far down as up");
    expect(of({ low: 9, high: 11, likely: 10 })).toContain("Ten percent");
    expect(of({ likely: 10 })).toContain("likely value is the planned one");
  });
});
