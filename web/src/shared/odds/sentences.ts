import { formatChance, formatWhole } from "../format/numbers";
import type { Quantity, Reading } from "./quantity";

const SPELLED: Record<number, string> = {
  10: "One future in ten",
  20: "One future in five",
  25: "One future in four",
  50: "Half of all futures",
  75: "Three futures in four",
  80: "Four futures in five",
  90: "Nine futures in ten",
};

/** "Four futures in five", or "83 of 100 futures". */
export function shareOfFutures(chance: number): string {
  const percent = chance * 100;
  if (percent <= 0) return "No future";
  if (percent >= 100) return "Every future";
  const whole = Math.round(percent);
  if (Math.abs(percent - whole) < 1e-6 && SPELLED[whole]) return SPELLED[whole];
  if (whole < 1) return "Fewer than 1 of 100 futures";
  if (whole > 99) return "More than 99 of 100 futures";
  return `${whole} of 100 futures`;
}

const SINGULAR = /^(No|Every|One) future/;

/** What futures do, and to what: "finish Primary mirror by …", "take at most … for Access permit". */
function doing({ name, named }: Quantity, one: boolean): { verb: string; upTo: string; of: string } {
  const thing = named ? ` ${named}` : "";
  switch (name) {
    case "finish":
      return { verb: `${one ? "finishes" : "finish"}${thing}`, upTo: "by", of: "" };
    case "start":
      return { verb: `${one ? "starts" : "start"}${thing || " the project"}`, upTo: "by", of: "" };
    case "cost":
      return named
        ? { verb: one ? "spends" : "spend", upTo: "at most", of: ` on${thing}` }
        : { verb: one ? "costs" : "cost", upTo: "at most", of: "" };
    case "duration":
      return { verb: one ? "takes" : "take", upTo: "at most", of: named ? ` for${thing}` : "" };
  }
}

/** The reading as a sentence: "Four futures in five finish by 2 Jun 2028, 113 calendar days after the plan date." */
export function readingSentence(quantity: Quantity, { chance, value, fromPlan }: Reading): string {
  const share = shareOfFutures(chance);
  const { verb, upTo, of } = doing(quantity, SINGULAR.test(share));
  return `${share} ${verb} ${upTo} ${quantity.format(value)}${of}, ${fromPlanWords(quantity, fromPlan)}.`;
}

/** "34 of 100 futures finish between 25 Aug and 25 Oct 2028." */
export function betweenSentence(quantity: Quantity, one: Reading, other: Reading): string {
  const [low, high] = one.value <= other.value ? [one, other] : [other, one];
  const share = shareOfFutures(Math.max(0, high.chance - low.chance));
  const { verb, of } = doing(quantity, SINGULAR.test(share));
  return `${share} ${verb} between ${quantity.format(low.value)} and ${quantity.format(high.value)}${of}.`;
}

function fromPlanWords({ name, formatFromPlan }: Quantity, fromPlan: number): string {
  const unsigned = formatFromPlan(Math.abs(fromPlan)).replace(/^\+/, "");
  if (name === "cost") return `${unsigned} ${fromPlan < 0 ? "below" : "above"} the plan`;
  if (name === "duration")
    return `${unsigned.replace(/ d$/, " days")} ${fromPlan < 0 ? "less" : "more"} than planned`;
  const planned = name === "finish" ? "the plan date" : "the planned start";
  const days = Math.round(fromPlan);
  if (days === 0) return `${planned} itself`;
  return `${calendarDays(days)} ${days < 0 ? "before" : "after"} ${planned}`;
}

const calendarDays = (days: number) =>
  `${formatWhole(Math.abs(days))} calendar ${Math.abs(days) === 1 ? "day" : "days"}`;

const PLANNED = {
  finish: "The plan date",
  start: "The planned start",
  cost: "The plan",
  duration: "The planned duration",
} as const;

/** What the plan's own value is worth. */
export function planSentence({ name, named, plan, format }: Quantity): string {
  const what = named && name === "finish" ? "The planned finish" : PLANNED[name];
  return `${what}, ${format(plan.value)}, has a chance of ${formatChance(plan.chance)}.`;
}

export function targetSentence({ name, named, target, format }: Quantity): string {
  if (target) {
    const what = named ? "The latest date allowed" : name === "finish" ? "The target" : "The budget";
    return `${what}, ${format(target.value)}, has a chance of ${formatChance(target.chance)}.`;
  }
  if (named) return "";
  if (name === "finish") return "No target finish is set.";
  return name === "cost" ? "No budget is set." : "";
}

