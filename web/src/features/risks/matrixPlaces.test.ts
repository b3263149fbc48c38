import { describe, expect, it } from "vitest";
import type { SchemeView } from "../../shared/api/client";
import { A_RESPONSE, aRisk, anEffect } from "../../test/aRisk";
import { along, beyondCounts, compared, matrixSentence, placed, quantified } from "./matrixPlaces";

const scheme: SchemeView = {
  chance: [
    { name: "rare", from: 0, to: 0.1 },
    { name: "possible", from: 0.1, to: 0.5 },
    { name: "sure", from: 0.5, to: 1 },
  ],
  effects: [
    {
      kind: "time",
      name: "Delay",
      unit: "days",
      levels: [
        { name: "small", from: 0, to: 10 },
        { name: "great", from: 10, to: 50 },
      ],
    },
    { kind: "safety", name: "Safety", unit: "", levels: [{ name: "none" }, { name: "harm" }] },
  ],
  tolerated: [2, 1, 1],
};
const score = (chance: number, effects: Record<string, number>) => ({
  chance,
  effects,
  product: chance * Math.max(...Object.values(effects)),
  beyond: false,
});

describe("the matrix", () => {
  it("puts a value where it lies among its levels", () => {
    expect(along(scheme.chance, 0.3)).toBeCloseTo(1.5);
    expect(along(scheme.chance, 0)).toBe(0);
    expect(along(scheme.effects[0]!.levels, 500)).toBeCloseTo(1.98);
  });

  it("places risks by their numbers, else in the middle of the cell of their score", () => {
    const numbers = aRisk("A", { size: { chance: 0.3, days: 30, money: 0 } });
    const scored = aRisk("B", { size: { chance: 0.7, days: 0, money: 0 }, score: score(1, { safety: 2 }) });
    expect(placed([numbers, scored], scheme, "time").map(({ risk }) => risk.id)).toEqual(["A"]);
    expect(placed([numbers], scheme, "time")[0]?.now).toEqual({
      chance: expect.closeTo(1.5) as number,
      effect: 1.5,
      byNumbers: true,
    });
    expect(placed([scored], scheme, "safety")[0]?.now).toMatchObject({ effect: 1.5, byNumbers: false });
    expect(placed([numbers, scored], scheme, "overall")).toHaveLength(2);
  });

  it("counts what lies beyond what is tolerated, now and with responses", () => {
    const beyond = aRisk("A", {
      size: { chance: 0.3, days: 30, money: 0 },
      response: { ...A_RESPONSE, size: { chance: 0.3, days: 5, money: 0 } },
    });
    expect(beyondCounts(placed([beyond], scheme, "time"), scheme)).toEqual({ now: 1, after: 0 });
    expect(matrixSentence({ now: 2, after: 0 })).toBe(
      "Two threats lie beyond what the scheme tolerates; with their responses, none does.",
    );
    expect(matrixSentence({ now: 1, after: 1 })).toContain("responses so far change nothing");
    expect(matrixSentence({ now: 0, after: 0 })).toBe("No threat lies beyond what the scheme tolerates.");
  });

  it("takes a response that is done for the present", () => {
    const done = aRisk("A", {
      size: { chance: 0.3, days: 30, money: 0 },
      response: { ...A_RESPONSE, decided: true, done: true, size: { chance: 0.05, days: 5, money: 0 } },
    });
    const [place] = placed([done], scheme, "time");
    expect(place?.now.effect).toBe(0.5);
    expect(place?.after).toBeUndefined();
  });

  it("compares scores with numbers, what does not go together first", () => {
    const sound = aRisk("A", { size: { chance: 0.3, days: 30, money: 0 }, score: score(2, { time: 2 }) });
    const bare = aRisk("B", { score: score(1, { time: 1 }) });
    const rows = compared([sound, bare], scheme, new Map([["A", 8]]));
    expect(rows.map(({ risk }) => risk.id)).toEqual(["B", "A"]);
    expect(rows[0]?.doubt).toContain("scored without an effect");
    expect(rows[1]).toMatchObject({
      score: 4,
      byNumbers: 4,
      rankByScore: 1,
      rankByDays: 1,
      doubt: undefined,
    });
  });

  it("quantifies from the score what has no effect yet", () => {
    const bare = aRisk("B", { chance: 0, score: score(2, { time: 2, safety: 1 }) });
    const gain = aRisk("C", { kind: "opportunity", score: score(1, { time: 1 }) });
    const full = aRisk("D", { effects: [anEffect()], score: score(1, { time: 1 }) });
    expect(quantified([bare, gain, full], scheme)).toEqual([
      { id: "B", time: "10..50d on project", chance: "possible" },
      { id: "C", time: "-10..0d on project" },
    ]);
  });
});
