import { DAY_MS, formatDay, formatShortDay } from "../format/dates";
import { formatMoney } from "../format/numbers";

/** A round value on an axis, in words. */
export interface RoundTick {
  value: number;
  label: string;
}

const MOST_DAYS = 45;

/** Firsts of months across a time axis, or Mondays where it is short. */
export function dateTicks(low: number, high: number, most: number): RoundTick[] {
  const span = (high - low) / DAY_MS;
  if (span < MOST_DAYS) {
    const weeks = Math.max(1, Math.ceil(span / most / 7));
    const first = nextMonday(low);
    return steps(first, high, weeks * 7 * DAY_MS).map((value) => ({ value, label: formatShortDay(value) }));
  }
  const every = [1, 2, 3, 6, 12, 24, 60, 120].find((step) => span / (30.4 * step) <= most) ?? 240;
  const ticks: RoundTick[] = [];
  const start = new Date(low);
  let month = start.getUTCFullYear() * 12 + start.getUTCMonth() + 1;
  month = Math.ceil(month / every) * every;
  for (let value = firstOf(month); value < high; month += every, value = firstOf(month))
    ticks.push({ value, label: formatDay(value) });
  return ticks;
}

const firstOf = (month: number) => Date.UTC(Math.floor(month / 12), month % 12, 1);

function nextMonday(time: number): number {
  const day = Math.ceil(time / DAY_MS);
  // Day 0 was a Thursday.
  return (day + ((11 - (((day % 7) + 7) % 7)) % 7)) * DAY_MS;
}

/** Round amounts across a money axis. */
export function amountTicks(low: number, high: number, most: number, currency: string): RoundTick[] {
  return roundTicks(low, high, most).map((value) => ({ value, label: formatMoney(value, currency) }));
}

/** Round numbers across an axis, at most so many or one more. */
export function roundTicks(low: number, high: number, most: number): number[] {
  const rough = (high - low) / most;
  const unit = 10 ** Math.floor(Math.log10(rough));
  const step = unit * ([1, 2, 5, 10].find((factor) => factor * unit >= 0.7 * rough) ?? 10);
  return steps(Math.ceil(low / step) * step, high, step);
}

function steps(first: number, high: number, step: number): number[] {
  const values = [];
  for (let value = first; value < high; value += step) values.push(value);
  return values;
}
