import { formatChance, formatMoney } from "../../shared/format/numbers";
import type { Quantity, Reading } from "../../shared/odds/quantity";

/** What a category is called: the whole register, and risks that have none. */
export const categoryName = (path: string) =>
  path === "" ? "The register" : path === "/" ? "Without a category" : path;

/** What is expected, and what is lost at the reading line. */
export function lossSentence(quantity: Quantity, reading: Reading, name: string, currency: string): string {
  const expected = formatMoney(Math.abs(quantity.mean), currency);
  const first =
    quantity.mean < 0 ? `${name} is expected to save ${expected}` : `${name} is expected to cost ${expected}`;
  return `${first}; with ${formatChance(reading.chance)} chance it costs no more than ${formatMoney(reading.value, currency)}, ${formatMoney(
    Math.max(0, reading.value - quantity.mean),
    currency,
  )} beyond that.`;
}

/** A share of the whole; gains have one below zero, so that all add up. */
export const shareWords = (share: number) => (share < 0 ? `−${formatChance(-share)}` : formatChance(share));
