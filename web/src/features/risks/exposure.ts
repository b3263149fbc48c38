import type { ExposureView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";

export type Measure = "days" | "money";

/** Steps in one measure: what is expected, and what holds at the level of confidence. */
export const valuesOf = (steps: ExposureView["decided"], measure: Measure) =>
  steps.map(({ from, because, days, daysAt, money, moneyAt }) => ({
    from,
    because,
    expected: measure === "days" ? days : money,
    at: measure === "days" ? daysAt : moneyAt,
  }));

/** From what to what the exposure falls, when it has halved, and what all responses would make of it. */
export function exposureSentence(
  exposure: ExposureView,
  measure: Measure,
  format: (value: number) => string,
): string {
  const steps = valuesOf(exposure.decided, measure);
  const [first] = steps;
  if (!first || first.at === 0) return "These risks move nothing at this level of confidence.";
  const level = `P${exposure.level}`;
  const halved = steps.find(({ at }) => at <= first.at / 2);
  const when = halved ? `; half of it has passed by ${formatDay(halved.from)}` : "";
  const best = Math.min(...valuesOf(exposure.all, measure).map(({ at }) => at), first.at);
  const early = valuesOf(exposure.all, measure).filter(({ from }) => !halved || from < halved.from);
  const lowest = Math.min(first.at, ...early.map(({ at }) => at));
  const responses =
    lowest < first.at && best < first.at
      ? ` If every response were decided, it would fall to ${format(lowest)} before that.`
      : "";
  return `At first the risks move the ${measure === "days" ? "finish" : "cost"} by ${format(first.at)} at ${level}, ${format(first.expected)} on average${when}.${responses}`;
}
