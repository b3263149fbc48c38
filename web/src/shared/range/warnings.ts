import type { EstimateWords, RangeLook } from "../api/client";

const SAME = 1e-6;

/** What a range should be asked, as questions: no error, but seldom what anybody means. */
export function doubts(words: EstimateWords, { range }: RangeLook): string[] {
  const found: string[] = [];
  const { low, likely, high, planned, plannedChance } = range;
  const close = (a: number, b: number) => Math.abs(a - b) <= SAME * Math.max(1, Math.abs(b));
  if (range.density.length === 0) return [];
  if (plannedChance <= 0 || plannedChance >= 1)
    found.push("The planned value lies outside the range. Is the range wrong, or the plan?");
  const threePoints = words.shape === "triangular" || words.shape === "pert";
  if (!threePoints || likely === undefined) return found;
  const even = Math.abs(high + low - 2 * likely) < 0.01 * (high - low);
  if (close(low, 0.9 * planned) && close(high, 1.1 * planned))
    found.push(
      "Ten percent up and down is what people say without thinking. What would make it twice as long?",
    );
  else if (even)
    found.push("It reaches as far down as up. Work runs late more easily than early: is it really even?");
  if (close(likely, planned))
    found.push("The likely value is the planned one. Would you say so if you had not seen the plan?");
  return found;
}
