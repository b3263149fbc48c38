import type { BestSet, FundView, OptionRow } from "../../shared/api/client";
import type { FundGoal } from "../../shared/api/fund";
import { formatChance, formatDays, formatMoney, formatWhole, workingDays } from "../../shared/format/numbers";

/** The best set that a budget pays for: the last of the line that is no dearer. */
export function bestFor(view: FundView, budget: number): BestSet | undefined {
  return view.best.findLast((best) => best.cost <= budget + 0.005);
}

/** The next one that would be better, and what it costs more. */
export function nextAfter(view: FundView, best: BestSet): BestSet | undefined {
  return view.best.find((one) => one.cost > best.cost + 0.005);
}

/** A gain in the unit of the goal: 12.4 working days, €41k, 9 points. */
export function gainWords(goal: FundGoal, gain: number, currency: string): string {
  if (goal === "finish") return workingDays(gain);
  if (goal === "cost") return formatMoney(Math.abs(gain), currency);
  return `${formatDays(Math.round(Math.abs(gain) * 1000) / 10)} points`;
}

/** On an axis, shorter. */
export function gainTick(goal: FundGoal, gain: number, currency: string): string {
  if (goal === "finish") return `${formatDays(gain)} d`;
  return goal === "cost" ? formatMoney(gain, currency) : formatChance(gain);
}

export const GOALS: { value: FundGoal; label: string }[] = [
  { value: "finish", label: "days of the finish" },
  { value: "cost", label: "money of the cost" },
  { value: "both", label: "chance of target and budget" },
];

const AXES: Record<FundGoal, (level: number) => string> = {
  finish: (level) => `working days that P${level} of the finish comes sooner`,
  cost: (level) => `money by which P${level} of the cost falls, what is funded paid`,
  both: () => "by how much more often target and budget are both kept",
};

export const axisWords = (goal: FundGoal, level: number) => AXES[goal](level);

/** What a budget buys, as one sentence. */
export function fundSentence(view: FundView, budget: number, currency: string): string {
  const goal = view.goal as FundGoal;
  const best = bestFor(view, budget);
  if (!best) return "";
  const sum = formatMoney(budget, currency);
  const cheapest = Math.min(...view.options.map((option) => option.cost));
  if (view.options.length === 0)
    return "There is nothing to fund: no open risk has a response that is not decided on yet.";
  if (best.options.length === 0) {
    if (cheapest > budget) {
      const one = view.options.find((option) => option.cost === cheapest);
      return `For ${sum} nothing can be had: the cheapest, ${one?.id}, costs ${formatMoney(cheapest, currency)}.`;
    }
    return `For ${sum} nothing that can be had makes it better.`;
  }
  const bought = gainWords(goal, best.gain, currency);
  const got =
    goal === "finish"
      ? `P${view.level} comes ${bought} sooner`
      : goal === "cost"
        ? `P${view.level} of the cost falls by ${bought}, all paid`
        : `both are kept ${bought} more often in a hundred`;
  const next = nextAfter(view, best);
  const more = next
    ? ` The next ${formatMoney(next.cost - best.cost, currency)} would buy ${gainWords(goal, next.gain - best.gain, currency)} more.`
    : " More money buys no more.";
  return `For ${sum}, fund ${named(best, view.options)}: ${got}.${more}`;
}

/** R01, R02 and “Two crews”. */
export function named(best: BestSet, options: readonly OptionRow[]): string {
  const names = best.options.map((id) => {
    const option = options.find((one) => one.id === id);
    return option?.kind === "scenario" ? `“${option.title}”` : id;
  });
  return names.length < 2 ? (names[0] ?? "nothing") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
}

/** How far the search went. */
export function triedSentence(view: FundView): string {
  const futures = formatWhole(view.iterations);
  if (view.complete)
    return `Every set of the ${view.options.length} options was simulated with the same ${futures} futures. The line joins the best set for each sum; a ring is one set.`;
  const so =
    view.state === "working"
      ? `${view.tried.length} of about ${view.expected} sets so far`
      : `${view.tried.length} sets`;
  return `${so}, each with the same ${futures} futures, found by adding and dropping one at a time. The line joins the best for each sum; a ring is one set.`;
}

/** Why an option is not in the best set. */
export function leftOutWords(
  view: FundView,
  best: BestSet,
  option: OptionRow,
  budget: number,
  currency: string,
): string {
  const gain = best.more.find((one) => one.id === option.id)?.gain;
  const goal = view.goal as FundGoal;
  const price = formatMoney(option.cost, currency);
  if (gain === undefined) return `${price}; with these it was not tried`;
  if (gain <= tiny(goal))
    return goal === "finish" ? `${price}; it moves nothing that is late` : `${price}; it brings nothing`;
  const brings = `${price} for ${gainWords(goal, gain, currency)} more`;
  return best.cost + option.cost > budget + 0.005 ? `${brings}; beyond the budget` : brings;
}

const tiny = (goal: FundGoal) => (goal === "cost" ? 50 : goal === "finish" ? 0.05 : 0.0005);

/** A budget at which there is something to see: halfway along the line. */
export function firstBudget(view: FundView): number {
  const best = view.best[Math.floor(view.best.length / 2)];
  return best ? Math.ceil(best.cost / 1000) * 1000 : 0;
}
