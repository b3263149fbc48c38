import type { DriftPoint, PlanChanges, SinceRow } from "../../shared/api/client";
import { civil, DAY_MS, formatDay, formatMoment } from "../../shared/format/dates";
import { formatMoney, formatSigned, formatWhole } from "../../shared/format/numbers";
import { fieldSaid } from "../../shared/odds/inputChange";

/** Kinds of change, as a step is called and as it stands in a sentence. */
export const KINDS: Record<string, string> = {
  progress: "work done",
  calendars: "calendars",
  logic: "plan changed",
  ranges: "ranges",
  correlation: "moving together",
  risks: "risks",
  responses: "responses",
  costs: "money",
};

export type SinceWhat = "finish" | "cost";

/** What a run says at the level that matters: milliseconds, or money. */
export function levelOf(point: DriftPoint, what: SinceWhat): number | undefined {
  return what === "finish" ? civil(point.finishLevel) : point.costLevel;
}

const months = (ms: number) => {
  const days = Math.round(ms / DAY_MS);
  if (days >= 60) return `${Math.round(days / 30.4)} months`;
  return days <= 1 ? "a day" : `${formatWhole(days)} days`;
};

/** How the forecast has drifted, as one sentence. */
export function driftSentence(
  points: readonly DriftPoint[],
  what: SinceWhat,
  level: number,
  currency: string,
): string {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last)
    return "Nothing is recorded yet. Record a run in Odds at each update, and the drift of the forecast shows here.";
  const to = levelOf(last, what);
  if (points.length === 1 || to === undefined)
    return `P${level} is ${to === undefined ? "not known" : what === "finish" ? formatDay(to) : formatMoney(to, currency)}. One run is recorded; with the next one it shows how the forecast moves.`;
  const moved = to - (levelOf(first, what) ?? to);
  const span = Date.parse(last.at) - Date.parse(first.at);
  const since = span < DAY_MS ? `since run ${first.number}` : `in ${months(span)}`;
  const size = what === "finish" ? daysOf(moved) : formatMoney(Math.abs(moved), currency);
  const before = points.at(-2);
  const lately = before ? to - (levelOf(before, what) ?? to) : 0;
  const way =
    what === "finish" ? (moved > 0 ? "slipped" : "come forward") : moved > 0 ? "risen by" : "fallen by";
  if (isNothing(moved, what)) return `P${level} stands where it stood at the first of ${points.length} runs.`;
  const then =
    points.length > 2 && !isNothing(lately, what)
      ? `; since run ${before?.number} it has moved by ${what === "finish" ? daysOf(lately, true) : formatSigned(lately, (amount) => formatMoney(amount, currency))}`
      : "";
  return `P${level} has ${way} ${size} ${since}${then}.`;
}

const isNothing = (moved: number, what: SinceWhat) =>
  what === "finish" ? Math.abs(moved) < DAY_MS / 2 : Math.abs(moved) < 50;

function daysOf(ms: number, signed = false): string {
  const days = Math.round(ms / DAY_MS);
  const count = `${formatWhole(Math.abs(days))} ${Math.abs(days) === 1 ? "day" : "days"}`;
  return signed ? `${days < 0 ? "−" : "+"}${count}` : count;
}

/** How far a step moves what is looked at. */
export const stepChange = (step: PlanChanges["steps"][number], what: SinceWhat) =>
  what === "finish" ? step.days : step.money;

/** An edit between two runs: "S10, Survey the ridge: actual finish → 24 Mar 2027". */
export function sinceSaid(row: SinceRow): string {
  const named =
    row.section === "project"
      ? "The project"
      : `${row.section === "links" ? "Predecessors of " : ""}${row.key}`;
  if (row.what !== "changed") return `${named} ${row.what}`;
  return `${named}: ${row.fields.map(fieldSaid).join(", ")}`;
}

/** When and by whom: "you, 3 Jan, 14:05". */
export const touchSaid = ({ at, own, by }: SinceRow) =>
  at === undefined ? "" : `${own ? "you" : (by ?? "somebody else")}, ${formatMoment(at)}`;
