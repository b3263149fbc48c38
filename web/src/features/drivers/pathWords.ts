import type { PathView, SharedRow } from "../../shared/api/client";
import { formatMoney, formatOne } from "../../shared/format/numbers";
import type { Way } from "./ways";

const inHundred = (share: number) => {
  const whole = Math.round(share * 100);
  return share > 0 && whole === 0 ? "under 1" : `${whole}`;
};

export { inHundred };

const TOLD = 3;
const DIFFERS = 1.2;

/** Which way it is, and how often. */
export function pathsSentence(ways: readonly Way[], end: string): string {
  const [first, ...others] = ways;
  if (!first) return `No path leads to ${end}.`;
  if (others.length === 0) return `One way leads to ${end} in every future: through ${first.name}.`;
  const told = ways
    .slice(0, TOLD)
    .map(({ name, share }, i) => `${name} in ${inHundred(share)}${i === 0 ? " of 100 futures" : ""}`);
  const count = NUMBERS[ways.length] ?? `${ways.length}`;
  return `${count} ways lead to ${end}: through ${told.slice(0, -1).join(", ")} and ${told.at(-1)}.`;
}

const NUMBERS: Record<number, string> = { 2: "Two", 3: "Three", 4: "Four", 5: "Five", 6: "Six" };

/** What is to be known of one path. */
export function pathSentence(path: PathView, limit: string): string {
  const { share, lateShare } = path;
  const lead = `It drives in ${inHundred(share)} of 100 futures`;
  if (lateShare === undefined) return `${lead}.`;
  const late = `in ${inHundred(lateShare)} of 100 of those that end after ${limit}`;
  if (lateShare > share * DIFFERS) return `${lead}, but ${late}: where it drives, it is long.`;
  if (lateShare * DIFFERS < share) return `${lead}, but only ${late}: where it drives, it is short.`;
  return `${lead}, and ${late}.`;
}

/** Where it parts from the most frequent path. */
export function partsSentence({ partsAt, meetsAt, number }: PathView): string {
  if (number === 1) return "It is the most frequent path.";
  if (!partsAt) return "All of its work lies on the most frequent path too.";
  return `It parts from the most frequent path at ${partsAt}${meetsAt ? `, and meets it again at ${meetsAt}` : ", and does not meet it again"}.`;
}

/** The two shares that tell an input apart: above its cut, or at most that, whichever is more among the late futures. */
export function twoShares({ struck, late, others, lateBeyond, othersBeyond }: SharedRow) {
  if (struck) return { over: true, late, others };
  return lateBeyond >= othersBeyond
    ? { over: true, late: lateBeyond, others: othersBeyond }
    : { over: false, late: 1 - lateBeyond, others: 1 - othersBeyond };
}

/** How an input fell among some futures, and among the others. */
export function sharedWords(row: SharedRow, currency: string): { what: string; how: string } {
  const { over, late, others } = twoShares(row);
  const how = `in ${inHundred(late)} of 100 of these, otherwise in ${inHundred(others)}`;
  if (row.struck) return { what: `${row.input.name} struck`, how };
  const value =
    row.unit === "money"
      ? formatMoney(row.cut, currency)
      : `${formatOne(row.cut)} ${row.unit === "day" ? "days" : ""}`;
  const verb = row.unit === "money" ? "cost" : "took";
  return { what: `${row.input.name} ${verb} ${over ? "over" : "at most"} ${value.trim()}`, how };
}
