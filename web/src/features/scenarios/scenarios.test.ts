import { describe, expect, it } from "vitest";
import type {
  BestSet,
  DriftPoint,
  FundView,
  OptionRow,
  RiskView,
  ScenariosView,
  SinceRow,
  StoryStep,
  StoryView,
  TallyView,
} from "../../shared/api/client";
import { bestFor, firstBudget, fundSentence, leftOutWords, triedSentence } from "./fund";
import { freeId } from "./making";
import { beyondWords, verdict } from "./record";
import { sortedRows, takenScenarios } from "./scenarioColumns";
import { markOf, strokeOf, tickedOf } from "./scenarioLook";
import { differenceWords, editSaid, gapSentence, shareSentence } from "./scenarioWords";
import { driftSentence, sinceSaid } from "./since";
import { orderOf, overlapSentence, payers, storySentence } from "./story";
import { row } from "./testRow";
import { arranged, categoryEdit, freeName, riskEdit, settingOf } from "./switches";

const odds = (finishLevel: string, costLevel: number) => ({
  iterations: 5000,
  refined: true,
  planFinish: "2028-07-10T17:00",
  planCost: 4_400_000,
  finishHalf: finishLevel,
  finishLevel,
  costHalf: costLevel,
  costLevel,
});

const gap = (days: number, cost: number, now: number) => ({
  days,
  daysError: 1,
  cost,
  costError: 2000,
  now,
  sooner: 0.32,
  later: 0,
});

const risk = (id: string, category: string, response = false, state = "open") =>
  ({ id, category, state, response: response ? { cost: 1 } : undefined }) as RiskView;

const edit = {
  section: "activities",
  title: "Activity",
  key: "S40",
  name: "Road",
  what: "changed",
  fields: [{ name: "estimate" }, { name: "duration", before: "40d", after: "26d" }],
};

describe("a scenario", () => {
  it("says what is different in a few words", () => {
    expect(differenceWords(row("V1", { risks: { R01: "response", R02: "response", R03: "off" } }))).toBe(
      "R01, R02 answered · R03 off",
    );
    expect(differenceWords(row("V2", { otherRisks: "off" }))).toBe("every risk off");
    expect(
      differenceWords(row("V3", { otherRisks: "off", risks: { R01: "now" }, categories: { Site: "off" } })),
    ).toBe("R01 as now · all of Site off · other risks off");
    expect(differenceWords(row("V4", { edits: [edit], editCount: 2, estimates: false }))).toBe(
      "estimates do not vary · 2 edits, S40 duration 40d → 26d",
    );
    expect(differenceWords(row("V5"))).toBe("");
    expect(editSaid({ ...edit, section: "links", fields: [{ name: "all" }] })).toBe(
      "predecessors of S40 all",
    );
    expect(editSaid({ ...edit, what: "added", key: "K13", fields: [] })).toBe("K13 added");
  });

  it("says what it buys, and whether it pays for itself", () => {
    const base = row("");
    const said = (one: Parameters<typeof gap>) =>
      gapSentence(row("V1", { gap: gap(...one) }), base, 80, "EUR");
    expect(said([-7.5, -41_200, 52_000])).toBe(
      "Scenario V1 buys 7.5 working days at P80 and pays for itself: €52.0k now, and P80 of the cost is €41.2k lower all the same.",
    );
    expect(said([-7.2, 97_200, 85_000])).toBe(
      "Scenario V1 buys 7.2 working days at P80 for €85.0k now; P80 of the cost rises by €97.2k.",
    );
    expect(said([-7.2, 900, 85_000])).toContain("P80 of the cost stays where it is");
    expect(said([0.4, 0, 0])).toBe(
      "Scenario V1 does not move P80 of the finish by anything that can be told from chance.",
    );
    expect(said([25.3, -230_000, 0])).toBe(
      "Scenario V1 costs 25 working days at P80 and saves €230k at P80.",
    );
    expect(shareSentence(gap(-1, 0, 0))).toBe(
      "In 32 of 100 futures it finishes sooner, in none later; in the others on the same minute.",
    );
  });

  it("has a stroke of its own, told by colour and by dash", () => {
    const rows = ["", "V1", "V2", "V3", "V4", "V5", "V6", "V7"].map((id) => row(id));
    const strokes = rows.map(({ id }) => strokeOf(rows, id));
    expect(strokes[0]?.colour).toContain("simulated");
    expect(new Set(strokes.map(({ colour, dash }) => `${colour} ${dash}`)).size).toBe(rows.length);
    expect(tickedOf(rows, undefined)).toEqual(["", "V1", "V2", "V3"]);
    expect(tickedOf(rows, ["V7", "V9"])).toEqual(["V7"]);
    expect(freeId(rows)).toBe("V8");
    expect(markOf(rows, ["V1"], 3)).toBe("");
    expect(markOf([row("V1", { odds: odds("2028-10-01T17:00", 5) })], ["V1"], 3)).toBe("3 5000");
  });

  it("is sorted by any column, what is not known last", () => {
    const rows = [
      row(""),
      row("V1", { odds: odds("2028-10-13T17:00", 2), gap: gap(-5, 1, 0) }),
      row("V2", { odds: odds("2028-09-13T17:00", 3), gap: gap(-9, 1, 0) }),
    ];
    expect(sortedRows(rows, "finishLevel", false).map(({ id }) => id)).toEqual(["V2", "V1", ""]);
    expect(sortedRows(rows, "costLevel", true).map(({ id }) => id)).toEqual(["V2", "V1", ""]);
    expect(sortedRows(rows, "days", false).map(({ id }) => id)).toEqual(["V2", "V1", ""]);
    const taken = takenScenarios({ level: 80 } as ScenariosView, rows, "EUR");
    expect(taken.rows[1]).toHaveLength(taken.columns.length);
    expect(taken.rows[0]?.[2]).toBeNull();
  });
});

