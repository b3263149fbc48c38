import type { JointView } from "../../shared/api/client";
import { civil, formatDay } from "../../shared/format/dates";
import { formatChance, formatMoney } from "../../shared/format/numbers";

/** What date and budget are worth together. */
export function jointSentence(joint: JointView, currency: string): string {
  const date = sum(joint.both, joint.dateOnly);
  const budget = sum(joint.both, joint.costOnly);
  return `${formatDay(joint.date)} and ${formatMoney(joint.amount, currency)} are kept together with a chance of ${formatChance(joint.both)}: the date alone with ${formatChance(date)}, the budget alone with ${formatChance(budget)}.`;
}

/** Without what adding up leaves behind, so that all futures are all. */
const sum = (one: number, other: number) => Number((one + other).toFixed(9));

export interface JointScale {
  x: (time: number) => number;
  y: (cost: number) => number;
  time: (x: number) => number;
  cost: (y: number) => number;
  low: { time: number; cost: number };
  high: { time: number; cost: number };
}

const MARGIN = 0.04;

/** From dates and amounts to pixels: all futures and both limits, with some room. */
export function jointScale(joint: JointView, width: number, height: number): JointScale {
  const times = joint.points.map((point) => civil(point.finish)).concat(civil(joint.date));
  const costs = joint.points.map((point) => point.cost).concat(joint.amount);
  const spread = (values: number[]) => {
    const low = values.reduce((least, value) => Math.min(least, value), Infinity);
    const high = values.reduce((most, value) => Math.max(most, value), -Infinity);
    const room = MARGIN * (high - low || 1);
    return [low - room, high + room] as const;
  };
  const [t0, t1] = spread(times);
  const [c0, c1] = spread(costs);
  return {
    x: (time) => ((time - t0) / (t1 - t0)) * width,
    y: (cost) => height - ((cost - c0) / (c1 - c0)) * height,
    time: (x) => t0 + (x / width) * (t1 - t0),
    cost: (y) => c0 + ((height - y) / height) * (c1 - c0),
    low: { time: t0, cost: c0 },
    high: { time: t1, cost: c1 },
  };
}
