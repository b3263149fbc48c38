import type { CostOdds, CostReading, FinishOdds, FinishReading } from "../../shared/api/client";
import { civil, DAY_MS, formatDay, parseDay } from "../../shared/format/dates";
import { formatMoney, formatOne, formatSigned, formatWhole, parseNumber } from "../../shared/format/numbers";

export type QuantityName = "finish" | "cost";

/** A value with its chance, as numbers: instants in milliseconds, or money. */
export interface Reading {
  value: number;
  /** 0 to 1 */
  chance: number;
  low: number;
  high: number;
  fromPlan: number;
}

/** One quantity's odds on a numeric axis, and how its values are written and read. */
export interface Quantity {
  name: QuantityName;
  title: string;
  plan: Reading;
  target?: Reading;
  levels: Reading[];
  edges: number[];
  counts: number[];
  /** Values at even steps of chance from 0 to 1. */
  curve: number[];
  mean: number;
  mode: number;
  min: number;
  max: number;
  sd: string;
  format: (value: number) => string;
  formatFromPlan: (difference: number) => string;
  /** Half the width of a reading's 95 % interval. */
  formatError: (reading: Reading) => string;
  parse: (text: string) => number | undefined;
  /** The finest step the reading line moves in. */
  snap: (value: number) => number;
}

const END_OF_DAY = DAY_MS - 60_000;

export const finishReading = (reading: FinishReading): Reading => ({
  ...reading,
  value: civil(reading.value),
  low: civil(reading.low),
  high: civil(reading.high),
});

export const costReading = (reading: CostReading): Reading => reading;

export function finishQuantity(odds: FinishOdds): Quantity {
  return {
    name: "finish",
    title: "Project finish",
    plan: finishReading(odds.plan),
    target: odds.target && finishReading(odds.target),
    levels: odds.levels.map(finishReading),
    edges: odds.edges.map(civil),
    counts: odds.counts,
    curve: odds.curve.map(civil),
    mean: civil(odds.mean),
    mode: civil(odds.mode),
    min: civil(odds.min),
    max: civil(odds.max),
    sd: `${formatOne(odds.sd)} working days`,
    format: formatDay,
    formatFromPlan: (days) => `${formatSigned(Math.round(days))} d`,
    formatError: ({ low, high }) => `± ${formatWhole(Math.max(1, Math.ceil((high - low) / DAY_MS / 2)))} d`,
    parse: (text) => {
      const day = parseDay(text);
      return day === undefined ? undefined : day + END_OF_DAY;
    },
    snap: (time) => Math.floor(time / DAY_MS) * DAY_MS + END_OF_DAY,
  };
}

export function costQuantity(odds: CostOdds, currency: string): Quantity {
  const money = (amount: number) => formatMoney(amount, currency, true);
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, odds.max - odds.min))) - 2);
  return {
    name: "cost",
    title: "Project cost",
    plan: costReading(odds.plan),
    target: odds.target && costReading(odds.target),
    levels: odds.levels.map(costReading),
    edges: odds.edges,
    counts: odds.counts,
    curve: odds.curve,
    mean: odds.mean,
    mode: odds.mode,
    min: odds.min,
    max: odds.max,
    sd: formatMoney(odds.sd, currency),
    format: (amount) => money(Math.abs(amount) < 10_000 ? amount : Math.round(amount / 1000) * 1000),
    formatFromPlan: (difference) => formatSigned(difference, (amount) => formatMoney(amount, currency)),
    formatError: ({ low, high }) => `± ${formatMoney((high - low) / 2, currency)}`,
    parse: (text) => {
      const scale = /m\s*$/i.test(text) ? 1e6 : /k\s*$/i.test(text) ? 1e3 : 1;
      const value = parseNumber(text.replace(/[^\d.,+\-\s]/g, ""));
      return value === undefined ? undefined : value * scale;
    },
    snap: (amount) => Math.round(amount / step) * step,
  };
}

/** The chance of a value, read off the curve; for drawing only. */
export function chanceOnCurve(curve: number[], value: number): number {
  const above = curve.findIndex((v) => v > value);
  if (above === 0) return 0;
  if (above < 0) return 1;
  const [left, right] = [curve[above - 1] ?? value, curve[above] ?? value];
  return (above - 1 + (right > left ? (value - left) / (right - left) : 1)) / (curve.length - 1);
}

/** The value of a chance, read off the curve; for drawing only. */
export function valueOnCurve(curve: number[], chance: number): number {
  const at = Math.max(0, Math.min(1, chance)) * (curve.length - 1);
  const left = Math.min(curve.length - 2, Math.floor(at));
  const [a, b] = [curve[left] ?? 0, curve[left + 1] ?? 0];
  return a + (b - a) * (at - left);
}
