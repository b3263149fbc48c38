import { describe, expect, it } from "vitest";
import type { AmountOdds, DateOdds, PlanView } from "../../shared/api/client";
import {
  amountQuantity,
  barWidth,
  chanceOnCurve,
  dateQuantity,
  valueOnCurve,
} from "../../shared/odds/quantity";
import { FRESH, runRequest } from "./runRequest";
import { found, itemsOf, nameOf } from "../../shared/odds/subject";
import {
  besideSentence,
  betweenSentence,
  contingencyWords,
  letter,
  noiseSentence,
  planSentence,
  readingSentence,
  shareOfFutures,
  wanderSentence,
} from "../../shared/odds/sentences";

const BASE = { iterations: 5000, seed: 4711, sampling: "latin" };

const reading = (value: string, chance: number, fromPlan: number) => ({
  value,
  chance,
  chanceError: 0.01,
  fromPlan,
  low: value,
  high: value,
});

const finishOdds = {
  ...BASE,
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
} satisfies DateOdds;
const finish = dateQuantity(finishOdds, "finish");

const money = (value: number, chance: number, fromPlan: number) => ({
  value,
  chance,
  chanceError: 0.01,
  fromPlan,
  low: value,
  high: value,
});
const costOdds = {
  ...BASE,
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
} satisfies AmountOdds;
const cost = amountQuantity(costOdds, "cost", "EUR");

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
    expect(letter(finish, finish.levels[1], finish.levels[0])).toMatch(
      /late in 99 of 100 futures, by 49 calendar days in the middle case\.$/,
    );
  });

  it("name an amount and what it is above the plan", () => {
    const p80 = cost.levels[1];
    expect(p80 && readingSentence(cost, p80)).toMatch(
      /^Four futures in five cost at most €4,950,000, €519k above the plan\.$/i,
    );
    expect(letter(cost, cost.levels[1], cost.levels[0])).toMatch(
      /over budget in every future, by €369k in the middle case\.$/i,
    );
  });
});

describe("sentences of anything in the plan", () => {
  const mirror = dateQuantity(finishOdds, "finish", "Primary mirror");
  const work = amountQuantity({ ...costOdds, plan: money(80, 0.3, 0) }, "duration", "EUR", "Access permit");
  const at = (chance: number, value: number, fromPlan: number) => ({
    chanceError: 0.01,
    chance,
    value,
    fromPlan,
    low: value,
    high: value,
  });

  it("name it and say what is done to it", () => {
    const p80 = mirror.levels[1];
    expect(p80 && readingSentence(mirror, p80)).toMatch(
      /^Four futures in five finish Primary mirror by 16 Sept? 2028, /,
    );
    expect(readingSentence(dateQuantity(finishOdds, "start"), at(0.1, finish.plan.value, 0))).toMatch(
      /^One future in ten starts the project by .*, the planned start itself\.$/,
    );
    expect(readingSentence(work, at(0.8, 104.25, 24.25))).toBe(
      "Four futures in five take at most 104.3 d for Access permit, 24.3 days more than planned.",
    );
    expect(readingSentence({ ...cost, named: "Mount" }, at(0.5, 250_000, -10_000))).toMatch(
      /^Half of all futures spend at most €250,000 on Mount, €10.0k below the plan\.$/,
    );
  });

  it("say the chance between two values, whichever is put first", () => {
    const [one, other] = [at(0.8, 4_950_000, 0), at(0.5, 4_800_000, 0)];
    expect(betweenSentence(cost, one, other)).toBe(
      "30 of 100 futures cost between €4,800,000 and €4,950,000.",
    );
    expect(betweenSentence(cost, other, one)).toBe(betweenSentence(cost, one, other));
  });

  it("say what is to be added to the plan, or what it has to give back", () => {
    expect(contingencyWords(finish, { ...at(0.8, 0, 68.3), workFromPlan: 48.2 })).toBe(
      "68 calendar days, 48 of them working days",
    );
    expect(contingencyWords(finish, { ...at(0.1, 0, -5), workFromPlan: -3 })).toBe(
      "the plan has 5 calendar days to give back, 3 of them working days",
    );
    expect(contingencyWords(cost, at(0.8, 4_950_000, 519_000))).toBe("€519k, 12 % of the plan");
    expect(contingencyWords(cost, at(0.01, 4_400_000, -31_000))).toMatch(/^the plan has €31.0k to give back/);
  });

  it("say how far two simulations lie apart, and whether that may be chance", () => {
    expect(besideSentence(finish, 80, 12.2, "run 1")).toBe("P80 is 12 calendar days later than by run 1.");
    expect(besideSentence(finish, 80, -0.3, "live")).toBe("P80 is the same as by live.");
    expect(besideSentence(cost, 80, -40_000, "run 1")).toBe("P80 is €40.0k cheaper than by run 1.");
    const own = { ...at(0.8, 4_950_000, 0), low: 4_947_000, high: 4_953_000 };
    const theirs = { ...own, low: 4_946_000, high: 4_954_000 };
    expect(noiseSentence(cost, own, cost, theirs)).toContain("the same random numbers");
    expect(noiseSentence(cost, own, { ...cost, seed: 5 }, theirs)).toContain("up to ± €5.00k");
  });

  it("say how far repeats wander", () => {
    const own = { ...at(0.8, 4_950_000, 0), low: 4_945_000, high: 4_955_000 };
    expect(wanderSentence(cost, own, [4_944_000, 4_950_000, 4_954_000])).toBe(
      "from €4,944,000 to €4,954,000; 2 of 3 within ± €5.00k",
    );
    expect(wanderSentence(cost, own, [4_950_000])).toBe("…");
  });

  it("say how wide the bars are", () => {
    expect(barWidth(finish)).toBe("a week");
    expect(barWidth({ ...finish, edges: [0, 86_400_000] })).toBe("a day");
    expect(barWidth(cost)).toBe("€1.00m");
  });
});

