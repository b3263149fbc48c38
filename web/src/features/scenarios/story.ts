import type { ScenarioRow, StoryStep, StoryView } from "../../shared/api/client";
import { THE_PLAN } from "../../shared/api/scenarios";
import { formatMoney, workingDays } from "../../shared/format/numbers";
import { isTold } from "./scenarioWords";

/** Which scenarios a story is told of, in its order: as chosen, else all that are not put away and ask for no other world. */
export function orderOf(rows: readonly ScenarioRow[], chosen: readonly string[] | undefined): string[] {
  const there = rows.filter((row) => row.id !== THE_PLAN && !row.putAway);
  if (chosen) return chosen.filter((id) => there.some((row) => row.id === id));
  const single = there.filter((row) => row.otherRisks === "now" && row.estimates && row.correlation);
  return apart(single).map((row) => row.id);
}

/** Without those that only put others together: what each of their risks is switched to, a scenario of its own does, too. */
function apart(rows: ScenarioRow[]): ScenarioRow[] {
  const keysOf = (row: ScenarioRow) => Object.entries(row.risks).map(([id, how]) => `${id} ${how}`);
  return rows.filter((row) => {
    const keys = keysOf(row);
    if (keys.length < 2 || row.editCount > 0) return true;
    return !keys.every((key) =>
      rows.some((other) => other !== row && keysOf(other).length === 1 && keysOf(other)[0] === key),
    );
  });
}

/** What all of them come to together. */
export function storySentence({ steps, level }: StoryView, currency: string): string {
  if (steps.length === 0) return "Choose scenarios at the right, in the order in which you would do them.";
  const sum = (of: (step: StoryStep) => number) => steps.reduce((total, step) => total + of(step), 0);
  const [days, money, now] = [sum((s) => s.adds.days), sum((s) => s.adds.cost), sum((s) => s.adds.now)];
  const time = days < 0 ? `buy ${workingDays(days)}` : `cost ${workingDays(days)}`;
  const paid = `${formatMoney(Math.abs(now), currency)} now`;
  const cost =
    money < 0
      ? `P${level} of the cost is ${formatMoney(-money, currency)} lower all the same`
      : `P${level} of the cost rises by ${formatMoney(money, currency)}`;
  const who = steps.length === 1 ? (steps[0]?.name ?? "") : "Together they";
  return `${who} ${steps.length === 1 ? time.replace(/^buy/, "buys").replace(/^cost/, "costs") : time} at P${level} for ${paid}; ${cost}.`;
}

/** Two of which one pays for the other: what the first costs net, the second saves. */
export function payers({ steps, level }: StoryView, currency: string): string[] {
  const dear = steps.filter((step) => step.adds.cost > 0 && isTold(step.adds.cost, step.adds.costError));
  const cheap = steps.filter((step) => step.adds.cost < 0 && isTold(step.adds.cost, step.adds.costError));
  return dear.flatMap((one) => {
    const payer = cheap.find((other) => -other.adds.cost >= one.adds.cost);
    if (!payer) return [];
    const left = formatMoney(-(payer.adds.cost + one.adds.cost), currency);
    return [
      `“${payer.name}” pays for “${one.name}”: together P${level} of the cost falls by ${left}, and ${workingDays(one.adds.days + payer.adds.days)} are bought with it.`,
    ];
  });
}

/** What a step does less than by itself, since others before it have done it already. */
export function overlapSentence(step: StoryStep): string | undefined {
  const lost = step.alone.days - step.adds.days;
  const error = (step.alone.daysError ?? 0) + (step.adds.daysError ?? 0);
  if (Math.abs(lost) <= error || Math.abs(lost) < 0.1) return undefined;
  const size = `${Math.abs(Math.round(lost * 10) / 10)} d`;
  return lost < 0
    ? `${size} less than by itself: those before it do a part of that.`
    : `${size} more than by itself: those before it let it come to bear.`;
}
