import type { PlanView, RiskMoves, RiskView } from "../../shared/api/client";
import { formatMoney, formatOne, formatSigned } from "../../shared/format/numbers";

/** What a response buys beyond what it costs, at the level of confidence: days, and money with its actions paid. */
export function worthOf(moves: RiskMoves | undefined): { days: number; money: number } | undefined {
  if (!moves?.response) return undefined;
  // What it changes is negative where it helps.
  return { days: -moves.response.days, money: -moves.response.money };
}

/** What a risk moves, what its response leaves of it, and whether that is worth its price. */
export function worthSentence({ project }: PlanView, risk: RiskView, moves: RiskMoves | undefined): string {
  const { response } = risk;
  const level = `P${project.confidence}`;
  const cost = formatMoney(response?.cost ?? 0, project.currency);
  const worth = worthOf(moves);
  if (!moves || !worth) return `Its actions cost ${cost}. What it is worth is being worked out.`;
  const signed = (amount: number) =>
    `${amount < 0 ? "−" : "+"}${formatMoney(Math.abs(amount), project.currency)}`;
  const now = response?.decided ? "With it, the risk moves" : "The risk moves";
  const moved = `${now} the ${level} finish by ${formatSigned(moves.moved.days, formatOne)} days and the ${level} cost by ${signed(moves.moved.money)}.`;
  const price = `The response costs ${cost} and gains ${formatSigned(worth.days, formatOne)} days`;
  const pays =
    worth.money >= 0
      ? `it pays for itself, with ${formatMoney(worth.money, project.currency)} to spare`
      : `its days cost ${formatMoney(-worth.money, project.currency)} net`;
  return `${moved} ${price}: ${pays}.`;
}
