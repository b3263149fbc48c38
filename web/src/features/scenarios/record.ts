import type { RecordView, TallyView } from "../../shared/api/client";
import { formatChance, formatWhole } from "../../shared/format/numbers";

/** Where facts can fall in their ranges, with the share that falls there where ranges are right. */
export const PLACES = [
  { key: "under20", label: "below P20", share: 0.2 },
  { key: "to50", label: "P20 to P50", share: 0.3 },
  { key: "to80", label: "P50 to P80", share: 0.3 },
  { key: "beyond80", label: "beyond P80", share: 0.2 },
] as const;

/** How unlikely it must be by chance before ranges are blamed. */
const UNLIKELY = 0.1;

/** What the facts say of ranges, as one sentence of the screen's answer. */
export function recordSentence({ all }: RecordView): string {
  if (all.count === 0)
    return "No work is finished yet that had a range. Once activities have an actual start and finish, what they took is held against their ranges here.";
  const things =
    all.count === 1 ? "One piece of work is over" : `${formatWhole(all.count)} pieces of work are over`;
  return `${things}: ${verdict(all)}`;
}

/** "ranges have been too narrow upwards: 6 of 14 lie beyond P80; chance alone would do this in 3 of 100 cases." */
export function verdict(tally: TallyView): string {
  const says = (many: number, where: string, chance: number) =>
    `${many} of ${tally.count} ${many === 1 ? "lies" : "lie"} ${where}; chance alone would do this in ${casesOf(chance)}.`;
  if (tally.chance80 < UNLIKELY && tally.chance20 < UNLIKELY)
    return `ranges have been too narrow both ways: ${says(tally.under20 + tally.beyond80, "outside P20 to P80", Math.max(tally.chance80, tally.chance20))}`;
  if (tally.chance80 < UNLIKELY)
    return `ranges have been too narrow upwards: ${says(tally.beyond80, "beyond P80", tally.chance80)}`;
  if (tally.chance20 < UNLIKELY)
    return `ranges have been too high: ${says(tally.under20, "below P20", tally.chance20)}`;
  return "what happened is what ranges that are right would let one expect.";
}

function casesOf(chance: number): string {
  const of = Math.round(chance * 100);
  return of < 1 ? "fewer than 1 of 100 cases" : `${of} of 100 cases`;
}

/** "6 of 14 beyond P90; in truth between 18 % and 71 % of such work." */
export function beyondWords(tally: TallyView): string {
  return `${tally.beyond90} of ${tally.count} beyond P90; so few allow anything from ${formatChance(tally.low90)} to ${formatChance(tally.high90)} in truth`;
}