describe("switches", () => {
  const risks = [risk("R01", "Site/Weather", true), risk("R02", "Site"), risk("R03", "Supply")];
  const it1 = row("V1", { risks: { R02: "now" }, categories: { Site: "off" }, otherRisks: "response" });

  it("hold by the nearest word", () => {
    expect(risks.map((one) => settingOf(it1, one))).toEqual(["off", "now", "response"]);
  });

  it("are taken away where the risk would be so anyhow", () => {
    expect(riskEdit(it1, risks[0] as RiskView, "off")).toEqual({ id: "V1", risks: { R01: null } });
    expect(riskEdit(it1, risks[0] as RiskView, "response")).toEqual({ id: "V1", risks: { R01: "response" } });
    expect(categoryEdit(it1, risks, "Site", "off")).toEqual({
      id: "V1",
      categories: { Site: null },
      risks: { R02: null },
    });
    expect(categoryEdit(it1, risks, "Supply", "off").categories).toEqual({ Supply: "off" });
  });

  it("stand by category, what is switched first", () => {
    const groups = arranged(risks, row("V1", { risks: { R03: "off" } }));
    expect(groups.map(({ category }) => category)).toEqual(["Supply", "Site"]);
    expect(freeName("Both", [{ name: "Both" }, { name: "Both 2" }])).toBe("Both 3");
  });
});

describe("what to fund", () => {
  const option = (id: string, cost: number): OptionRow => ({
    id,
    kind: "response",
    title: `Risk ${id}`,
    mark: "threat",
    what: "Act",
    cost,
  });
  const best = (options: string[], cost: number, gain: number, more: BestSet["more"] = []): BestSet => ({
    options,
    cost,
    gain,
    gap: 0,
    without: [],
    more,
  });
  const view: FundView = {
    revision: 1,
    state: "done",
    goal: "finish",
    level: 80,
    iterations: 5000,
    expected: 4,
    complete: true,
    options: [option("R01", 14_000), option("R02", 38_000), option("R08", 18_000)],
    tried: [],
    best: [
      best([], 0, 0),
      best(["R01"], 14_000, 5.3, [
        { id: "R02", gain: 2.2 },
        { id: "R08", gain: 0 },
      ]),
      best(["R01", "R02"], 52_000, 7.5),
    ],
  };

  it("is said for every sum", () => {
    expect(bestFor(view, 51_999)?.options).toEqual(["R01"]);
    expect(fundSentence(view, 40_000, "EUR")).toBe(
      "For €40.0k, fund R01: P80 comes 5.3 working days sooner. The next €38.0k would buy 2.2 working days more.",
    );
    expect(fundSentence(view, 60_000, "EUR")).toBe(
      "For €60.0k, fund R01 and R02: P80 comes 7.5 working days sooner. More money buys no more.",
    );
    expect(fundSentence(view, 10_000, "EUR")).toBe(
      "For €10.0k nothing can be had: the cheapest, R01, costs €14.0k.",
    );
    expect(fundSentence({ ...view, options: [] }, 10_000, "EUR")).toContain("There is nothing to fund");
    expect(firstBudget(view)).toBe(14_000);
  });

  it("says why something is left out, and how far the search went", () => {
    const [, one] = view.best;
    expect(leftOutWords(view, one as BestSet, option("R02", 38_000), 20_000, "EUR")).toBe(
      "€38.0k for 2.2 working days more; beyond the budget",
    );
    expect(leftOutWords(view, one as BestSet, option("R08", 18_000), 90_000, "EUR")).toBe(
      "€18.0k; it moves nothing that is late",
    );
    expect(leftOutWords(view, one as BestSet, option("R99", 1), 90_000, "EUR")).toContain("was not tried");
    expect(triedSentence(view)).toContain("Every set of the 3 options");
    expect(triedSentence({ ...view, complete: false, state: "working" })).toContain(
      "0 of about 4 sets so far",
    );
  });
});

