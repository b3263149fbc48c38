import { formatChance } from "../../shared/format/numbers";
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

/** The reading as a sentence: "Four futures in five finish by 2 Jun 2028, 113 calendar days after the plan date." */
export function readingSentence(quantity: Quantity, { chance, value, fromPlan }: Reading): string {
  const share = shareOfFutures(chance);
  const one = SINGULAR.test(share);
  const verb =
    quantity.name === "finish" ? (one ? "finishes by" : "finish by") : one ? "costs at most" : "cost at most";
  return `${share} ${verb} ${quantity.format(value)}, ${fromPlanWords(quantity, fromPlan)}.`;
}

function fromPlanWords(quantity: Quantity, fromPlan: number): string {
  if (quantity.name === "cost") {
    const amount = quantity.formatFromPlan(Math.abs(fromPlan)).replace(/^\+/, "");
    return `${amount} ${fromPlan < 0 ? "below" : "above"} the plan`;
  }
  const days = Math.round(fromPlan);
  if (days === 0) return "the plan date itself";
  const count = `${Math.abs(days)} calendar ${Math.abs(days) === 1 ? "day" : "days"}`;
  return `${count} ${days < 0 ? "before" : "after"} the plan date`;
}

/** What the plan's own value is worth. */
export function planSentence({ name, plan, format }: Quantity): string {
  const what = name === "finish" ? "The plan date" : "The plan";
  return `${what}, ${format(plan.value)}, has a chance of ${formatChance(plan.chance)}.`;
}

export function targetSentence({ name, target, format }: Quantity): string {
  if (!target) return name === "finish" ? "No target finish is set." : "No budget is set.";
  const what = name === "finish" ? "The target" : "The budget";
  return `${what}, ${format(target.value)}, has a chance of ${formatChance(target.chance)}.`;
}

/** A paragraph for a letter: promise, plan, middle case. */
export function letter(quantity: Quantity): string {
  const at = (chance: number) => quantity.levels.find((level) => Math.abs(level.chance - chance) < 1e-9);
  const [middle, safe] = [at(0.5), at(0.8)];
  const promise = safe && `To be 80 % sure, promise ${quantity.format(safe.value)}.`;
  const late = quantity.name === "finish" ? "late" : "over budget";
  const share = shareOfFutures(1 - quantity.plan.chance).toLowerCase();
  const plan = `Promising the plan means being ${late} in ${share}`;
  const by =
    middle &&
    `, by ${fromPlanWords(quantity, middle.fromPlan).replace(/ (after|above).*/, "")} in the middle case`;
  return [promise, `${plan}${by ?? ""}.`].filter(Boolean).join(" ");
}
