import type { EvidenceLook, FitView } from "../../shared/api/client";
import { formatDays, formatWhole } from "../../shared/format/numbers";

/** Akaike's difference below which two shapes explain the data about as well. */
const AS_GOOD = 2;
const WORSE = 7;

/** How well a shape fits, in words. */
export function fitWords(fit: FitView): string {
  const rank =
    fit.behind === 0
      ? "The best of them"
      : fit.behind < AS_GOOD
        ? "About as good as the best"
        : fit.behind < WORSE
          ? "Somewhat worse than the best"
          : "Much worse than the best";
  const gap = `${Math.round(fit.distance * 100)} points`;
  const limit = Math.round(fit.expectedDistance * 100);
  return fit.distance <= fit.expectedDistance
    ? `${rank}. Its curve leaves the data by ${gap} at most; chance alone may do up to ${limit}.`
    : `${rank}. Its curve leaves the data by ${gap}, more than the ${limit} chance would explain.`;
}

/** What work would take by a shape, in one case of ten, of two, and in nine of ten. */
export function fitPoints({ p10, p50, p90 }: FitView, ratios: boolean): string {
  const said = (value: number) =>
    ratios ? `${Math.round(value * 100)} %` : formatDays(Number(value.toPrecision(3)));
  return `P10 ${said(p10)}, P50 ${said(p50)}, P90 ${said(p90)}.`;
}

/** What past work says as a whole. */
export function evidenceSentence(look: EvidenceLook): string {
  const count = look.observations.length;
  const said = (value: number) =>
    look.ratios ? `${Math.round(value * 100)} % of planned` : formatWhole(value);
  const warning = look.few
    ? ` Fewer than 15 observations say little about a shape: take it for a hint, not a proof.`
    : "";
  return `${formatWhole(count)} observations, from ${said(look.low)} to ${said(look.high)}; half of them up to ${said(look.median)}, on average ${said(look.mean)}.${warning}`;
}
