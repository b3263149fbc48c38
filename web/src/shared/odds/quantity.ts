import type { AmountOdds, AmountReading, DateOdds, DateReading } from "../api/client";
import { civil, DAY_MS, formatDay, parseDay } from "../format/dates";
import {
  formatDays,
  formatMoney,
  formatOne,
  formatSigned,
  formatWhole,
  numberExample,
  parseMoney,
  parseNumber,
} from "../format/numbers";
import { isDate, type QuantityName } from "./subject";

/** A value with its chance, as numbers: instants in milliseconds, money, or days. */
export interface Reading {
  value: number;
  /** 0 to 1 */
  chance: number;
  /** Half the 95 % interval of the chance. */
  chanceError: number;
  low: number;
  high: number;
  /** Calendar days, money, or days of work. */
  fromPlan: number;
  /** Of a date, in working days of the project. */
  workFromPlan?: number;
}

/** One quantity's odds on a numeric axis, and how its values are written and read. */
export interface Quantity {
  name: QuantityName;
  /** Of what, where it is not the project. */
  named?: string;
  title: string;
  plan: Reading;
  target?: Reading;
  /** What it comes from. */
  iterations: number;
  seed: number;
  sampling: string;
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
  skewness: number;
  kurtosis: number;
  format: (value: number) => string;
  /** What lies between two values: calendar days, money, or days of work. */
  formatFromPlan: (difference: number) => string;
  /** Half the width of a reading's 95 % interval. */
  formatError: (reading: Reading) => string;
  parse: (text: string) => number | undefined;
  /** What can be typed for a value. */
  example: string;
  /** The finest step the reading line moves in. */
  snap: (value: number) => number;
}

const END_OF_DAY = DAY_MS - 60_000;

export const dateReading = (reading: DateReading): Reading => ({
  ...reading,
  value: civil(reading.value),
  low: civil(reading.low),
  high: civil(reading.high),
});

export const amountReading = (reading: AmountReading): Reading => reading;

const TITLES: Record<QuantityName, string> = {
  finish: "Finish",
  start: "Start",
  cost: "Cost",
  duration: "Duration",
};

const titleOf = (name: QuantityName, named?: string) =>
  named ? `${TITLES[name]} of ${named}` : `${TITLES[name]} of the project`;

export function dateQuantity(odds: DateOdds, name: QuantityName, named?: string): Quantity {
  return {
    name,
    named,
    title: titleOf(name, named),
    plan: dateReading(odds.plan),
    target: odds.target && dateReading(odds.target),
    iterations: odds.iterations,
    seed: odds.seed,
    sampling: odds.sampling,
    levels: odds.levels.map(dateReading),
    edges: odds.edges.map(civil),
    counts: odds.counts,
    curve: odds.curve.map(civil),
    mean: civil(odds.mean),
    mode: civil(odds.mode),
    min: civil(odds.min),
    max: civil(odds.max),
    sd: `${formatOne(odds.sd)} working days`,
    skewness: odds.skewness,
    kurtosis: odds.kurtosis,
    format: formatDay,
    formatFromPlan: (days) => `${formatSigned(Math.round(days))} d`,
    formatError: ({ low, high }) => `± ${formatWhole(Math.max(1, Math.ceil((high - low) / DAY_MS / 2)))} d`,
    parse: (text) => {
      const day = parseDay(text);
      return day === undefined ? undefined : day + END_OF_DAY;
    },
    example: "a date such as 2028-06-02",
    snap: (time) => Math.floor(time / DAY_MS) * DAY_MS + END_OF_DAY,
  };
}

/** Cost in money, or duration in days. */
export function amountQuantity(
  odds: AmountOdds,
  name: QuantityName,
  currency: string,
  named?: string,
): Quantity {
  const step = 10 ** Math.floor(Math.log10(Math.max(1e-6, odds.max - odds.min)) - 2);
  const common = {
    name,
    named,
    title: titleOf(name, named),
    plan: amountReading(odds.plan),
    target: odds.target && amountReading(odds.target),
    iterations: odds.iterations,
    seed: odds.seed,
    sampling: odds.sampling,
    levels: odds.levels.map(amountReading),
    edges: odds.edges,
    counts: odds.counts,
    curve: odds.curve,
    mean: odds.mean,
    mode: odds.mode,
    min: odds.min,
    max: odds.max,
    skewness: odds.skewness,
    kurtosis: odds.kurtosis,
  };
  if (name === "duration") {
    const finest = Math.max(0.1, step);
    return {
      ...common,
      sd: `${formatOne(odds.sd)} days`,
      format: (days) => `${formatDays(Math.round(days * 10) / 10)} d`,
      formatFromPlan: (days) => `${formatSigned(days, formatOne)} d`,
      formatError: ({ low, high }) => `± ${formatOne((high - low) / 2)} d`,
      parse: (text) => parseNumber(text.replace(/d(ays?)?\s*$/i, "")),
      example: `a number of days such as ${numberExample(85)}`,
      snap: (days) => Math.round(days / finest) * finest,
    };
  }
  const money = (amount: number) => formatMoney(amount, currency, true);
  const finest = Math.max(1, step);
  return {
    ...common,
    sd: formatMoney(odds.sd, currency),
    format: (amount) => money(Math.abs(amount) < 10_000 ? amount : Math.round(amount / 1000) * 1000),
    formatFromPlan: (difference) => formatSigned(difference, (amount) => formatMoney(amount, currency)),
    formatError: ({ low, high }) => `± ${formatMoney((high - low) / 2, currency)}`,
    parse: (text) => parseMoney(text),
    example: `an amount such as ${numberExample(4.2)}m`,
    snap: (amount) => Math.round(amount / finest) * finest,
  };
}

/** How far a value lies above another, in what differences are told in. */
export const differenceOf = ({ name }: Quantity, value: number, other: number) =>
  isDate(name) ? (value - other) / DAY_MS : value - other;

/** How wide the bars of the histogram are, in words. */
export function barWidth({ name, edges, formatFromPlan }: Quantity): string {
  const width = (edges[1] ?? 0) - (edges[0] ?? 0);
  if (!isDate(name)) return formatFromPlan(width).replace(/^\+/, "");
  const days = Math.round(width / DAY_MS);
  if (days % 7 === 0 && days > 0) return days === 7 ? "a week" : `${days / 7} weeks`;
  return days === 1 ? "a day" : `${days} days`;
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
