import { locale } from "./locale";

const inUtc = { timeZone: "UTC" } as const;
const day = new Intl.DateTimeFormat(locale, { ...inUtc, day: "numeric", month: "short", year: "numeric" });
const shortDay = new Intl.DateTimeFormat(locale, { ...inUtc, day: "numeric", month: "short" });
const monthYear = new Intl.DateTimeFormat(locale, { ...inUtc, month: "short", year: "numeric" });
const month = new Intl.DateTimeFormat(locale, { ...inUtc, month: "short" });
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

/** Jan 2028 */
export const formatMonthYear = (time: number) => monthYear.format(time);

/** Jan */
export const formatMonth = (time: number) => month.format(time);

/** A moment of record in the reader's own time zone: 3 Jan, 14:05 */
export const formatMoment = (iso: string) => moment.format(new Date(iso));

const plainMonth = (word: string) => word.toLowerCase().replace(".", "");

function monthOf(word: string, where: string): number {
  const text = plainMonth(word);
  const names = (language: string, length: "short" | "long") => {
    const format = new Intl.DateTimeFormat(language, { ...inUtc, month: length });
    return Array.from({ length: 12 }, (_, i) => plainMonth(format.format(Date.UTC(2001, i, 15))));
  };
  const english = names("en", "short");
  const own = [names(where, "short"), names(where, "long")];
  return english.findIndex(
    (name, i) =>
      (text.length >= 3 && name.startsWith(text.slice(0, 3))) ||
      (text.length >= 2 && own.some((all) => all[i]?.startsWith(text))),
  );
}

/** In which order a language writes day, month and year. */
function orderOf(where: string): readonly string[] {
  return new Intl.DateTimeFormat(where, { ...inUtc, day: "numeric", month: "numeric", year: "numeric" })
    .formatToParts(0)
    .map((part) => part.type)
    .filter((type) => type === "day" || type === "month" || type === "year");
}

const CENTURY = 2000;

/** 9/15/2028 or 15.9.28, in the order of the language. */
function inFigures(text: string, where: string): number[] | undefined {
  const figures = /^(\d{1,4})[./-]\s?(\d{1,2})[./-]\s?(\d{1,4})\.?$/.exec(text);
  if (!figures) return undefined;
  const given = figures.slice(1).map(Number);
  const of = (type: string) => given[orderOf(where).indexOf(type)] ?? 0;
  const year = of("year");
  return [year < 100 ? CENTURY + year : year, of("month") - 1, of("day")];
}

/**
 * A day typed as 2028-06-02, 2 Jun 2028, Jun 2, 2028, or in figures as the reader's language has them; undefined where it
 * is none.
 */
export function parseDay(text: string, where: string = locale): number | undefined {
  const trimmed = text.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(trimmed);
  const dayFirst = /^(\d{1,2})\.?\s+([^\d\s,]+),?\s+(\d{4})$/.exec(trimmed);
  const monthFirst = /^([^\d\s,]+)\s+(\d{1,2}),?\s+(\d{4})$/.exec(trimmed);
  const parts = iso
    ? [Number(iso[1]), Number(iso[2]) - 1, Number(iso[3])]
    : dayFirst
      ? [Number(dayFirst[3]), monthOf(dayFirst[2] ?? "", where), Number(dayFirst[1])]
      : monthFirst
        ? [Number(monthFirst[3]), monthOf(monthFirst[1] ?? "", where), Number(monthFirst[2])]
        : inFigures(trimmed, where);
  if (!parts) return undefined;
  const [y = 0, m = -1, d = 0] = parts;
  const time = Date.UTC(y, m, d);
  const real = m >= 0 && new Date(time).getUTCMonth() === m && new Date(time).getUTCDate() === d;
  return real ? time : undefined;
}

/** A day as the reader's language writes it, to show how one may be typed. */
export const DAY_EXAMPLE = day.format(Date.UTC(2027, 4, 3));

/** A day as it was typed, for the API; a refusal where it is none. */
export function typedDay(text: string): { day: string | null } | { refusal: string } {
  if (text.trim() === "") return { day: null };
  const day = parseDay(text);
  return day === undefined
    ? { refusal: `A date is needed, such as ${DAY_EXAMPLE} or 2027-05-03, not “${text.trim()}”.` }
    : { day: toCivilText(day).slice(0, 10) };
}

/** Calendar days from one moment to another, to the nearest whole. */
export const daysBetween = (from: string, to: string) => Math.round((civil(to) - civil(from)) / DAY_MS);
