import { describe, expect, it } from "vitest";
import type { SchemeView } from "../../shared/api/client";
import { addedLevel, limitsBeside, withEnd, withKind, withLevels } from "./scheme";

const levels = [
  { name: "small", from: 0, to: 5 },
  { name: "marked", from: 5, to: 20 },
  { name: "great", from: 20, to: 40 },
];
const scheme: SchemeView = {
  chance: [
    { name: "rare", from: 0, to: 0.2 },
    { name: "likely", from: 0.2, to: 1 },
  ],
  effects: [{ kind: "time", name: "Delay", unit: "days", levels }],
  tolerated: [3, 2],
};

describe("a scheme", () => {
  it("lets the next level begin where one ends", () => {
    expect(withEnd(levels, 0, 8)[1]).toEqual({ name: "marked", from: 8, to: 20 });
  });

  it("has no gaps after a level came or went", () => {
    for (const without of [undefined, 0, 1, 2]) {
      const next = addedLevel(levels, without);
      expect(next).toHaveLength(without === undefined ? 4 : 2);
      expect(next[0]?.from).toBe(0);
      next.slice(1).forEach((level, i) => expect(level.from).toBe(next[i]?.to));
    }
  });

  it("makes room within certainty for another level of chance", () => {
    expect(addedLevel(scheme.chance).map(({ to }) => to)).toEqual([0.2, 0.6, 1]);
  });

  it("says for every level of chance what is tolerated", () => {
    const next = withLevels(scheme, "chance", addedLevel(scheme.chance));
    expect(next.tolerated).toEqual([3, 2, 2]);
    expect(withLevels(scheme, "time", levels.slice(0, 2)).tolerated).toEqual([2, 2]);
  });

  it("takes further kinds that are scored alone, each by a word of its own", () => {
    const twice = withKind(withKind(scheme, "Quality"), "Quality");
    expect(twice.effects.map(({ kind }) => kind)).toEqual(["time", "quality", "quality-2"]);
    expect(twice.effects[1]?.levels[0]).toEqual({ name: "small" });
  });

  it("shows old and new limits side by side", () => {
    const scaled = withLevels(scheme, "time", withEnd(levels, 0, 8));
    expect(limitsBeside(scheme, scaled)[0]?.rows[0]).toEqual({ level: "small", from: "5 d", to: "8 d" });
  });
});
