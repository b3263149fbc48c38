import { describe, expect, it } from "vitest";
import type { ActivityView, GradeView, RangeView } from "../api/client";
import { canType, inherited, originOf, pointOf, scaled, stepped, withPoint, withShape } from "./estimates";

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
    expect(withPoint(ranged({}), "high", "18,5", "units")).toMatchObject({
      edit: { id: "A", estimate: { shape: "triangular", low: 8, likely: 10, high: 18.5, basis: "days" } },
    });
  });

  it("of a certain activity begins as a triangle at the planned duration", () => {
    expect(pointOf(certain.range, "low")).toBeUndefined();
    expect(withPoint(certain, "low", "7", "units")).toMatchObject({
      edit: { estimate: { shape: "triangular", low: 7, likely: 10, high: 10 } },
    });
  });

  it("loses its likely value when it becomes uniform, and stands at the plan when it comes back", () => {
    const uniform = withShape(ranged({}), "uniform", "units");
    expect(uniform).toMatchObject({ edit: { estimate: { shape: "uniform", low: 8, high: 15 } } });
    expect(
      withShape(ranged({ shape: "uniform", likely: undefined, low: 11 }), "pert", "units"),
    ).toMatchObject({
      edit: { estimate: { shape: "pert", low: 11, likely: 11, high: 15 } },
    });
  });

  it("can be taken away", () => {
    expect(inherited(ranged({ low: 1 }))).toMatchObject({ edit: { id: "A", grade: null, estimate: null } });
    expect(withShape(ranged({}), "certain", "units")).toMatchObject({ edit: { certain: true } });
  });

  it("of an unknown shape is refused with the shapes there are", () => {
    expect(withShape(ranged({}), "banana", "units")).toEqual({
      refusal:
        "A shape typed here is one of Certain, Triangular, PERT, Uniform, not “banana”; the sheet has the others.",
    });
  });

  it("whose shape came from a file is not typed over point by point", () => {
    const lognormal = ranged({ shape: "lognormal", limits: false });
    expect(canType(lognormal, "low")).toBe(false);
    expect(pointOf(lognormal.range, "high")).toBeUndefined();
    expect(withShape(lognormal, "triangular", "units")).toMatchObject({
      edit: { estimate: { shape: "triangular", low: 10, high: 10 } },
    });
  });

  it("is typed in percent of planned where percent is shown, or where it says so", () => {
    expect(withPoint(ranged({}), "high", "180", "percent")).toMatchObject({
      edit: { estimate: { low: 0.8, likely: 1, high: 1.8, basis: "factor" } },
    });
    expect(withPoint(ranged({}), "high", "180 %", "units")).toMatchObject({
      edit: { estimate: { low: 0.8, likely: 1, high: 1.8, basis: "factor" } },
    });
    expect(scaled(ranged({}).range, 15, "percent")).toBe(150);
  });

  it("of a cost line is in money", () => {
    const cost = { id: "C", amount: 1000, range: ranged({}).range };
    expect(withPoint(cost, "low", "900", "units")).toMatchObject({ edit: { estimate: { basis: "money" } } });
  });

  it("tells where it comes from", () => {
    const one = { id: "A", range: ranged({}).range };
    expect(originOf(one)).toBe("none");
    expect(originOf({ ...one, inherited: "B" })).toBe("inherited");
    expect(originOf({ ...one, inherited: "B", grade: "C" })).toBe("grade");
    expect(originOf({ ...one, grade: "C", estimate: { shape: "fixed", value: 1 } })).toBe("own");
  });
});

describe("grades", () => {
  const grades = ["narrow", "middle", "wide"].map((id) => ({ id }) as GradeView);

  it("are stepped along the table and end at its ends", () => {
    expect(stepped(grades, "narrow", 1)?.id).toBe("middle");
    expect(stepped(grades, "wide", 1)?.id).toBe("wide");
    expect(stepped(grades, undefined, 1)?.id).toBe("narrow");
    expect(stepped(grades, undefined, -1)?.id).toBe("wide");
    expect(stepped([], "narrow", 1)).toBeUndefined();
  });
});
