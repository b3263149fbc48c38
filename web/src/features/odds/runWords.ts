import type { RunView } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { type Heading, told } from "../../shared/heading/heading";
import { shareOfFutures } from "../../shared/odds/sentences";

/** "So far four futures in five finish by 25 Oct 2028, and four in five cost at most €5.14m." */
export function soFarSentence(finish: Heading, cost: Heading | undefined, currency: string): string {
  const share = shareOfFutures(finish.level / 100).toLowerCase();
  const money = cost
    ? `, and ${share.replace(" futures", "")} cost at most ${told(cost, cost.kept, currency)}`
    : "";
  return `So far ${share} finish by ${told(finish, finish.kept, currency)}${money}.`;
}

/** How far a run is, how fast it goes, and how long it will take. */
export function progressWords({ progress, asked, tolerance }: RunView): string {
  const of = `${formatWhole(progress?.done ?? 0)} of ${tolerance === undefined ? "" : "at most "}${formatWhole(asked)} futures`;
  if (!progress) return `${of}; waiting for its turn.`;
  if (progress.paused) return `Held at ${of}.`;
  if (progress.perSecond === 0) return `${of}.`;
  const helped =
    progress.machines > 0
      ? ` with ${progress.machines} more ${progress.machines === 1 ? "machine" : "machines"}`
      : "";
  return `${of}, ${formatWhole(progress.perSecond)} a second${helped}, ${formatWhole(Math.ceil(progress.secondsLeft))} s left.`;
}
