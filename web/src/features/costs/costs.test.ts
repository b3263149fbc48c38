import { describe, expect, it } from "vitest";
import type {
  CashFlow,
  CostCauses,
  FlowPeriod,
  MoneyRows,
  PlanView,
  ResourceLoad,
  ResourceView,
} from "../../shared/api/client";
import { aPlan } from "../../test/aPlan";
import { causesOf } from "./CauseBars";
import { rangeText } from "./costColumns";
import { contingencySentence, dayWorthSentence, delaySentence } from "./costWords";
import { flowSentence, flowTable, fundedIn, periodName, steps } from "./flow";
import { loadSentence } from "./LoadPanel";
import { categoriesOf, longest, moneyOf, withAbove } from "./money";
import { draftOf, wordsOf } from "./prices";

function priced(): PlanView {
  const plan = aPlan(["A10", "A20"]);
  return {
    ...plan,
    branches: [...plan.branches, { id: "S1", parent: "S", code: "1.1", name: "Road" }],
    activities: plan.activities.map((one) => (one.id === "A20" ? { ...one, wbs: "S1" } : one)),
    costs: [
      { id: "K1", on: "A10", name: "Crane", amount: 1000, category: "Plant/Cranes", spent: 200 },
      { id: "K2", on: "A20", name: "Road", amount: 400, category: "" },
      { id: "K3", on: "project", name: "Office", amount: 50, category: "Plant" },
    ],
    resources: [{ id: "crew", name: "Crew", rate: 10, per: "day", rates: [], category: "Plant" }],
    assignments: [{ activity: "A20", resource: "crew", units: 1 }],
    figures: [
      { id: "K1", planned: 1000, fixed: 250, perDay: 50 },
      { id: "K2", planned: 400, fixed: 400 },
      { id: "K3", planned: 50, fixed: 50 },
      { id: "A20", resource: "crew", planned: 80, fixed: 0, perDay: 10 },
    ],
  } as unknown as PlanView;
}

describe("money of rows", () => {
  const money = moneyOf(priced(), undefined);

  it("adds up from lines to activities, branches, categories and the project", () => {
    expect(money.get("A20")?.planned).toBe(480);
    expect(money.get("A20/crew")?.perDay).toBe(10);
    expect(money.get("S1")?.planned).toBe(480);
    expect(money.get("S")).toMatchObject({ planned: 1480, fixed: 650, spent: 200, toGo: 1280 });
    expect(money.get("project")?.planned).toBe(1530);
    expect(money.get("/Plant")?.planned).toBe(1130);
    expect(money.get("/Plant/Cranes")?.planned).toBe(1000);
    expect(money.get("/")?.planned).toBe(400);
  });

  it("takes simulated values over by what they are of", () => {
    const row = (key: string, at: number) => ({ key, mean: 0, p50: 0, at, low: 0, high: 0, heights: [] });
    const rows = {
      iterations: 1,
      level: 80,
      scarce: false,
      rows: [
        row("line:K1", 1),
        row("row:S", 2),
        row("work:A20/crew", 3),
        row("category:Plant", 4),
        row("project", 5),
      ],
    } as MoneyRows;
    const all = moneyOf(priced(), rows);
    const at = ["K1", "S", "A20/crew", "/Plant", "project"].map((id) => all.get(id)?.simulated?.at);
    expect(at).toEqual([1, 2, 3, 4, 5]);
  });

  it("knows categories with those above them", () => {
    expect(categoriesOf(priced())).toEqual(["Plant", "Plant/Cranes"]);
    expect(withAbove("a/b/c")).toEqual(["a", "a/b", "a/b/c"]);
    expect(withAbove("")).toEqual([""]);
  });

  it("is drawn on the largest that is no branch", () => {
    const rows = [
      { kind: "branch", id: "S", depth: 0 },
      { kind: "cost", id: "K1", depth: 1 },
    ] as never;
    expect(longest(money, rows)).toBe(1000);
  });

  it("tells ranges in percent of planned, and certainty", () => {
    const cost = (range: object) => ({ ...priced().costs[0], range }) as PlanView["costs"][number];
    expect(rangeText(cost({ density: [], planned: 10, shape: "certain" }), [])).toBe("certain");
    expect(rangeText(cost({ density: [1], planned: 100, low: 92, high: 135, shape: "triangular" }), [])).toBe(
      "−8 … +35 % triangular",
    );
  });
});

const figures = (planned: number, p50: number, at: number) => ({
  planned,
  mean: p50,
  p10: p50,
  p50,
  at,
  p90: at,
});

const period = (from: string, to: string, within: number, toDate: number): FlowPeriod => ({
  from,
  to,
  within: figures(within, within, within),
  toDate: figures(toDate, toDate, toDate),
});

const FLOW: CashFlow = {
  iterations: 1000,
  level: 80,
  periods: [period("2027-03-01", "2027-03-31", 100, 100), period("2027-04-01", "2027-04-30", 300, 400)],
};

const FUNDED: CashFlow = {
  ...FLOW,
  funding: {
    throughout: 0.66,
    short50: 120_000,
    shortAt: 200_000,
    breaks: { from: "2027-04-15", to: "2027-04-30", available: 350, within: 0.7, breaks: 0.3 },
    stretches: [
      { from: "2027-03-01", to: "2027-03-31", available: 200, within: 1, breaks: 0 },
      { from: "2027-04-01", to: "2027-04-14", available: 200, within: 0.9, breaks: 0.04 },
      { from: "2027-04-15", to: "2027-04-30", available: 350, within: 0.7, breaks: 0.3 },
    ],
  },
};

