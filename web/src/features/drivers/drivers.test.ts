import { describe, expect, it } from "vitest";
import type {
  DriversView,
  MovesView,
  PathView,
  ScatterView,
  SharedRow,
  StaircaseView,
} from "../../shared/api/client";
import { aPlan } from "../../test/aPlan";
import { goalOf } from "./goal";
import { fourFifths, membersOf, rowsOf } from "./measures";
import { headline, meaning, rankText, rowSentence, slopeText, valueText } from "./measureWords";
import { partsSentence, pathSentence, pathsSentence, sharedWords } from "./pathWords";
import { offsetIn, riverOf } from "./river";
import { axisTicks, conditional, drawnWords, shapeWords, tidied, typedLine } from "./scatter";
import { stairSentence } from "./staircaseWords";
import { pathName, waysOf } from "./ways";

const plan = aPlan();
const finish = goalOf(plan, { what: "finish", of: "project" });
const cost = goalOf(plan, { what: "cost", of: "project" });
const NONE: ReadonlySet<string> = new Set();

const input = (key: string, name: string, mark = "estimate") => {
  const [kind = "", id = ""] = key.split(":");
  return { key, kind, id, name, mark };
};

const view: DriversView = {
  iterations: 5000,
  mean: { date: "2028-09-27T17:00:00" },
  plan: { date: "2028-07-10T17:00:00" },
  sd: 20,
  varies: true,
  unexplained: 0.1,
  rows: [
    {
      input: input("estimate:A10:0", "Permit"),
      unit: "day",
      low: -10,
      high: 20,
      error: 2,
      best: 1,
      worst: 1,
      contribution: 0.5,
      slope: 0.7,
      spearman: 0.4,
      coefficient: 0.6,
    },
    {
      input: input("risk:R1:0", "Objection", "threat"),
      unit: "day",
      low: -4,
      high: 12,
      error: 2,
      best: 2,
      worst: 3,
      contribution: 0.3,
    },
    {
      input: input("risk:R2:0", "Early blank", "opportunity"),
      unit: "day",
      low: 8,
      high: -10,
      error: 2,
      best: 2,
      worst: 3,
      contribution: 0.1,
    },
    { input: input("estimate:A20:0", "Never varied"), unit: "day" },
  ],
  groups: [],
};

describe("what moves it", () => {
  it("stands by the size of what it moves, whatever its sign, and what never varied comes last", () => {
    const rows = rowsOf(view, undefined, "swing", NONE);
    expect(rows.map((row) => row.name)).toEqual(["Permit", "Early blank", "Objection", "Never varied"]);
    expect(rows.map((row) => valueText(row, "swing", finish))).toEqual(["+30.0 d", "−18.0 d", "+16.0 d", ""]);
    expect(rows.map(rankText)).toEqual(["1", "2–3", "2–3", ""]);
  });

  it("draws the line where four fifths of what is explained are reached", () => {
    const rows = rowsOf(view, undefined, "contribution", NONE);
    expect(fourFifths(rows)).toBe(1);
    expect(rows.map((row) => row.last ?? false)).toEqual([false, true, false, false]);
    expect(fourFifths([])).toBeUndefined();
  });

  it("says first what moves most, and how few carry it", () => {
    const rows = rowsOf(view, undefined, "contribution", NONE);
    expect(headline(rows, view, "contribution", finish)).toBe(
      "Permit moves the finish most. 2 of 4 inputs carry four fifths of what is explained.",
    );
    expect(headline([], { ...view, varies: false }, "swing", finish)).toBe(
      "The finish came out the same in every future, so nothing moves it.",
    );
    expect(headline([], { ...view, rows: [] }, "swing", finish)).toBe("Nothing in this plan is uncertain.");
  });

  it("gathers what belongs together under its sum, shut until it is opened", () => {
    const grouped: DriversView = {
      ...view,
      groups: [{ id: "S", name: "Site", value: 46, keys: ["estimate:A10:0", "risk:R1:0"] }],
    };
    expect(rowsOf(grouped, undefined, "swing", NONE).map((row) => row.name)).toEqual(["Site"]);
    const open = rowsOf(grouped, undefined, "swing", new Set(["group S"]));
    expect(open.map((row) => [row.name, row.depth])).toEqual([
      ["Site", 0],
      ["Permit", 1],
      ["Objection", 1],
    ]);
    const head = open[0];
    if (!head) throw new Error("no group");
    expect(membersOf(head, grouped, undefined, "swing").map((row) => row.name)).toEqual([
      "Permit",
      "Objection",
    ]);
    expect(rowSentence(head, "swing", finish)).toContain("2 inputs of “Site” make 46.0 d");
    expect(rowsOf(grouped, undefined, "rank", NONE)).toHaveLength(4);
  });

  it("tells what removal would do, with its error", () => {
    const moves: MovesView = {
      state: "done",
      level: 80,
      iterations: 5000,
      done: 1,
      total: 1,
      rows: [
        {
          input: input("risk:R1:0", "Objection", "threat"),
          value: { date: "2028-10-01T17:00:00" },
          change: -7,
          error: 1,
        },
      ],
      groups: [],
    };
    const [row] = rowsOf(view, moves, "removal", NONE);
    if (!row) throw new Error("no row");
    expect(rowSentence(row, "removal", finish)).toBe(
      "Were it off, P80 of the finish would come 7.0 days earlier (± 1.0 day).",
    );
    expect(rowSentence({ ...row, value: 0, error: 0.4 }, "removal", finish)).toBe(
      "It moves P80 of the finish by less than 0.4 days, which is less than so many futures can tell.",
    );
  });

  it("has a sentence for every measure and for what it means", () => {
    const [row] = rowsOf(view, undefined, "swing", NONE);
    if (!row) throw new Error("no row");
    for (const measure of [
      "swing",
      "removal",
      "day",
      "tenth",
      "contribution",
      "rank",
      "slope",
      "coefficient",
    ] as const) {
      expect(rowSentence({ ...row, value: 0.5 }, measure, finish)).toMatch(/\.$/);
      expect(meaning(measure, cost, "€5m")).toMatch(/\.$/);
    }
    expect(rowSentence({ ...row, value: undefined }, "swing", finish)).toContain("the same in every future");
    expect(slopeText(0.7, "day", finish)).toBe("0.7 d a day");
    expect(slopeText(1200, "day", cost)).toMatch(/1\.2.*a day/);
    expect(slopeText(0.00002, "money", finish)).toContain("per");
  });
});

