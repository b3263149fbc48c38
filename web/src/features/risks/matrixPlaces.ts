import type { RiskView, ScaleView, SchemeView } from "../../shared/api/client";
import { isLive } from "./riskWords";

/** A kind of effect of the scheme, or the worst of all. */
export const OVERALL = "overall";

/** A place in the grid: how far along each axis, counted in levels, so that 2.5 is the middle of the third. */
export interface Place {
  chance: number;
  effect: number;
  /** Whether numbers put it there; a score alone puts it in the middle of its cell. */
  byNumbers: boolean;
}

export interface Placed {
  risk: RiskView;
  /** As it stands. */
  now: Place;
  /** With its response, where it has one that is not the present yet. */
  after?: Place;
}

type Levels = ScaleView["levels"];

/** Where a value lies among levels, counted in levels; what is beyond the last lies at its end. */
export function along(levels: Levels, value: number): number {
  for (const [i, { from = 0, to = 0 }] of levels.entries()) {
    if (value < to) return i + Math.max(0, (value - from) / (to - from));
  }
  return levels.length - 0.02;
}

const measured = (scale: ScaleView) => scale.kind === "time" || scale.kind === "money";
const sizeOf = (size: RiskView["size"], kind: string) => Math.abs(kind === "time" ? size.days : size.money);

/** How far along one scale an effect lies: by its numbers, else by its score; undefined where it has neither. */
function effectOn(
  scale: ScaleView,
  size: RiskView["size"],
  scored: number | undefined,
): { effect: number; byNumbers: boolean } | undefined {
  const value = measured(scale) ? sizeOf(size, scale.kind) : 0;
  if (value > 0) return { effect: along(scale.levels, value), byNumbers: true };
  return scored ? { effect: scored - 0.5, byNumbers: false } : undefined;
}

function placeOf(
  scheme: SchemeView,
  kind: string,
  size: RiskView["size"],
  score: RiskView["score"],
): Place | undefined {
  const scales = kind === OVERALL ? scheme.effects : scheme.effects.filter((scale) => scale.kind === kind);
  const found = scales.flatMap((scale) => effectOn(scale, size, score?.effects[scale.kind]) ?? []);
  const worst = found.reduce<(typeof found)[number] | undefined>(
    (most, one) => (!most || one.effect > most.effect ? one : most),
    undefined,
  );
  const chance =
    size.chance > 0 ? along(scheme.chance, size.chance) : score?.chance ? score.chance - 0.5 : undefined;
  return worst && chance !== undefined ? { ...worst, chance } : undefined;
}

/** The risks that have a place in the grid of a kind of effect. */
export function placed(risks: readonly RiskView[], scheme: SchemeView, kind: string): Placed[] {
  return risks.filter(isLive).flatMap((risk): Placed[] => {
    const { response } = risk;
    const before = placeOf(scheme, kind, risk.size, risk.score);
    const after = response && placeOf(scheme, kind, response.size, risk.scoreAfter);
    const now = response?.done ? (after ?? before) : before;
    return now ? [{ risk, now, after: response?.done ? undefined : after }] : [];
  });
}

export const cellOf = ({ chance, effect }: Place) => ({
  chance: Math.floor(chance) + 1,
  effect: Math.floor(effect) + 1,
});

/** Whether a place lies beyond what the scheme tolerates. */
export function isBeyond(scheme: SchemeView, place: Place): boolean {
  const { chance, effect } = cellOf(place);
  return effect > (scheme.tolerated[chance - 1] ?? 0);
}

/** How many threats lie beyond what is tolerated, now and with the responses that they have. */
export function beyondCounts(all: readonly Placed[], scheme: SchemeView): { now: number; after: number } {
  const threats = all.filter(({ risk }) => risk.kind === "threat");
  return {
    now: threats.filter(({ now }) => isBeyond(scheme, now)).length,
    after: threats.filter(({ now, after }) => isBeyond(scheme, after ?? now)).length,
  };
}

const COUNTS = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];
const count = (value: number) => COUNTS[value] ?? String(value);

