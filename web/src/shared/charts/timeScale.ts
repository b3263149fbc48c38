import { civil, DAY_MS } from "../format/dates";
import { locale } from "../format/locale";
import type { PlanView } from "../api/client";

export type Zoom = "whole" | "months" | "weeks" | "days";

const PIXELS_A_DAY: Record<Exclude<Zoom, "whole">, number> = { months: 3.2, weeks: 9, days: 26 };
const MARGIN = 0.03;
/** Pixels that the number of a year takes. */
const LEAST_YEAR = 34;

/** A time axis: from times to pixels across the drawing. */
export interface TimeScale {
  start: number;
  end: number;
  width: number;
  x: (time: number) => number;
}

/** What the plan's drawing spans: all work, planned and simulated, and the target, with a margin. */
export function extent(plan: PlanView, simulatedTo = 0): { start: number; end: number } {
  const times = [civil(plan.project.start), civil(plan.finish)];
  if (simulatedTo > 0) times.push(simulatedTo);
  if (plan.project.targetFinish) times.push(civil(plan.project.targetFinish));
  const start = Math.min(...times);
  const end = Math.max(...times, start + 7 * DAY_MS);
  const margin = (end - start) * MARGIN;
  return { start: start - margin, end: end + 2 * margin };
}

/** The width a zoom asks for; 0 for as much as there is. */
export function wantedWidth(zoom: Zoom, { start, end }: { start: number; end: number }): number {
  return zoom === "whole" ? 0 : ((end - start) / DAY_MS) * PIXELS_A_DAY[zoom];
}

export function timeScale({ start, end }: { start: number; end: number }, width: number): TimeScale {
  return { start, end, width, x: (time) => ((time - start) / (end - start)) * width };
}

export interface Tick {
  time: number;
  label: string;
}

type Unit = "day" | "week" | "month" | "quarter" | "year";

function floorTo(unit: Unit, time: number): number {
  const date = new Date(time);
  const [y, m] = [date.getUTCFullYear(), date.getUTCMonth()];
  if (unit === "year") return Date.UTC(y, 0, 1);
  if (unit === "quarter") return Date.UTC(y, m - (m % 3), 1);
  if (unit === "month") return Date.UTC(y, m, 1);
  const midnight = Math.floor(time / DAY_MS) * DAY_MS;
  return unit === "day" ? midnight : midnight - ((date.getUTCDay() + 6) % 7) * DAY_MS;
}

function next(unit: Unit, time: number): number {
  const date = new Date(time);
  const [y, m] = [date.getUTCFullYear(), date.getUTCMonth()];
  if (unit === "year") return Date.UTC(y + 1, 0, 1);
  if (unit === "quarter") return Date.UTC(y, m + 3, 1);
  if (unit === "month") return Date.UTC(y, m + 1, 1);
  return time + (unit === "day" ? 1 : 7) * DAY_MS;
}

/** The starts of units that lie within a scale, the first one cut to its start. */
function starts(unit: Unit, scale: TimeScale): number[] {
  const times: number[] = [];
  for (let time = floorTo(unit, scale.start); time < scale.end; time = next(unit, time)) times.push(time);
  return times;
}

const formats = {
  day: new Intl.DateTimeFormat(locale, { timeZone: "UTC", day: "numeric" }),
  week: new Intl.DateTimeFormat(locale, { timeZone: "UTC", day: "numeric" }),
  month: new Intl.DateTimeFormat(locale, { timeZone: "UTC", month: "short" }),
  monthOfYear: new Intl.DateTimeFormat(locale, {
    timeZone: "UTC",
    month: "long",
    year: "numeric",
  }),
  year: new Intl.DateTimeFormat(locale, { timeZone: "UTC", year: "numeric" }),
};

/** Two rows of labels, coarse over fine, as the room allows. */
export function ticks(scale: TimeScale): { coarse: Tick[]; fine: Tick[] } {
  const perDay = scale.width / ((scale.end - scale.start) / DAY_MS);
  const label = (unit: Unit, format: Intl.DateTimeFormat) =>
    starts(unit, scale).map((time) => ({ time, label: format.format(time) }));
  if (perDay >= 20) return { coarse: label("month", formats.monthOfYear), fine: label("day", formats.day) };
  if (perDay >= 6) return { coarse: label("month", formats.monthOfYear), fine: label("week", formats.week) };
  if (perDay >= 0.9) return { coarse: label("year", formats.year), fine: label("month", formats.month) };
  if (perDay >= 0.3) return { coarse: label("year", formats.year), fine: label("quarter", formats.month) };
  const years = label("year", formats.year);
  const every = [1, 2, 5, 10].find((step) => perDay * 365 * step >= LEAST_YEAR) ?? 20;
  return { coarse: [], fine: years.filter(({ time }) => new Date(time).getUTCFullYear() % every === 0) };
}
