import { locale } from "./locale";

const upToTwo = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 });
const one = new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 });
const whole = new Intl.NumberFormat(locale, { maximumFractionDigits: 0 });

/** 12, 12.5, 12.25 */
export const formatDays = (days: number) => upToTwo.format(days);
export const formatOne = (value: number) => one.format(value);
/** "7.5 working days", without a sign. */
export function workingDays(days: number): string {
  const count = Math.round(Math.abs(days) * 10) / 10;
  return `${formatDays(count)} working ${count === 1 ? "day" : "days"}`;
}
export const formatWhole = (value: number) => whole.format(value);

/** A chance from 0 to 1 in percent: whole, but finer where that would say nothing. */
export function formatChance(chance: number): string {
  const percent = chance * 100;
  if (percent > 0 && percent < 0.1) return `under ${upToTwo.format(0.1)} %`;
  if (percent > 99.9 && percent < 100) return `over ${upToTwo.format(99.9)} %`;
  const fine = percent !== Math.round(percent) && (percent < 2 || percent > 98);
  return `${fine ? one.format(percent) : whole.format(percent)} %`;
}

/** The code of no currency: a mark that stands for any. */
const NO_CURRENCY = "XXX";

/** Money to three or four figures, as €3.96m; exact where asked. */
export function formatMoney(amount: number, currency: string, exact = false): string {
  return new Intl.NumberFormat(locale, {
    style: "currency",
    currency: /^[A-Z]{3}$/.test(currency) ? currency : NO_CURRENCY,
    currencyDisplay: "narrowSymbol",
    ...(exact
      ? { maximumFractionDigits: 0 }
      : { notation: "compact", minimumSignificantDigits: 3, maximumSignificantDigits: 3 }),
  }).format(amount);
}

const figures = new Intl.NumberFormat(locale, { notation: "compact", maximumSignificantDigits: 3 });

/** An amount where its currency is known: 84k, 4.4m. */
export const formatAmount = (amount: number) => figures.format(amount).toLowerCase();

/** With its sign: +113, −4. */
export function formatSigned(value: number, format: (value: number) => string = formatWhole): string {
  const text = format(Math.abs(value));
  if (text === format(0)) return text;
  return `${value < 0 ? "−" : "+"}${text}`;
}

/** A change with its error, +3.2 ± 0.4; where no future shows one, what it is less than. */
export function changeWords(change: number, error: number | undefined, format: (value: number) => string) {
  if (change === 0 && error) return `less than ${format(error)}`;
  return `${formatSigned(change, format)}${error === undefined ? "" : ` ± ${format(error)}`}`;
}

/** How a language writes numbers: what stands between groups of digits, and before parts of one. */
function marksOf(where: string) {
  const parts = new Intl.NumberFormat(where).formatToParts(-1234567.8);
  const mark = (type: string, otherwise: string) =>
    parts.find((part) => part.type === type)?.value ?? otherwise;
  return { group: mark("group", ","), decimal: mark("decimal", ".") };
}

const quoted = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

/**
 * A number as typed, as the reader's language writes it or with a decimal point; undefined where it is none. What could be
 * either is read as the language has it: 84.000 is eighty-four thousand in German and eighty-four in English.
 */
export function parseNumber(text: string, where: string = locale): number | undefined {
  const { group, decimal } = marksOf(where);
  const plain = text
    .trim()
    .replace(/[\s\u00a0\u202f'’]/g, "")
    .replace(/^[\u2212\u2013]/, "-");
  const grouping = /[\s\u00a0\u202f'’]/.test(group) ? undefined : quoted(group);
  const grouped =
    grouping && new RegExp(`^[+-]?[1-9]\\d{0,2}(${grouping}\\d{3})+(${quoted(decimal)}\\d*)?$`).test(plain);
  const bare = grouped ? plain.split(group).join("") : plain;
  const pointed = decimal === "." || !bare.includes(decimal) ? bare : bare.replace(decimal, ".");
  // A comma for a point is a habit that no language with points has another use for.
  const read = decimal === "." && !grouped ? pointed.replace(",", ".") : pointed;
  return /^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(read) ? Number(read) : undefined;
}

/** A number as it stands in a field to be changed: as the language writes it, without groups, to the last digit. */
export const editedNumber = (value: number, where: string = locale) =>
  new Intl.NumberFormat(where, { useGrouping: false, maximumFractionDigits: 12 }).format(value);

/** An amount as people type it: 5050000, 5.05m, 350k, with or without its currency; undefined where it is none. */
export function parseMoney(text: string, where: string = locale): number | undefined {
  const parts = /^[^\d.,+\-\u2212]*([+\-\u2212]?[^\d.,]?[\d\s.,'’\u00a0\u202f]+?)\s*([km])?\s*\D*$/i.exec(
    text.trim(),
  );
  const value =
    parts?.[1] === undefined ? undefined : parseNumber(parts[1].replace(/[^\d.,+\-\u2212\s'’]/g, ""), where);
  const unit = { k: 1e3, m: 1e6 }[(parts?.[2] ?? "").toLowerCase()] ?? 1;
  return value === undefined ? undefined : Math.round(value * unit * 100) / 100;
}

/** What to say where a number was not understood, with one as the language writes it. */
export const numberExample = (value: number, where: string = locale) =>
  new Intl.NumberFormat(where, { maximumFractionDigits: 2 }).format(value);