const scatter: ScatterView = {
  x: { key: "estimate:A10:0", name: "Permit", unit: "day", line: 100, low: 50, high: 140, counts: [] },
  y: {
    key: "finish:project",
    name: "Finish of the project",
    unit: "date",
    line: Date.UTC(2028, 9, 2, 17),
    low: Date.UTC(2028, 6, 1),
    high: Date.UTC(2029, 4, 1),
    counts: [],
  },
  futures: 5000,
  every: 3,
  points: [],
  both: 0.56,
  onlyX: 0.24,
  onlyY: 0.07,
  neither: 0.13,
  beyond: 0.66,
  within: 0.3,
  pearson: 0.41,
  spearman: 0.43,
  error: 0.03,
  shaped: true,
  slope: 0.72,
};

describe("a scatter", () => {
  it("tells in words what follows from what", () => {
    expect(conditional(scatter, "EUR")).toBe(
      "When Permit takes over 100.0 d, the finish is later than 2 Oct 2028 in 66 of 100 futures; otherwise in 30.",
    );
    expect(conditional({ ...scatter, within: 0.65 }, "EUR", "it")).toContain(
      "otherwise in 65, much the same",
    );
    expect(conditional({ ...scatter, beyond: undefined }, "EUR")).toContain("move the line");
    const struck = { ...scatter, x: { ...scatter.x, key: "risk:R1:0", line: 0 } };
    expect(conditional(struck, "EUR")).toContain("When Permit strikes");
  });

  it("says when the cloud has no shape, and what its shape does not say", () => {
    expect(shapeWords({ ...scatter, shaped: false, spearman: 0.01 }, "EUR")).toContain("has no shape");
    expect(shapeWords({ ...scatter, spearman: undefined }, "EUR")).toContain("the same in every future");
    expect(shapeWords(scatter, "EUR")).toContain("rises by 0.72 d for each day");
    expect(shapeWords(scatter, "EUR")).toContain("Neither says that one makes the other");
  });

  it("says how many are drawn of how many", () => {
    expect(drawnWords(scatter)).toContain("of 5,000 futures are drawn, one in 3");
    expect(drawnWords({ ...scatter, every: 1 })).toBe("All 5,000 futures are drawn.");
  });

  it("takes lines as they are typed, and says why not", () => {
    expect(typedLine(scatter.x, "90 d")).toEqual({ value: 90 });
    expect(typedLine(scatter.y, "1 Nov 2028")).toEqual({ value: Date.UTC(2028, 10, 1, 23, 59) });
    expect(typedLine(scatter.y, "soon")).toHaveProperty("refusal");
    expect(typedLine(scatter.x, "long")).toHaveProperty("refusal");
    expect(tidied(scatter.x, 99.876)).toBeCloseTo(99.9, 9);
    expect(axisTicks({ ...scatter.x, low: 5, high: 5 }, 4, "EUR")).toHaveLength(1);
  });
});

const step = (id: string, start: string, finish: string) => ({
  id,
  name: `Work ${id}`,
  start: `${start}T08:00:00`,
  finish: `${finish}T17:00:00`,
});