/** The grid in one sentence. */
export function matrixSentence({ now, after }: { now: number; after: number }): string {
  if (now === 0) return "No threat lies beyond what the scheme tolerates.";
  const many = count(now);
  const first = `${many.charAt(0).toUpperCase()}${many.slice(1)} ${now === 1 ? "threat lies" : "threats lie"} beyond what the scheme tolerates`;
  if (after === now) return `${first}; responses so far change nothing of that.`;
  const left = after === 0 ? "none does" : `${count(after)} ${after === 1 ? "does" : "do"}`;
  return `${first}; with ${now === 1 ? "its response" : "their responses"}, ${left}.`;
}

/** What a score and the numbers beside it say of one risk. */
export interface Compared {
  risk: RiskView;
  /** Level of chance times the worst of effect, as scored, and as its own numbers put it. */
  score: number;
  byNumbers?: number;
  rankByScore: number;
  rankByDays?: number;
  /** What does not go together, in words. */
  doubt?: string;
}

/** Scores beside what is simulated: which do not go together comes first. */
export function compared(
  risks: readonly RiskView[],
  scheme: SchemeView,
  days: ReadonlyMap<string, number>,
): Compared[] {
  const scored = risks.filter((risk) => isLive(risk) && risk.score);
  const byScore = [...scored].sort((a, b) => (b.score?.product ?? 0) - (a.score?.product ?? 0));
  const byDays = [...scored]
    .filter((risk) => days.has(risk.id))
    .sort((a, b) => Math.abs(days.get(b.id) ?? 0) - Math.abs(days.get(a.id) ?? 0));
  return byScore
    .map((risk, i): Compared => {
      const place = placeOf(scheme, OVERALL, risk.size, undefined);
      const cell = place && cellOf(place);
      const rank = byDays.indexOf(risk);
      return {
        risk,
        score: risk.score?.product ?? 0,
        byNumbers: cell && cell.chance * cell.effect,
        rankByScore: i + 1,
        rankByDays: rank < 0 ? undefined : rank + 1,
        doubt: doubtOf(risk, cell, i + 1, rank + 1, scored.length),
      };
    })
    .sort(
      (a, b) =>
        Number(b.doubt !== undefined) - Number(a.doubt !== undefined) || a.rankByScore - b.rankByScore,
    );
}

function doubtOf(
  risk: RiskView,
  cell: { chance: number; effect: number } | undefined,
  byScore: number,
  byDays: number,
  all: number,
): string | undefined {
  if (!cell) return "scored without an effect: nothing of it is simulated";
  const worst = Math.max(0, ...Object.values(risk.score?.effects ?? {}));
  const off = cell.effect - worst;
  if (Math.abs(off) > 1) return `its numbers are ${off > 0 ? "graver" : "slighter"} than its score`;
  const chance = risk.score?.chance ?? 0;
  if (chance > 0 && Math.abs(cell.chance - chance) > 1)
    return `its numbers are ${cell.chance > chance ? "likelier" : "less likely"} than its score`;
  if (byDays > 0 && Math.abs(byScore - byDays) > Math.max(3, all / 2))
    return byDays < byScore ? "moves more than its score says" : "moves less than its score says";
  return undefined;
}

/** The edits that give risks the ranges of their scores, on what they strike already, or else on the whole project. */
export function quantified(risks: readonly RiskView[], scheme: SchemeView) {
  return risks.flatMap((risk) => {
    const { score } = risk;
    if (!score || risk.effects.length > 0) return [];
    const sign = risk.kind === "opportunity" ? -1 : 1;
    const text = (kind: string, unit: string) => {
      const level = scheme.effects.find((scale) => scale.kind === kind)?.levels[
        (score.effects[kind] ?? 0) - 1
      ];
      if (!level) return undefined;
      const ends = [sign * (level.from ?? 0), sign * (level.to ?? 0)].sort((a, b) => a - b);
      return `${ends.join("..")}${unit} on project`;
    };
    const time = text("time", "d");
    const money = text("money", "");
    const chance = scheme.chance[score.chance - 1]?.name;
    if (!time && !money) return [];
    return [
      {
        id: risk.id,
        ...(time && { time }),
        ...(money && { money }),
        ...(risk.chance === 0 && chance !== undefined && { chance }),
      },
    ];
  });
}