describe("cash flow", () => {
  it("says when money runs ahead of the funding, how often and by how much", () => {
    expect(flowSentence(FUNDED, "month", "EUR")).toBe(
      "Money runs ahead of the funding in 34 of 100 futures, most often first in Apr 2027, by €120k in half of those.",
    );
    expect(flowSentence({ ...FUNDED, funding: { throughout: 1, stretches: [] } }, "month", "EUR")).toBe(
      "The funding suffices at all times in every future.",
    );
  });

  it("says without funding what falls due in the end and when the most does", () => {
    expect(flowSentence(FLOW, "month", "EUR")).toBe(
      "€400 are spent in the end at P80; the most falls due in Apr 2027, €300 in half of all futures.",
    );
  });

  it("tells the tightest chance within a period, and what is there by its end", () => {
    expect(fundedIn(FUNDED, FUNDED.periods[1] as FlowPeriod)).toEqual({ available: 350, within: 0.7 });
    expect(fundedIn(FLOW, FLOW.periods[1] as FlowPeriod)).toBeUndefined();
  });

  it("is a table with a row a period", () => {
    const table = flowTable(FUNDED, "month");
    expect(table.columns.at(-1)).toBe("Chance to stay within, %");
    expect(table.rows[1]?.at(-1)).toBe(70);
    expect(table.rows[1]?.[table.columns.indexOf("Planned to date")]).toBe(400);
  });

  it("names periods and adds steps of funding up by their days", () => {
    expect(periodName("2027-04-01", "quarter")).toBe("Q2 2027");
    expect(periodName("2027-04-05", "week")).toBe("week of 5 Apr 2027");
    expect(
      steps([
        { date: "2028-01-01", amount: 5, name: "" },
        { date: "2027-01-01", amount: 2, name: "" },
      ]),
    ).toEqual([
      { date: "2027-01-01", sum: 2 },
      { date: "2028-01-01", sum: 7 },
    ]);
  });
});

describe("why it costs", () => {
  const causes = {
    level: 80,
    with: 735_000,
    without: 398_000,
    days: 74,
    dayCosts: 2450,
    groups: [],
    whole: { group: "project", planned: 10, ranges: 3, delay: 4, risks: 2, actions: 1, at: 20, mean: 15 },
  } as CostCauses;

  it("is said of delay alone, of what to set aside, and of a day", () => {
    expect(delaySentence(causes, "EUR")).toBe("Delay alone asks for another €337k at P80.");
    expect(delaySentence({ ...causes, with: 1, without: 1 }, "EUR")).toContain("no money grows with it");
    expect(contingencySentence(causes, "EUR")).toContain("€398k would do");
    expect(dayWorthSentence(causes, "EUR")).toContain("74 working days");
    expect(dayWorthSentence({ ...causes, dayCosts: 0 }, "EUR")).toBe("");
  });

  it("adds up cause by cause", () => {
    expect(causesOf(causes.whole).reduce((sum, one) => sum + one.amount, 0)).toBe(causes.whole.at);
  });
});

describe("rising prices", () => {
  it("are typed in percent, with a range where they are uncertain", () => {
    expect(wordsOf({ category: " Steel ", rate: "4 %" })).toEqual({ category: "Steel", perYear: 0.04 });
    expect(wordsOf({ category: "", rate: "2..6" })).toEqual({
      category: "",
      perYear: { shape: "uniform", low: 0.02, high: 0.06 },
    });
    expect(wordsOf({ category: "", rate: "2..4..7" })).toMatchObject({
      perYear: { shape: "triangular", low: 0.02, likely: 0.04, high: 0.07 },
    });
    expect(wordsOf({ category: "", rate: "some" })).toHaveProperty("refusal");
    expect(wordsOf({ category: "", rate: "7..4..2" })).toEqual({
      refusal: "“7..4..2” of all prices does not rise; the lowest comes first, as in 2..4..7.",
    });
  });

  it("are written as they are typed", () => {
    expect(draftOf({ category: "Steel", perYear: 0.04 })).toEqual({ category: "Steel", rate: "4" });
    expect(
      draftOf({
        category: "",
        perYear: 0.04,
        shape: { shape: "triangular", low: 0.02, likely: 0.04, high: 0.07 },
      }).rate,
    ).toBe("2..4..7");
  });
});

describe("the load of a resource", () => {
  const crew = { id: "crew", name: "Crew", rate: 1, per: "day", rates: [], category: "" } as ResourceView;
  const load = (limit?: number, everExceeded?: number): ResourceLoad => ({
    resource: "crew",
    iterations: 1000,
    level: 80,
    limit,
    everExceeded,
    periods: [{ from: "2027-03-01", to: "2027-03-07", planned: 2, p50: 1, at: 2, exceeded: 0.25 }],
  });

  it("is told against its limit", () => {
    expect(loadSentence(crew, load())).toContain("no limit is set");
    expect(loadSentence(crew, load(3, 0))).toContain("never more than the 3 there are");
    expect(loadSentence(crew, load(1, 0.3))).toContain("is needed in 30 of 100 futures");
  });
});