const path = (
  number: number,
  share: number,
  steps: ReturnType<typeof step>[],
  more: Partial<PathView> = {},
): PathView => ({
  number,
  share,
  meanDays: 400,
  sdDays: 20,
  planned: 1,
  beyond: [share],
  example: 1,
  steps,
  ...more,
});

const S = step("S", "2027-03-01", "2027-03-10");
const E = step("E", "2028-06-01", "2028-09-01");
const paths = [
  path(1, 0.6, [S, step("A", "2027-03-10", "2027-12-01"), step("B", "2027-12-01", "2028-06-01"), E]),
  path(2, 0.3, [S, step("M", "2027-03-10", "2028-06-01"), E], {
    partsAt: "M",
    meetsAt: "E",
    lateShare: 0.45,
  }),
  path(3, 0.1, [S, step("A", "2027-03-10", "2027-12-01"), step("C", "2027-12-01", "2028-06-01"), E]),
];

describe("paths", () => {
  it("that are mostly the same work are one way, called by what the others seldom have", () => {
    const ways = waysOf(paths);
    expect(ways.map(({ share, paths: its }) => [Math.round(share * 100), its.length])).toEqual([
      [70, 2],
      [30, 1],
    ]);
    expect(pathsSentence(ways, "the finish")).toBe(
      "Two ways lead to the finish: through Work A in 70 of 100 futures and Work M in 30.",
    );
    expect(paths.map((one) => pathName(one, ways))).toEqual(["Work A", "Work M", "Work A, by Work C"]);
  });

  it("are drawn as a river: what they share lies together, as wide as their share, and nothing covers another", () => {
    const river = riverOf(paths);
    const of = (id: string) => {
      const reach = river.reaches.find(({ ids }) => ids.includes(id));
      if (!reach) throw new Error(id);
      return reach;
    };
    expect(of("S").share).toBeCloseTo(1, 9);
    expect(of("A").paths).toHaveLength(2);
    expect(of("B").ids).toEqual(["B"]);
    expect(of("B").top).toBe(0);
    expect(of("C").top).toBeGreaterThanOrEqual(of("B").top + of("B").share);
    expect(of("M").top).toBeGreaterThanOrEqual(of("C").top + of("C").share);
    expect(offsetIn(of("A"), 3, river.shares)).toBeCloseTo(0.6, 9);
    expect(river.passages.filter((passage) => passage.path === 2)).toHaveLength(2);
  });

  it("say how they do among the late futures, and where they part", () => {
    const second = paths[1];
    if (!second) throw new Error("no path");
    expect(pathSentence(second, "2 Oct 2028")).toBe(
      "It drives in 30 of 100 futures, but in 45 of 100 of those that end after 2 Oct 2028: where it drives, it is long.",
    );
    expect(partsSentence(second)).toBe("It parts from the most frequent path at M, and meets it again at E.");
  });
});

describe("what late futures share", () => {
  const row: SharedRow = {
    input: input("estimate:A10:0", "Permit"),
    unit: "day",
    struck: false,
    late: 92,
    others: 80,
    difference: 0.7,
    error: 0.1,
    cut: 88.9,
    lateBeyond: 0.59,
    othersBeyond: 0.28,
  };

  it("is told by the value that parts them best, or by how often a risk struck", () => {
    expect(sharedWords(row, "EUR")).toEqual({
      what: "Permit took over 88.9 days",
      how: "in 59 of 100 of these, otherwise in 28",
    });
    expect(sharedWords({ ...row, lateBeyond: 0.2, othersBeyond: 0.6 }, "EUR").what).toBe(
      "Permit took at most 88.9 days",
    );
    expect(sharedWords({ ...row, struck: true, late: 0.4, others: 0.15 }, "EUR").how).toBe(
      "in 40 of 100 of these, otherwise in 15",
    );
  });
});

describe("a staircase", () => {
  const stairs: StaircaseView = {
    level: 80,
    asItIs: 3,
    steps: [
      { cause: "plan", value: { date: "2028-07-10T17:00:00" }, change: 0, opens: false },
      { cause: "longestPath", value: { date: "2028-09-08T17:00:00" }, change: 44, opens: true },
      { cause: "threats", value: { date: "2028-10-23T17:00:00" }, change: 26, opens: true },
      { cause: "responses", value: { date: "2028-10-06T17:00:00" }, change: -10, opens: true },
    ],
  };

  it("says what the way to the percentile is made of, without the responses that are not decided on", () => {
    expect(stairSentence(stairs, finish)).toBe(
      "Of the 70.0 days from the plan to P80, 44.0 days come from estimates on the plan's longest path and 26.0 days from threats.",
    );
    const still = { ...stairs, steps: stairs.steps.map((one) => ({ ...one, change: 0 })) };
    expect(stairSentence(still, cost)).toContain("nothing in it is uncertain");
  });
});
