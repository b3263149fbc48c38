import { describe, expect, it } from "vitest";
import type { EffectsView, RiskView } from "../../shared/api/client";
import { movesSentence } from "./MovesDrawing";
import { axisOf, chanceWords, fewThatCarryMost, moneyWords, registerRows, timeWords } from "./register";

const risk = (id: string, more: Partial<RiskView> = {}): RiskView => ({
  id,
  title: `Risk ${id}`,
  kind: "threat",
  state: "open",
  category: "Site",
  owner: "",
  chance: 0.3,
  effects: [],
  answered: false,
  ...more,
});

const moved = (days: number, money = 0) => ({ days, daysError: 0.5, money, moneyError: 10 });

const effects: EffectsView = {
  revision: 1,
  state: "done",
  level: 80,
  iterations: 1000,
  total: 1000,
  all: moved(30, 500),
  rows: [
    { risk: "B", struck: 0.3, moved: moved(20), response: moved(-12) },
    { risk: "A", struck: 0.1, moved: moved(4, 300) },
    { risk: "O", struck: 0.2, moved: moved(-6) },
  ],
};

describe("the register", () => {
  const rows = registerRows([risk("A"), risk("X", { state: "closed" }), risk("O"), risk("B")], effects);

  it("has what moves most first, and what takes no part last and softly", () => {
    expect(rows.map((row) => row.id)).toEqual(["B", "O", "A", "X"]);
    expect(rows.map((row) => row.soft)).toEqual([false, false, false, true]);
  });

  it("says how few carry four fifths of the days added", () => {
    expect(fewThatCarryMost(rows)).toBe(1);
    expect(fewThatCarryMost(registerRows([risk("Z")], effects))).toBeUndefined();
  });

  it("draws all on one axis that has zero on it", () => {
    expect(axisOf(rows)).toEqual([-6, 20]);
    expect(axisOf([])).toEqual([0, 1]);
  });

  it("says what a risk moves, how well that is known, and what its response leaves", () => {
    expect(movesSentence(rows[0]!, effects.rows[0]!, 80)).toBe(
      "Risk B: +20.0 ± 0.5 working days on the P80 finish; after its response +8.0",
    );
  });
});

describe("a risk in words", () => {
  const effect = (what: string, low: number, high: number, basis: string, on = ["A10"]) => ({
    effect: what,
    low,
    high,
    basis,
    on,
  });

  it("has a chance, or strikes so often a year", () => {
    expect(chanceWords(risk("A"))).toBe("30 %");
    expect(chanceWords(risk("A", { chance: 1, perYear: 2.5 }))).toBe("2.5 a year");
    expect(chanceWords(risk("A", { chance: 0.4, perYear: 2 }))).toBe("40 %, 2 a year");
  });

  it("adds or scales time and money, here or there", () => {
    const both = risk("A", {
      effects: [
        effect("addTime", 10, 60, "days"),
        effect("scaleTime", 1.02, 1.15, "factor", ["S", "E"]),
        effect("addCost", 25_000, 110_000, "money"),
      ],
    });
    expect(timeWords(both)).toBe("10–60 d on A10, 2–15 % on 2");
    expect(moneyWords(both)).toBe("25k–110k on A10");
    expect(timeWords(risk("O", { effects: [effect("addTime", -20, -8, "days")] }))).toBe(
      "−20 to −8 d on A10",
    );
    expect(timeWords(risk("H", { effects: [effect("addTime", 4, 4, "hours")] }))).toBe("4 h on A10");
    expect(moneyWords(risk("S", { effects: [effect("scaleCost", 1.03, 1.22, "factor")] }))).toBe(
      "3–22 % on A10",
    );
  });
});
