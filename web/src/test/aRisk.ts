import type { ResponseView, RiskView } from "../shared/api/client";

type Effect = RiskView["effects"][number];

/** An effect for tests. */
export const anEffect = (more: Partial<Effect> = {}): Effect => ({
  effect: "addTime",
  on: ["A10"],
  draw: "shared",
  low: 10,
  high: 60,
  mean: 30,
  basis: "days",
  text: "10..25..60d on A10",
  distribution: { shape: "triangular", low: 10, likely: 25, high: 60, basis: "days" },
  ...more,
});

/** A response for tests. */
export const A_RESPONSE: ResponseView = {
  chance: 0.1,
  chanceText: "10 %",
  timeText: "",
  moneyText: "",
  effects: [],
  actions: [],
  decided: false,
  done: false,
  cost: 1000,
  size: { chance: 0.1, days: 0, money: 0 },
};

/** A risk for tests. */
export const aRisk = (id: string, more: Partial<RiskView> = {}): RiskView => ({
  id,
  title: `Risk ${id}`,
  kind: "threat",
  state: "open",
  category: "Site",
  owner: "",
  cause: "",
  event: "",
  consequence: "",
  notes: "",
  closedBecause: "",
  chance: 0.3,
  chanceText: "30 %",
  timeText: "",
  moneyText: "",
  effects: [],
  size: { chance: 0.3, days: 0, money: 0 },
  ...more,
});
