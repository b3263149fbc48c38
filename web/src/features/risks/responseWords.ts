import type { PlanView, RiskMoves, RiskView } from "../../shared/api/client";
import { changeWords, formatMoney, formatOne, formatSigned } from "../../shared/format/numbers";

/** What a response buys beyond what it costs, at the level of confidence: days, and money with its actions paid. */
export function worthOf(moves: RiskMoves | undefined): { days: number; money: number } | undefined {
  if (!moves?.response) return undefined;
  // What it changes is negative where it helps.
  return { days: -moves.response.days, money: -moves.response.money };
}

/** What a risk moves as the plan has it. */
export function movesSentence({ project }: PlanView, { moved }: RiskMoves): string {
  const level = `P${project.confidence}`;
  const days = changeWords(moved.days, moved.daysError, formatOne);
  const money = changeWords(moved.money, moved.moneyError, (amount) => formatMoney(amount, project.currency));
  return `It moves the ${level} finish by ${days} working days and the ${level} cost by ${money}.`;
}

/** What a response costs and changes, and whether it pays. */
export function worthSentence({ project }: PlanView, risk: RiskView, moves: RiskMoves | undefined): string {
  const { response } = risk;
  const level = `P${project.confidence}`;
  const cost = formatMoney(response?.cost ?? 0, project.currency);
  const worth = worthOf(moves);
  if (!moves || !worth) return `Its actions cost ${cost}. What it is worth is being worked out.`;
  const price = `The response costs ${cost} and moves the ${level} finish by ${formatSigned(-worth.days, formatOne)} working days`;
  if (Math.abs(worth.days) < 0.05 && Math.abs(worth.money + (response?.cost ?? 0)) < 1)
    return `The response costs ${cost}, and what it leaves of the risk makes no difference at ${level} so far.`;
  const pays =
    worth.money >= 0
      ? `it pays for itself, with ${formatMoney(worth.money, project.currency)} to spare`
      : `its days cost ${formatMoney(-worth.money, project.currency)} net`;
  return `${price}: ${pays}.`;
}
