import type { CostCauses } from "../../shared/api/client";
import type { CheckWords } from "../../shared/check/CheckPanel";
import { formatMoney } from "../../shared/format/numbers";

/** "Delay alone asks for another €310k at P80", or what it saves. */
export function delaySentence(causes: CostCauses, currency: string): string {
  const delay = causes.with - causes.without;
  const level = `P${Math.round(causes.level)}`;
  if (Math.abs(delay) < 0.5) return `Time asks for nothing more at ${level}: no money grows with it.`;
  const money = formatMoney(Math.abs(delay), currency);
  return delay > 0
    ? `Delay alone asks for another ${money} at ${level}.`
    : `Work that goes faster saves ${money} at ${level}.`;
}

/** What is set aside, with and without delay, in one sentence. */
export function contingencySentence(causes: CostCauses, currency: string): string {
  const level = `P${Math.round(causes.level)}`;
  const money = (amount: number) => formatMoney(amount, currency);
  return `To be as sure as ${level}, ${money(causes.with)} has to be set aside beyond the plan; if nothing took longer or came later than planned, ${money(causes.without)} would do.`;
}

/** How much of the date's contingency is worth what in money. */
export function dayWorthSentence(causes: CostCauses, currency: string): string {
  const days = Math.round(causes.days);
  if (causes.dayCosts === 0 || days === 0) return "";
  const worth = formatMoney(causes.days * causes.dayCosts, currency);
  return `From the planned finish to P${Math.round(causes.level)} it is ${days} working days; a working day of the project costs ${formatMoney(causes.dayCosts, currency)}, so that time is worth ${worth}.`;
}

/** What each fault of the money is called, and why it matters to a simulation. */
export const COST_FAULTS: CheckWords = {
  moneyOnNothing: {
    title: "Money without an amount",
    why: "It costs nothing however the work goes. Say how much, or take it out.",
  },
  timeWithoutDuration: {
    title: "Growing with time where there is none",
    why: "What takes no time never grows, so this part is certain. Put it on the work, or make all of it due anyway.",
  },
  unlikeBudget: {
    title: "Total unlike the budget",
    why: "Either the plan leaves something out, or the budget was for something else.",
  },
  noRate: { title: "Resource without a rate", why: "It works for nothing, and delay costs nothing of it." },
  overLimit: {
    title: "More at work than there is",
    why: "The plan needs more at once than the limit; the dates are too early, or somebody has to be found.",
  },
  certainLine: {
    title: "Certain among uncertain lines",
    why: "Beside lines with ranges one that never varies makes the whole look surer than it is.",
  },
  earlyFunding: {
    title: "Funding before the project begins",
    why: "It is available from the first day on all the same; mostly a slip of the year.",
  },
  shortFunding: {
    title: "Less funding than the plan costs",
    why: "Even if all goes as planned, the money runs out.",
  },
  overspent: {
    title: "More spent than planned",
    why: "What is still to go counts as nothing unless it is said.",
  },
  paidTwice: {
    title: "Perhaps paid twice",
    why: "A line that grows with time and a resource that is paid by time may be the same people.",
  },
};

/** The cost check in one sentence. */
export function costSentence(open: number, accepted: number): string {
  const beside = accepted === 0 ? "" : `; ${accepted} accepted`;
  if (open === 0) return `The cost check finds nothing${accepted === 0 ? "" : ` new${beside}`}.`;
  return `${open} ${open === 1 ? "finding" : "findings"} in the cost check${beside}.`;
}
