import type { ScatterAxis, ScatterView } from "../../shared/api/client";
import { DAY_MS, formatDay, parseDay } from "../../shared/format/dates";
import {
  editedNumber,
  formatChance,
  formatDays,
  formatMoney,
  formatOne,
  formatSigned,
  formatWhole,
  parseMoney,
  parseNumber,
} from "../../shared/format/numbers";
import { amountTicks, dateTicks, roundTicks, type RoundTick } from "../../shared/charts/roundTicks";

const END_OF_DAY = DAY_MS - 60_000;
const ENOUGH = 0.02;

/** A value along an axis in words. */
export function axisValue({ unit }: ScatterAxis, value: number, currency: string): string {
  switch (unit) {
    case "date":
      return formatDay(value);
    case "money":
      return formatMoney(value, currency);
    case "day":
      return `${formatOne(value)} d`;
    case "hour":
      return `${formatOne(value)} h`;
    default:
      return formatDays(value);
  }
}

/** As it stands in a field to be changed. */
export const axisField = ({ unit }: ScatterAxis, value: number) =>
  unit === "date"
    ? formatDay(value)
    : editedNumber(unit === "money" ? Math.round(value) : Math.round(value * 100) / 100);

/** What was typed for a line, or why it is none. */
export function typedLine({ unit }: ScatterAxis, text: string): { value: number } | { refusal: string } {
  if (unit === "date") {
    const day = parseDay(text);
    return day === undefined
      ? { refusal: `A date is needed, such as ${formatDay(Date.UTC(2027, 4, 3))}, not “${text.trim()}”.` }
      : { value: day + END_OF_DAY };
  }
  const value = unit === "money" ? parseMoney(text) : parseNumber(text.replace(/\s*[a-z]+$/i, ""));
  return value === undefined ? { refusal: `A number is needed, not “${text.trim()}”.` } : { value };
}

export function axisTicks(axis: ScatterAxis, most: number, currency: string): RoundTick[] {
  const { unit, low, high } = axis;
  if (!(high > low)) return [{ value: low, label: axisValue(axis, low, currency) }];
  if (unit === "date") return dateTicks(low, high, most);
  if (unit === "money") return amountTicks(low, high, most, currency);
  return roundTicks(low, high, most).map((value) => ({
    value,
    label: unit === "day" ? `${formatDays(value)} d` : formatDays(value),
  }));
}

const isRisk = ({ key }: ScatterAxis) => key.startsWith("risk:") || key.startsWith("occurrence:");

/** "When it takes over 100 d", "When it strikes". */
function when(x: ScatterAxis, it: string, currency: string): string {
  if (isRisk(x) && x.line === 0) return `When ${it} strikes`;
  const value = axisValue(x, x.line, currency);
  if (x.unit === "date") return `When ${it} comes after ${value}`;
  if (x.unit === "money") return `When ${it} costs more than ${value}`;
  return x.unit === "day" ? `When ${it} takes over ${value}` : `When ${it} is above ${value}`;
}

/** "ends after 2 Oct 2028" */
function happens(y: ScatterAxis, currency: string): string {
  const value = axisValue(y, y.line, currency);
  if (y.unit === "date")
    return `${y.name.startsWith("Start") ? "the start" : "the finish"} is later than ${value}`;
  return y.unit === "money" ? `it costs more than ${value}` : `${y.name.toLowerCase()} is above ${value}`;
}

const inHundred = (share: number) => {
  const whole = Math.round(share * 100);
  return share > 0 && whole === 0 ? "under 1" : `${whole}`;
};

/** The conditional chances in words; `it` is what is across. */
export function conditional(view: ScatterView, currency: string, it = view.x.name): string {
  const { x, y, beyond, within } = view;
  const then = happens(y, currency);
  if (beyond === undefined)
    return `In no future is ${x.name} above ${axisValue(x, x.line, currency)}; move the line.`;
  if (within === undefined)
    return `In every future is ${x.name} above ${axisValue(x, x.line, currency)}; move the line.`;
  const otherwise =
    Math.abs(beyond - within) < ENOUGH
      ? `otherwise in ${inHundred(within)}, much the same`
      : `otherwise in ${inHundred(within)}`;
  return `${when(x, it, currency)}, ${then} in ${inHundred(beyond)} of 100 futures; ${otherwise}.`;
}

/** What the cloud's shape says, and what it does not. */
export function shapeWords(view: ScatterView, currency: string): string {
  const { x, y, spearman, pearson, slope, shaped, error } = view;
  if (spearman === undefined) return "One of the two is the same in every future, so the cloud has no shape.";
  const rank = `Rank correlation ${formatSigned(spearman, formatDays)} ± ${formatDays(error)}`;
  if (!shaped)
    return `The cloud has no shape: ${rank.toLowerCase()}, no more than chance makes. Knowing one says nothing of the other.`;
  const perX =
    x.unit === "date" || x.unit === "day"
      ? "day"
      : x.unit === "money"
        ? `${formatMoney(1000, currency)}`
        : "one";
  const factor = x.unit === "money" ? 1000 : 1;
  const moves = slope === undefined ? "" : slopeWords(slope * factor, y, perX, currency);
  return `${rank}: ${spearman > 0 ? "more goes with more" : "more goes with less"}, whatever the curve. Correlation ${formatSigned(pearson ?? 0, formatDays)} along a straight line${moves}. Neither says that one makes the other.`;
}

function slopeWords(slope: number, y: ScatterAxis, perX: string, currency: string): string {
  const amount = y.unit === "money" ? formatMoney(slope, currency) : `${formatDays(slope)} d`;
  return `, which rises by ${amount} for each ${perX}`;
}

/** How many are drawn of how many. */
export const drawnWords = ({ every, points, futures }: ScatterView) =>
  every > 1
    ? `${formatWhole(points.length)} of ${formatWhole(futures)} futures are drawn, one in ${every}; shares are of all.`
    : `All ${formatWhole(futures)} futures are drawn.`;

/** The shares of the four fields with what each is. */
export function fields(view: ScatterView) {
  return [
    { share: view.both, right: false, up: false },
    { share: view.onlyY, right: true, up: false },
    { share: view.onlyX, right: false, up: true },
    { share: view.neither, right: true, up: true },
  ].map((field) => ({ ...field, text: formatChance(field.share) }));
}

/** A step of a line by a key: a day, or a two-hundredth of the axis. */
export function stepped(axis: ScatterAxis, by: 1 | -1, far: boolean): number {
  const times = by * (far ? 7 : 1);
  return axis.unit === "date"
    ? axis.line + times * DAY_MS
    : axis.line + (times * (axis.high - axis.low)) / 200;
}

/** To the evening of a day, or to three figures. */
export function tidied({ unit, low, high }: ScatterAxis, value: number): number {
  if (unit === "date") return Math.floor(value / DAY_MS) * DAY_MS + END_OF_DAY;
  const finest = 10 ** Math.floor(Math.log10(Math.max(1e-9, (high - low) / 300)));
  return Math.round(value / finest) * finest;
}
