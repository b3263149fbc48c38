import type { ScaleView, SchemeView } from "../../shared/api/client";
import { formatAmount, formatDays } from "../../shared/format/numbers";

type Levels = ScaleView["levels"];

/** Another end of a level; the next begins there, and what would lie beyond it moves along. */
export function withEnd(levels: Levels, index: number, to: number): Levels {
  return levels.map((level, i) => {
    if (i === index) return { ...level, to };
    return i === index + 1 ? { ...level, from: to } : level;
  });
}

/** With a level more at the end, or without one, whose room the one before takes. */
export function addedLevel(levels: Levels, without?: number): Levels {
  if (without === undefined) {
    const last = levels.at(-1);
    const measured = last?.to !== undefined && last.from !== undefined;
    const width = measured ? (last.to ?? 0) - (last.from ?? 0) : 0;
    const isChance = measured && (last.to ?? 0) <= 1;
    const name = `level ${levels.length + 1}`;
    if (!measured) return [...levels, { name }];
    // The last level of chance ends at certainty, so it makes room.
    if (isChance) {
      const middle = ((last.from ?? 0) + (last.to ?? 0)) / 2;
      return [...levels.slice(0, -1), { ...last, to: middle }, { name, from: middle, to: last.to }];
    }
    return [...levels, { name, from: last.to, to: (last.to ?? 0) + 2 * width }];
  }
  const gone = levels[without];
  return levels
    .map((level, i) => {
      if (gone?.to === undefined) return level;
      if (without === 0) return i === 1 ? { ...level, from: gone.from } : level;
      return i === without - 1 ? { ...level, to: gone.to } : level;
    })
    .filter((_, i) => i !== without);
}

/** The scheme with other levels of chance or of a kind of effect; what is tolerated is said for each level of chance. */
export function withLevels(scheme: SchemeView, kind: string, levels: Levels): SchemeView {
  const next =
    kind === "chance"
      ? { ...scheme, chance: levels }
      : {
          ...scheme,
          effects: scheme.effects.map((scale) => (scale.kind === kind ? { ...scale, levels } : scale)),
        };
  const most = Math.max(...next.effects.map((scale) => scale.levels.length));
  const tolerated = next.chance.map((_, c) =>
    Math.min(most, scheme.tolerated[c] ?? scheme.tolerated.at(-1) ?? 0),
  );
  return { ...next, tolerated };
}

/** With a kind of effect that is scored and not simulated. */
export function withKind(scheme: SchemeView, name: string): SchemeView {
  const word = name.toLowerCase().replace(/[^a-z0-9]+/g, "-") || "kind";
  const taken = new Set(scheme.effects.map(({ kind }) => kind));
  let kind = word;
  for (let i = 2; taken.has(kind) || kind === "chance"; i++) kind = `${word}-${i}`;
  const like = scheme.effects[0]?.levels ?? [];
  return {
    ...scheme,
    effects: [
      ...scheme.effects,
      { kind, name, unit: "", levels: like.map((level) => ({ name: level.name })) },
    ],
  };
}

export const withoutKind = (scheme: SchemeView, kind: string): SchemeView => ({
  ...scheme,
  effects: scheme.effects.filter((scale) => scale.kind !== kind),
});

/** Limits of scales that are measured, of two schemes with the same levels, in words. */
export function limitsBeside(now: SchemeView, then: SchemeView) {
  return now.effects
    .filter((scale) => scale.unit !== "")
    .map((scale) => {
      const other = then.effects.find((one) => one.kind === scale.kind);
      const format = scale.unit === "money" ? formatAmount : (value: number) => `${formatDays(value)} d`;
      return {
        name: scale.name,
        rows: scale.levels.map((level, i) => ({
          level: level.name,
          from: format(level.to ?? 0),
          to: format(other?.levels[i]?.to ?? 0),
        })),
      };
    });
}
