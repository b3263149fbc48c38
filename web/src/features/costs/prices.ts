import type { EscalationView, EscalationWords } from "../../shared/api/client";
import { editedNumber, parseNumber } from "../../shared/format/numbers";

/** A yearly rate as it is typed: 4, 2..6, or 2..4..7, in percent. */
export interface PriceDraft {
  category: string;
  rate: string;
}

const percent = (share: number | undefined) => editedNumber(Math.round((share ?? 0) * 1e6) / 1e4);

/** A rate as people write it; a shape that three points do not say by its mean. */
export function draftOf({ category, perYear, shape }: EscalationView): PriceDraft {
  if (!shape) return { category, rate: percent(perYear) };
  const { low, likely, high } = shape;
  if (low === undefined || high === undefined) return { category, rate: percent(perYear) };
  const points = likely === undefined ? [low, high] : [low, likely, high];
  return { category, rate: points.map(percent).join("..") };
}

/** What a rate says; a refusal where it is none. */
export function wordsOf({ category, rate }: PriceDraft): EscalationWords | { refusal: string } {
  const points = rate
    .replace(/%/g, "")
    .split(/\.\.+|…/)
    .map((part) => parseNumber(part));
  const where = category.trim() === "" ? "all prices" : category.trim();
  if (points.length > 3 || points.some((point) => point === undefined))
    return {
      refusal: `“${rate}” is no yearly rate of ${where}; one reads as 4, or 2..4..7 where it is uncertain.`,
    };
  const shares = points.map((point) => (point ?? 0) / 100);
  if (shares.some((share, i) => i > 0 && share < (shares[i - 1] ?? share)))
    return { refusal: `“${rate}” of ${where} does not rise; the lowest comes first, as in 2..4..7.` };
  const [low = 0, middle = 0, high = 0] = shares;
  const name = category.trim();
  if (shares.length === 1) return { category: name, perYear: low };
  if (shares.length === 2) return { category: name, perYear: { shape: "uniform", low, high: middle } };
  return { category: name, perYear: { shape: "triangular", low, likely: middle, high } };
}
