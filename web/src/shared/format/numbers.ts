import { locale } from "./locale";

const upToTwo = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 });
const one = new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 });
const whole = new Intl.NumberFormat(locale, { maximumFractionDigits: 0 });

/** 12, 12.5, 12.25 */
export const formatDays = (days: number) => upToTwo.format(days);
export const formatOne = (value: number) => one.format(value);
export const formatWhole = (value: number) => whole.format(value);

/** A chance from 0 to 1 in percent: whole, but finer where that would say nothing. */
export function formatChance(chance: number): string {
  const percent = chance * 100;
  if (percent > 0 && percent < 0.1) return `under ${upToTwo.format(0.1)} %`;
  if (percent > 99.9 && percent < 100) return `over ${upToTwo.format(99.9)} %`;
  const fine = percent !== Math.round(percent) && (percent < 2 || percent > 98);
  return `${fine ? one.format(percent) : whole.format(percent)} %`;
}

/** Money to three or four figures, as €3.96m; exact where asked. */
export function formatMoney(amount: number, currency: string, exact = false): string {
  return new Intl.NumberFormat(locale, {
    style: "currency",
    currency,
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

/** A number as typed, with a decimal point or comma; undefined where it is none. */
export function parseNumber(text: string): number | undefined {
  const plain = text.trim().replace(/[\s\u00a0\u202f']/g, "");
  const grouped = /^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/.test(plain)
    ? plain.replace(/,/g, "")
    : plain.replace(",", ".");
  return /^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(grouped) ? Number(grouped) : undefined;
}