const MISSED = {
  finish: "late",
  start: "late",
  cost: "over budget",
  duration: "longer at work",
} as const;

/** A paragraph for a letter: what to promise at a level, what the plan is worth, and by how much it is missed. */
export function letter(quantity: Quantity, safe: Reading | undefined, middle: Reading | undefined): string {
  const { name, named, format, plan } = quantity;
  const whose = named ? `${named}: ` : "";
  const promise =
    safe &&
    `${whose}${whose ? "to" : "To"} be ${formatChance(safe.chance)} sure, ${name === "duration" ? "allow" : "promise"} ${format(safe.value)}.`;
  const share = shareOfFutures(1 - plan.chance).toLowerCase();
  const missed = `${name === "duration" ? "Allowing what is planned" : "Promising the plan"} means being ${MISSED[name]} in ${share}`;
  const by =
    middle && middle.fromPlan > 0
      ? `, by ${fromPlanWords(quantity, middle.fromPlan).replace(/ (after|above|more).*/, "")} in the middle case`
      : "";
  return [promise, `${missed}${by}.`].filter(Boolean).join(" ");
}

/** What it takes to hold a chance: days on the plan date and money on the plan, or what the plan has to give back. */
export function contingencyWords(quantity: Quantity, { fromPlan, workFromPlan }: Reading): string {
  if (quantity.name === "cost") {
    const amount = quantity.formatFromPlan(Math.abs(fromPlan)).replace(/^\+/, "");
    const share =
      quantity.plan.value > 0
        ? `, ${formatChance(Math.abs(fromPlan) / quantity.plan.value)} of the plan`
        : "";
    return fromPlan >= 0 ? `${amount}${share}` : `the plan has ${amount} to give back${share}`;
  }
  const days = Math.round(fromPlan);
  const worked =
    workFromPlan === undefined
      ? ""
      : `, ${formatWhole(Math.abs(Math.round(workFromPlan)))} of them working days`;
  return days >= 0
    ? `${calendarDays(days)}${worked}`
    : `the plan has ${calendarDays(days)} to give back${worked}`;
}

/** "P80 is 12 calendar days later than by run 1." */
export function besideSentence(
  quantity: Quantity,
  level: number,
  difference: number,
  called: string,
): string {
  const what = `P${level}`;
  if (quantity.name === "cost" || quantity.name === "duration") {
    const amount = quantity.formatFromPlan(Math.abs(difference)).replace(/^\+/, "");
    const less = quantity.name === "cost" ? ["dearer", "cheaper"] : ["longer", "shorter"];
    return /[1-9]/.test(amount)
      ? `${what} is ${amount.replace(/ d$/, " days")} ${difference > 0 ? less[0] : less[1]} than by ${called}.`
      : `${what} is the same as by ${called}.`;
  }
  const days = Math.round(difference);
  return days === 0
    ? `${what} is the same as by ${called}.`
    : `${what} is ${calendarDays(days)} ${days > 0 ? "later" : "earlier"} than by ${called}.`;
}

/** Whether the difference of two readings can be chance: not where both drew the same random numbers. */
export function noiseSentence(quantity: Quantity, own: Reading, other: Quantity, theirs: Reading): string {
  if (
    quantity.seed === other.seed &&
    quantity.iterations === other.iterations &&
    quantity.sampling === other.sampling
  )
    return "Both drew the same random numbers, so this is what differs between the plans.";
  const half = ({ low, high }: Reading) => (high - low) / 2;
  const both = Math.hypot(half(own), half(theirs));
  const error = quantity.formatError({ ...own, low: -both, high: both });
  return `They drew different random numbers: up to ${error} of this may be chance.`;
}

/** How far repeats with other seeds wander, and how many lie within the interval of the one run. */
export function wanderSentence(quantity: Quantity, own: Reading, values: number[]): string {
  if (values.length < 2) return "…";
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const inside = values.filter((value) => value >= own.low && value <= own.high).length;
  const range =
    quantity.format(low) === quantity.format(high)
      ? `always ${quantity.format(low)}`
      : `from ${quantity.format(low)} to ${quantity.format(high)}`;
  return `${range}; ${inside} of ${values.length} within ${quantity.formatError(own)}`;
}
