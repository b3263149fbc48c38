import type { FutureView } from "../../shared/api/client";
import { daysBetween, formatDay } from "../../shared/format/dates";
import { formatMoney, formatWhole } from "../../shared/format/numbers";

const SHOWN_ENDS = 3;

/** What this future came to, beside the plan. */
export function futureSentence(future: FutureView, currency: string): string {
  const days = daysBetween(future.planFinish, future.finish);
  const when =
    days === 0
      ? "on the plan date"
      : `${formatWhole(Math.abs(days))} ${Math.abs(days) === 1 ? "day" : "days"} ${days > 0 ? "after" : "before"} the plan`;
  const more = future.cost - future.planCost;
  const money =
    future.planCost === 0 && future.cost === 0
      ? ""
      : `, and costs ${formatMoney(future.cost, currency)}, ${formatMoney(Math.abs(more), currency)} ${more >= 0 ? "more" : "less"}`;
  return `Future ${formatWhole(future.number)} of ${formatWhole(future.of)} finishes on ${formatDay(future.finish)}, ${when}${money}.`;
}

/** Which risks happened in it. */
export function struckSentence({ struck }: FutureView): string {
  if (struck.length === 0) return "No risk struck.";
  const said = struck.map(({ title, times }) => (times > 1 ? `${title} (${times} times)` : title));
  return `${struck.length === 1 ? "One risk" : `${struck.length} risks`} struck: ${said.join("; ")}.`;
}

/** The path that drove it, with its middle left out where it is long. */
export function pathSentence({ path }: FutureView): string {
  if (path.length === 0) return "";
  const shown =
    path.length <= 2 * SHOWN_ENDS + 1
      ? path
      : [...path.slice(0, SHOWN_ENDS), "…", ...path.slice(-SHOWN_ENDS)];
  return `It was driven by ${shown.join(" → ")}.`;
}

/** What made it cost more or less than the plan. */
export function moneySentence({ money }: FutureView, currency: string): string {
  const parts: [string, number][] = [
    ["estimates", money.spread],
    ["time", money.timeDriven],
    ["risks", money.risk],
    ["responses", money.actions],
  ];
  const said = parts
    .filter(([, amount]) => Math.abs(amount) >= 0.5)
    .map(([what, amount]) => `${what} ${amount < 0 ? "−" : "+"}${formatMoney(Math.abs(amount), currency)}`);
  return said.length === 0 ? "" : `Beside the plan: ${said.join(", ")}.`;
}
