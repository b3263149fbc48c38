import { locale } from "./locale";

const inUtc = { timeZone: "UTC" } as const;
const day = new Intl.DateTimeFormat(locale, { ...inUtc, day: "numeric", month: "short", year: "numeric" });
const shortDay = new Intl.DateTimeFormat(locale, { ...inUtc, day: "numeric", month: "short" });
const month = new Intl.DateTimeFormat(locale, { ...inUtc, month: "short" });
const monthAndYear = new Intl.DateTimeFormat(locale, { ...inUtc, month: "short", year: "numeric" });
const moment = new Intl.DateTimeFormat(locale, {
  day: "numeric",
  month: "short",
  hour: "2-digit",
  minute: "2-digit",
});

export const DAY_MS = 86_400_000;

/** A civil time of the API as a number; civil times have no zone, so they are read as if they were UTC. */
export function civil(iso: string): number {
  return Date.parse(iso.length === 10 ? `${iso}T00:00:00Z` : `${iso}Z`);
}

/** The API's civil time of a number, to the minute. */
export function toCivilText(time: number): string {
  return new Date(time).toISOString().slice(0, 16);
}

/** 3 Jan 2028 */
export const formatDay = (time: string | number) => day.format(typeof time === "string" ? civil(time) : time);

/** 3 Jan */
export const formatShortDay = (time: string | number) =>
  shortDay.format(typeof time === "string" ? civil(time) : time);

/** Jan */
export const formatMonth = (time: number) => month.format(time);

/** A date on an axis: the first of a month as the month, Oct 2028, others as 15 Oct. */
export const formatTick = (time: number) =>
  new Date(time).getUTCDate() === 1 ? monthAndYear.format(time) : formatShortDay(time);

/** A moment of record in the reader's own time zone: 3 Jan, 14:05 */
export const formatMoment = (iso: string) => moment.format(new Date(iso));

const MONTHS = Array.from({ length: 12 }, (_, i) => ({
  short: month
    .format(Date.UTC(2001, i, 15))
    .toLowerCase()
    .replace(".", ""),
  english: new Intl.DateTimeFormat("en", { ...inUtc, month: "short" })
    .format(Date.UTC(2001, i, 15))
    .toLowerCase(),
}));

function monthOf(word: string): number {
  const text = word.toLowerCase().replace(".", "");
  return MONTHS.findIndex(
    (m) =>
      (text.length >= 3 && m.english.startsWith(text.slice(0, 3))) ||
      (text.length >= 2 && m.short.startsWith(text)),
  );
}

/** A day typed as 2028-06-02, 2 Jun 2028 or Jun 2, 2028; undefined where it is none. */
export function parseDay(text: string): number | undefined {
  const trimmed = text.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(trimmed);
  const dayFirst = /^(\d{1,2})\.?\s+([^\d\s,]+),?\s+(\d{4})$/.exec(trimmed);
  const monthFirst = /^([^\d\s,]+)\s+(\d{1,2}),?\s+(\d{4})$/.exec(trimmed);
  const parts = iso
    ? [Number(iso[1]), Number(iso[2]) - 1, Number(iso[3])]
    : dayFirst
      ? [Number(dayFirst[3]), monthOf(dayFirst[2] ?? ""), Number(dayFirst[1])]
      : monthFirst
        ? [Number(monthFirst[3]), monthOf(monthFirst[1] ?? ""), Number(monthFirst[2])]
        : undefined;
  if (!parts) return undefined;
  const [y = 0, m = -1, d = 0] = parts;
  const time = Date.UTC(y, m, d);
  const real = m >= 0 && new Date(time).getUTCMonth() === m && new Date(time).getUTCDate() === d;
  return real ? time : undefined;
}

/** A day as it was typed, for the API; a refusal where it is none. */
export function typedDay(text: string): { day: string | null } | { refusal: string } {
  if (text.trim() === "") return { day: null };
  const day = parseDay(text);
  return day === undefined
    ? { refusal: `A date is needed, such as 3 May 2027, not “${text.trim()}”.` }
    : { day: toCivilText(day).slice(0, 10) };
}

/** Calendar days from one moment to another, to the nearest whole. */
export const daysBetween = (from: string, to: string) => Math.round((civil(to) - civil(from)) / DAY_MS);
