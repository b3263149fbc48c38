import { describe, expect, it } from "vitest";
import type { CostOdds, FinishOdds } from "../../shared/api/client";
import { chanceOnCurve, costQuantity, finishQuantity, valueOnCurve } from "./quantity";
import { runRequest } from "./runSettings";
import { letter, planSentence, readingSentence, shareOfFutures } from "./sentences";

const reading = (value: string, chance: number, fromPlan: number) => ({
  value,
  chance,
  fromPlan,
  low: value,
  high: value,
});

const finish = finishQuantity({
  plan: reading("2028-07-10T17:00:00", 0.01, 0),
  levels: [reading("2028-08-28T10:00:00", 0.5, 49), reading("2028-09-16T14:00:00", 0.8, 68)],
  edges: ["2028-07-03T00:00:00", "2028-07-10T00:00:00"],
  counts: [5],
  curve: ["2028-07-03T08:00:00", "2028-07-05T08:00:00", "2028-07-09T08:00:00"],
  mean: "2028-08-29T00:00:00",
  mode: "2028-08-24T00:00:00",
  min: "2028-06-21T00:00:00",
  max: "2028-12-02T00:00:00",
  sd: 16.6,
  skewness: 0,
  kurtosis: 3,
} satisfies FinishOdds);

const money = (value: number, chance: number, fromPlan: number) => ({
  value,
  chance,
  fromPlan,
  low: value,
  high: value,
});
const cost = costQuantity(
  {
    plan: money(4_431_000, 0, 0),
    levels: [money(4_800_000, 0.5, 369_000), money(4_950_000, 0.8, 519_000)],
    edges: [4e6, 5e6],
    counts: [5],
    curve: [4e6, 5e6],
    mean: 4.8e6,
    mode: 4.8e6,
    min: 4e6,
    max: 5e6,
    sd: 1e5,
    skewness: 0,
    kurtosis: 3,
  } satisfies CostOdds,
  "EUR",
);

describe("sentences", () => {
  it("say shares as people say them", () => {
    expect([0, 0.002, 0.1, 0.5, 0.8, 0.83, 0.999, 1].map(shareOfFutures)).toEqual([
      "No future",
      "Fewer than 1 of 100 futures",
      "One future in ten",
      "Half of all futures",
      "Four futures in five",
      "83 of 100 futures",
      "More than 99 of 100 futures",
      "Every future",
    ]);
  });

  it("name the date and its distance from the plan in calendar days", () => {
    const p80 = finish.levels[1];
    expect(p80 && readingSentence(finish, p80)).toMatch(
      /^Four futures in five finish by .*2028, 68 calendar days after the plan date\.$/,
    );
    expect(readingSentence(finish, { ...finish.plan, chance: 0.1, fromPlan: -1 })).toMatch(
      /^One future in ten finishes by .*, 1 calendar day before/,
    );
    expect(planSentence(finish)).toMatch(/has a chance of 1 %\.$/);
    expect(letter(finish)).toMatch(/late in 99 of 100 futures, by 49 calendar days in the middle case\.$/);
  });

  it("name an amount and what it is above the plan", () => {
    const p80 = cost.levels[1];
    expect(p80 && readingSentence(cost, p80)).toMatch(
      /^Four futures in five cost at most €4,950,000, €519k above the plan\.$/i,
    );
    expect(letter(cost)).toMatch(/over budget in every future, by €369k in the middle case\.$/i);
  });
});

describe("the reading line", () => {
  it("goes along the curve and back", () => {
    expect(chanceOnCurve(finish.curve, valueOnCurve(finish.curve, 0.3))).toBeCloseTo(0.3);
    expect(chanceOnCurve(finish.curve, 0)).toBe(0);
    expect(chanceOnCurve(finish.curve, Infinity)).toBe(1);
  });

  it("takes a typed day as its end, and amounts in millions", () => {
    expect(finish.parse("2028-09-01")).toBe(Date.UTC(2028, 8, 1, 23, 59));
    expect(cost.parse("€4.2m")).toBe(4_200_000);
    expect(cost.parse("lots")).toBeUndefined();
  });
});

const NOTHING = { iterations: "10,000", seed: "", tolerance: "", name: "" };

describe("settings of a run", () => {
  it("are asked for as typed", () => {
    expect(runRequest(NOTHING)).toEqual({ run: { iterations: 10_000 } });
    expect(runRequest({ ...NOTHING, iterations: "500", seed: "4711" })).toEqual({
      run: { iterations: 500, seed: 4711 },
    });
  });

  it("that make no sense are refused by name", () => {
    for (const iterations of ["5", "many", "2000000", "100.5"]) {
      expect(runRequest({ ...NOTHING, iterations })).toHaveProperty(
        "refusal",
        expect.stringContaining("Iterations"),
      );
    }
    for (const seed of ["-1", "x", "1.5"]) {
      expect(runRequest({ ...NOTHING, seed })).toHaveProperty("refusal", expect.stringContaining("seed"));
    }
  });
});
