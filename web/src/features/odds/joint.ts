import type { JointView } from "../../shared/api/client";
import { type Plot, plotOf } from "../../shared/charts/plot";
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

const MARGIN = 0.04;
const ROOM = { left: 66, right: 8, top: 0, bottom: 26 };

/** Futures by finish (across) and cost (up): all of them and both limits, with some room. */
export function jointPlot(joint: JointView, width: number, height: number): Plot {
  const times = joint.points.map((point) => civil(point.finish)).concat(civil(joint.date));
  const costs = joint.points.map((point) => point.cost).concat(joint.amount);
  const spread = (values: number[]) => {
    const low = values.reduce((least, value) => Math.min(least, value), Infinity);
    const high = values.reduce((most, value) => Math.max(most, value), -Infinity);
    const room = MARGIN * (high - low || 1);
    return [low - room, high + room] as const;
  };
  const [min, max] = spread(times);
  const [low, high] = spread(costs);
  return plotOf({ min, max, low, high }, width, height, ROOM);
}
