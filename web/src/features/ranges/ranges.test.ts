import { describe, expect, it } from "vitest";
import type { CorrelationView, EvidenceLook, FitView, PlanView } from "../../shared/api/client";
import { asGroup, asMatrix, coefficientOf, strength, withBlock, withMembers } from "./correlations";
import { evidenceSentence, fitPoints, fitWords } from "./fits";
import { gradesOfFile, gradeWords, joined, newGrade } from "./grades";
import { rangedBeneath } from "./selection";

const group: CorrelationView = {
  id: "G1",
  name: "Crew",
  members: ["A", "B", "C"],
  coefficient: 0.4,
  matrix: [],
};

describe("a correlation", () => {
  it("becomes a matrix of the same coefficient, and one coefficient again", () => {
    const matrix = asMatrix(group);
    expect(matrix.matrix).toEqual([[1], [0.4, 1], [0.4, 0.4, 1]]);
    expect(asGroup(matrix)).toEqual(group);
    expect(coefficientOf(matrix, 0, 2)).toBe(0.4);
  });

  it("takes a pasted block into its lower triangle, whatever stands on or above the diagonal", () => {
    const pasted = withBlock(asMatrix(group), 0, 0, "1\t0.9\t0.9\n0,7\t1\t0.9\n-0.2\t0.5\t1");
    expect(pasted).toMatchObject({ matrix: [[1], [0.7, 1], [-0.2, 0.5, 1]] });
    expect(withBlock(asMatrix(group), 1, 0, "2")).toEqual({
      refusal: "A coefficient is a number from −1 to 1, not “2”.",
    });
  });

  it("keeps the coefficients of pairs that stay", () => {
    const matrix = { ...asMatrix(group), matrix: [[1], [0.1, 1], [0.2, 0.3, 1]] };
    expect(withMembers(matrix, ["A", "C"]).matrix).toEqual([[1], [0.2, 1]]);
    expect(withMembers(matrix, ["A", "B", "C", "D"]).matrix[3]).toEqual([0.3, 0.3, 0.3, 1]);
  });

  it("is told in words", () => {
    expect(strength(0)).toContain("nothing to do");
    expect(strength(0.5)).toContain("clearly together");
    expect(strength(-0.95)).toContain("almost in step against");
  });
});

describe("grades", () => {
  it("come out of a file of grades or of a project", () => {
    const [one] = gradesOfFile(
      '{"grades":[{"id":"B","name":"Fair","shape":"uniform","low":0.9,"high":1.3}]}',
    ) as never[];
    expect(one).toMatchObject({ id: "B", mark: "", shape: { shape: "uniform", low: 0.9 } });
    expect(gradeWords(one as never)).toMatchObject({ id: "B", shape: "uniform", high: 1.3 });
    expect(gradesOfFile("hello")).toHaveProperty("refusal");
    expect(gradesOfFile('{"grades":[]}')).toHaveProperty("refusal");
  });

  it("of a file take the place of those they share an id with", () => {
    const first = newGrade([]);
    const second = newGrade([first]);
    expect(second.id).not.toBe(first.id);
    const renamed = { ...first, name: "Other" };
    expect(joined([first, second], [renamed, { ...first, id: "x" }]).map((g) => g.name)).toEqual([
      "Other",
      "New grade",
      "New grade",
    ]);
  });
});

describe("past work", () => {
  const fit = { behind: 0, distance: 0.08, expectedDistance: 0.25 } as FitView;

  it("is told with how well a shape fits it", () => {
    expect(fitWords(fit)).toBe(
      "The best of them. Its curve leaves the data by 8 points at most; chance alone may do up to 25.",
    );
    expect(fitWords({ ...fit, behind: 9, distance: 0.4 })).toContain("Much worse than the best");
  });

  it("tells what a shape would make of it", () => {
    const points = { ...fit, p10: 0.95, p50: 1.12, p90: 1.481 };
    expect(fitPoints(points, true)).toBe("P10 95 %, P50 112 %, P90 148 %.");
    expect(fitPoints({ ...points, p90: 14.812 }, false)).toContain("P90 14.8.");
  });

  it("is warned of where there is little of it", () => {
    const look = {
      observations: [[1], [2], [3]],
      ratios: false,
      few: true,
      low: 1,
      high: 3,
      mean: 2,
      median: 2,
    };
    expect(evidenceSentence(look as unknown as EvidenceLook)).toContain("Fewer than 15");
  });
});

describe("a selection", () => {
  const plan = {
    branches: [
      { id: "W", code: "1", name: "Site" },
      { id: "W2", parent: "W", code: "1.1", name: "Road" },
    ],
    activities: [
      { id: "A", wbs: "W", kind: "task" },
      { id: "M", wbs: "W", kind: "milestone" },
      { id: "B", wbs: "W2", kind: "task" },
    ],
    costs: [{ id: "C", on: "A" }],
  } as unknown as PlanView;

  it("of a branch means all beneath that can have a range", () => {
    expect(rangedBeneath(plan, ["W"])).toEqual(["A", "B"]);
    expect(rangedBeneath(plan, ["B", "C", "M"])).toEqual(["B", "C"]);
  });
});
