import { describe, expect, it } from "vitest";
import type { ActivityView, RangeView } from "../../shared/api/client";
import { canType, pointOf, withoutEstimate, withPoint, withShape } from "./estimates";

function ranged(range: Partial<RangeView>): ActivityView {
  return {
    id: "A",
    kind: "task",
    range: {
      shape: "triangular",
      limits: true,
      planned: 10,
      low: 8,
      likely: 10,
      high: 15,
      mean: 11,
      sd: 1,
      plannedChance: 0.3,
      density: [],
      ...range,
    },
  } as unknown as ActivityView;
}

const certain = ranged({ shape: "certain", limits: false, low: 10, high: 10, likely: undefined });

describe("an estimate", () => {
  it("keeps its other points when one is typed", () => {
    expect(withPoint(ranged({}), "high", "18,5")).toMatchObject({
      edit: { id: "A", estimate: { shape: "triangular", low: 8, likely: 10, high: 18.5, basis: "days" } },
    });
  });

  it("of a certain activity begins as a triangle at the planned duration", () => {
    expect(pointOf(certain.range, "low")).toBeUndefined();
    expect(withPoint(certain, "low", "7")).toMatchObject({
      edit: { estimate: { shape: "triangular", low: 7, likely: 10, high: 10 } },
    });
  });

  it("loses its likely value when it becomes uniform, and stands at the plan when it comes back", () => {
    const uniform = withShape(ranged({}), "uniform");
    expect(uniform).toMatchObject({ edit: { estimate: { shape: "uniform", low: 8, high: 15 } } });
    expect(withShape(ranged({ shape: "uniform", likely: undefined, low: 11 }), "pert")).toMatchObject({
      edit: { estimate: { shape: "pert", low: 11, likely: 11, high: 15 } },
    });
  });

  it("can be taken away", () => {
    expect(withoutEstimate(ranged({}))).toMatchObject({ edit: { id: "A", certain: true } });
    expect(withShape(ranged({}), "certain")).toMatchObject({ edit: { certain: true } });
  });

  it("of an unknown shape is refused with the shapes there are", () => {
    expect(withShape(ranged({}), "banana")).toEqual({
      refusal: "A shape is one of Certain, Triangular, PERT, Uniform, not “banana”.",
    });
  });

  it("whose shape came from a file is not typed over point by point", () => {
    const lognormal = ranged({ shape: "lognormal", limits: false });
    expect(canType(lognormal, "low")).toBe(false);
    expect(pointOf(lognormal.range, "high")).toBeUndefined();
    expect(withShape(lognormal, "triangular")).toMatchObject({
      edit: { estimate: { shape: "triangular", low: 10, high: 10 } },
    });
  });
});