describe("one after the other", () => {
  const step = (id: string, days: number, cost: number, now: number, alone = days): StoryStep => ({
    id,
    name: id,
    adds: gap(days, cost, now),
    alone: gap(alone, cost, now),
    numbers: odds("2028-10-01T17:00", 1),
  });
  const story: StoryView = {
    level: 80,
    plan: odds("2028-10-23T17:00", 5_000_000),
    steps: [step("Hearing", -5.3, 8_040, 14_000), step("Test", -2.2, -49_200, 38_000, -7)],
  };

  it("is what all do together, and who pays for whom", () => {
    expect(storySentence(story, "EUR")).toBe(
      "Together they buy 7.5 working days at P80 for €52.0k now; P80 of the cost is €41.2k lower all the same.",
    );
    expect(payers(story, "EUR")).toEqual([
      "“Test” pays for “Hearing”: together P80 of the cost falls by €41.2k, and 7.5 working days are bought with it.",
    ]);
    expect(overlapSentence(story.steps[1] as StoryStep)).toBe(
      "4.8 d less than by itself: those before it do a part of that.",
    );
    expect(overlapSentence(story.steps[0] as StoryStep)).toBeUndefined();
  });

  it("leaves out what only puts others together, and other worlds", () => {
    const rows = [
      row(""),
      row("V1", { risks: { R01: "response" } }),
      row("V2", { risks: { R02: "response" } }),
      row("V3", { risks: { R01: "response", R02: "response" } }),
      row("V4", { editCount: 2 }),
      row("V5", { otherRisks: "off" }),
    ];
    expect(orderOf(rows, undefined)).toEqual(["V1", "V2", "V4"]);
    expect(orderOf(rows, ["V5", "V9"])).toEqual(["V5"]);
  });
});

describe("since last time", () => {
  const point = (number: number, at: string, finishLevel: string) =>
    ({ number, at, finishLevel, costLevel: 5_000_000 + number * 100_000 }) as DriftPoint;
  const points = [
    point(1, "2027-06-01T08:00:00Z", "2028-09-15T17:00"),
    point(2, "2027-10-01T08:00:00Z", "2028-10-12T17:00"),
    point(3, "2027-11-01T08:00:00Z", "2028-10-24T17:00"),
  ];

  it("says how the forecast has drifted", () => {
    expect(driftSentence(points, "finish", 80, "EUR")).toBe(
      "P80 has slipped 39 days in 5 months; since run 2 it has moved by +12 days.",
    );
    expect(driftSentence(points, "cost", 80, "EUR")).toContain("P80 has risen by €200k in 5 months");
    expect(driftSentence(points.slice(0, 1), "finish", 80, "EUR")).toContain("One run is recorded");
    expect(driftSentence([], "finish", 80, "EUR")).toContain("Nothing is recorded yet");
  });

  it("says each edit with what it was", () => {
    const change = {
      ...edit,
      kind: "logic",
      fields: [
        { name: "actualFinish", after: "2027-03-24T17:00" },
        { name: "duration", before: "40d", after: "26d" },
      ],
    } as SinceRow;
    expect(sinceSaid(change)).toBe("S40: actual finish 24 Mar 2027, duration 40d → 26d");
    expect(sinceSaid({ ...change, what: "removed" })).toBe("S40 removed");
  });
});

describe("the track record", () => {
  const tally: TallyView = {
    count: 14,
    belowEnd: 0,
    under20: 1,
    to50: 3,
    to80: 2,
    beyond80: 8,
    beyond90: 6,
    beyondEnd: 2,
    low90: 0.1766,
    high90: 0.7114,
    chance80: 0.0024,
    chance20: 0.95,
  };

  it("blames ranges only where chance alone would seldom do so", () => {
    expect(verdict(tally)).toBe(
      "ranges have been too narrow upwards: 8 of 14 lie beyond P80; chance alone would do this in fewer than 1 of 100 cases.",
    );
    expect(verdict({ ...tally, chance80: 0.4 })).toBe(
      "what happened is what ranges that are right would let one expect.",
    );
    expect(verdict({ ...tally, chance80: 0.4, chance20: 0.03, under20: 7 })).toContain(
      "ranges have been too high: 7 of 14",
    );
    expect(beyondWords(tally)).toBe("6 of 14 beyond P90; so few allow anything from 18 % to 71 % in truth");
  });
});
