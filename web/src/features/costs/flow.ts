import type { CashFlow, FlowPeriod, FundingView } from "../../shared/api/client";
import type { Period } from "../../shared/api/costs";
import type { TakenTable } from "../../shared/charts/takeTable";
import { civil, DAY_MS, formatDay, formatMonth } from "../../shared/format/dates";
import { formatChance, formatMoney } from "../../shared/format/numbers";
import { shareOfFutures } from "../../shared/odds/sentences";

const MONTHS_A_QUARTER = 3;

/** What a period is called: Jun 2028, week of 5 Jun 2028, Q2 2028. */
export function periodName(from: string, period: Period): string {
  const date = new Date(civil(from));
  const year = date.getUTCFullYear();
  if (period === "week") return `week of ${formatDay(from)}`;
  if (period === "quarter") return `Q${Math.floor(date.getUTCMonth() / MONTHS_A_QUARTER) + 1} ${year}`;
  return `${formatMonth(civil(from))} ${year}`;
}

/** The end of a period, as a moment: the beginning of the day after its last. */
export const endOf = (period: FlowPeriod) => civil(period.to) + DAY_MS;

/** What the cash flow says first. */
export function flowSentence(flow: CashFlow, period: Period, currency: string): string {
  const money = (amount: number) => formatMoney(amount, currency);
  const last = flow.periods.at(-1);
  if (!last) return "No money falls due.";
  const level = `P${Math.round(flow.level)}`;
  const { funding } = flow;
  if (!funding) {
    const most = flow.periods.reduce((one, other) => (other.within.p50 > one.within.p50 ? other : one));
    return `${money(last.toDate.at)} are spent in the end at ${level}; the most falls due in ${periodName(most.from, period)}, ${money(most.within.p50)} in half of all futures.`;
  }
  const breaks = 1 - funding.throughout;
  if (breaks <= 0 || !funding.breaks) return "The funding suffices at all times in every future.";
  const stretch = funding.breaks.from;
  const when = periodName(
    [...flow.periods].reverse().find((one) => civil(one.from) <= civil(stretch))?.from ?? stretch,
    period,
  );
  const short = funding.short50 === undefined ? "" : `, by ${money(funding.short50)} in half of those`;
  return `Money runs ahead of the funding in ${shareOfFutures(breaks).toLowerCase()}, most often first in ${when}${short}.`;
}

/** What of a period is funded, and the chance to stay within at its tightest; nothing where nothing is funded. */
export function fundedIn(
  flow: CashFlow,
  period: FlowPeriod,
): { available: number; within: number } | undefined {
  const own = flow.funding?.stretches.filter(
    (one) => civil(one.from) >= civil(period.from) && civil(one.to) <= civil(period.to),
  );
  const last = own?.at(-1);
  if (!own || !last) return undefined;
  return { available: last.available, within: Math.min(...own.map((one) => one.within)) };
}

/** The steps of funding added up, each from its day on. */
export function steps(funding: readonly FundingView[]): { date: string; sum: number }[] {
  let sum = 0;
  return [...funding]
    .sort((a, b) => civil(a.date) - civil(b.date))
    .map(({ date, amount }) => {
      sum += amount;
      return { date, sum };
    });
}

/** The cash flow as a table, period by period. */
export function flowTable(flow: CashFlow, period: Period): TakenTable {
  const level = `P${Math.round(flow.level)}`;
  const funded = flow.funding !== undefined;
  const underWay = flow.periods.some((one) => one.within.outset !== undefined);
  const head = ["Planned", ...(underWay ? ["At the outset"] : []), "Mean", "P10", "P50", level, "P90"];
  return {
    columns: [
      "Period",
      "From",
      "To",
      ...head,
      ...head.map((one) => `${one} to date`),
      ...(funded ? ["Funded", "Chance to stay within, %"] : []),
    ],
    rows: flow.periods.map((one) => {
      const inFunding = fundedIn(flow, one);
      const figures = ({ planned, outset, mean, p10, p50, at, p90 }: FlowPeriod["within"]) =>
        [planned, ...(underWay ? [outset ?? null] : []), mean, p10, p50, at, p90].map((value) =>
          value === null ? null : Math.round(value * 100) / 100,
        );
      return [
        periodName(one.from, period),
        one.from,
        one.to,
        ...figures(one.within),
        ...figures(one.toDate),
        ...(funded
          ? [inFunding?.available ?? null, inFunding ? Math.round(inFunding.within * 1000) / 10 : null]
          : []),
      ];
    }),
  };
}

/** The chance to stay within, in words. */
export const withinWords = (chance: number) => formatChance(chance);
