import type { Outlook } from "../api/client";
import { civil, DAY_MS, formatDay, formatShortDay } from "../format/dates";
import { amountTicks, dateTicks } from "../charts/roundTicks";
import { formatChance, formatMoney, formatWhole } from "../format/numbers";

const P50 = 49;

/** Where the finish or the cost is heading, in numbers that can be drawn: milliseconds, or money. */
export interface Heading {
  name: "finish" | "cost";
  plan: number;
  planChance: number;
  target?: number;
  targetChance?: number;
  p50: number;
  /** The level that matters to the project, in percent, and the value kept with it. */
  level: number;
  kept: number;
  low: number;
  high: number;
  density: readonly number[];
}

export function finishHeading({ finish }: Outlook, level: number): Heading {
  return {
    name: "finish",
    plan: civil(finish.plan),
    planChance: finish.planChance,
    target: finish.target === undefined ? undefined : civil(finish.target),
    targetChance: finish.targetChance,
    p50: civil(finish.percentiles[P50] ?? finish.plan),
    level,
    kept: civil(finish.percentiles[level - 1] ?? finish.plan),
    low: civil(finish.low),
    high: civil(finish.high),
    density: finish.density,
  };
}

export function costHeading({ cost }: Outlook, level: number): Heading | undefined {
  return (
    cost && {
      ...cost,
      name: "cost",
      p50: cost.percentiles[P50] ?? cost.plan,
      level,
      kept: cost.percentiles[level - 1] ?? cost.plan,
    }
  );
}

export const told = (heading: Heading, value: number, currency: string) =>
  heading.name === "finish" ? formatDay(value) : formatMoney(value, currency);

/** "The plan date, 10 Jul 2028, has a chance of 3 %; the target, 29 Sep, 56 %." */
export function chanceSentence(heading: Heading, currency: string): string {
  const finish = heading.name === "finish";
  const short = (value: number) => (finish ? formatShortDay(value) : formatMoney(value, currency));
  const plan = `The plan${finish ? " date" : ""}, ${told(heading, heading.plan, currency)}, has a chance of ${formatChance(heading.planChance)}`;
  const { target, targetChance } = heading;
  if (target === undefined || targetChance === undefined) return `${plan}.`;
  return `${plan}; the ${finish ? "target" : "budget"}, ${short(target)}, ${formatChance(targetChance)}.`;
}

/** How far what is kept lies from the pinned one, or from that of the plan; undefined where there is none. */
export function pinSentence(
  heading: Heading,
  pinned: Heading | undefined,
  currency: string,
  than = "pinned",
): string | undefined {
  if (!pinned) return undefined;
  const moved = heading.kept - pinned.kept;
  if (heading.name === "cost") {
    if (Math.abs(moved) < 0.5) return `As ${than}`;
    return `${formatMoney(Math.abs(moved), currency)} ${moved > 0 ? "more" : "less"} than ${than}`;
  }
  const days = Math.round(moved / DAY_MS);
  if (days === 0) return `As ${than}`;
  const count = `${formatWhole(Math.abs(days))} ${Math.abs(days) === 1 ? "day" : "days"}`;
  return `${count} ${days > 0 ? "later" : "earlier"} than ${than}`;
}

/** A few round values across an axis, with their words. */
export function axisTicks(heading: Heading, low: number, high: number, most: number, currency: string) {
  return heading.name === "finish" ? dateTicks(low, high, most) : amountTicks(low, high, most, currency);
}