describe("what odds are read of", () => {
  const plan = {
    branches: [{ id: "S", name: "Site" }],
    activities: [
      { id: "S10", name: "Survey the ridge", kind: "task" },
      { id: "S00", name: "Work begins", kind: "milestone" },
    ],
  } as PlanView;

  it("is found by code or by name, milestones before other activities", () => {
    const items = itemsOf(plan);
    expect(items.map((item) => item.id)).toEqual(["project", "S", "S00", "S10"]);
    expect(found(items, "s1").map((item) => item.id)).toEqual(["S10"]);
    expect(found(items, "RIDGE").map((item) => item.id)).toEqual(["S10"]);
    expect(found(items, "nothing like it")).toEqual([]);
  });

  it("has a name in sentences, the project needs none", () => {
    expect(nameOf(plan, { what: "finish", of: "S" })).toBe("Site");
    expect(nameOf(plan, { what: "finish", of: "project" })).toBeUndefined();
    expect(nameOf(plan, { what: "finish", of: "GONE" })).toBe("GONE");
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

const NOTHING = FRESH;

describe("settings of a run", () => {
  it("are asked for as typed", () => {
    expect(runRequest(NOTHING)).toEqual({ run: { iterations: 10_000 } });
    expect(runRequest({ ...NOTHING, iterations: "500", seed: "4711" })).toEqual({
      run: { iterations: 500, seed: 4711 },
    });
  });

  it("say sampling, threads and drawing only where they are not the usual", () => {
    expect(runRequest({ ...FRESH, tolerance: "2", certainty: "99 %" })).toEqual({
      run: { iterations: 10_000, tolerance: 0.02, certainty: 0.99 },
    });
    expect(runRequest({ ...FRESH, certainty: "100" })).toHaveProperty("refusal");
    const typed = {
      ...FRESH,
      sampling: "plain" as const,
      threads: "2",
      drawing: false,
      note: " With crew two ",
    };
    expect(runRequest(typed)).toEqual({
      run: { iterations: 10_000, sampling: "plain", threads: 2, drawing: false, note: "With crew two" },
    });
    expect(runRequest({ ...FRESH, threads: "none" })).toHaveProperty(
      "refusal",
      expect.stringContaining("Threads"),
    );
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
