import { describe, expect, it } from "vitest";
import type { EffectsView } from "../../shared/api/client";
import { movesSentence } from "./MovesDrawing";
import { chanceWords, moneyWords, timeWords } from "./effectWords";
import { axisOf, fewThatCarryMost, fits, groupedRows, nextCode, registerRows } from "./register";
import { A_RESPONSE, aRisk as risk, anEffect } from "../../test/aRisk";

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
  const rows = registerRows(
    [risk("A"), risk("X", { state: "closed" }), risk("O"), risk("B", { response: A_RESPONSE })],
    effects,
  );

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

  it("tells of a decided response what the risk would move without it", () => {
    const [first] = registerRows([risk("B", { response: { ...A_RESPONSE, decided: true } })], effects);
    expect(movesSentence(first!, effects.rows[0]!, 80)).toContain(
      "without the response that is decided on +32.0",
    );
    expect(axisOf([first!])).toEqual([0, 32]);
  });

  it("says of what moved no future what it is less than", () => {
    const still = { ...effects.rows[0]!, moved: { days: 0, daysError: 0.26, money: 0, moneyError: 0 } };
    expect(movesSentence(rows[0]!, { ...still, response: undefined }, 80)).toMatch(
      /: less than 0\.3 working days/,
    );
  });

  it("can be grouped by the project's own tree, with sums at the heads", () => {
    const rows = registerRows(
      [
        risk("A", { category: "Site/Weather" }),
        risk("B", { category: "Site/Ground" }),
        risk("O", { category: "Supply" }),
      ],
      effects,
    );
    const grouped = groupedRows(rows, "category", new Set());
    expect(grouped.map((row) => [row.group?.title ?? row.id, row.depth])).toEqual([
      ["Site", 0],
      ["Ground", 1],
      ["B", 2],
      ["Weather", 1],
      ["A", 2],
      ["Supply", 0],
      ["O", 1],
    ]);
    expect(grouped[0]?.group).toMatchObject({ count: 2, days: 24 });
    const closed = groupedRows(rows, "category", new Set(["group /Site"]));
    expect(closed.map((row) => row.group?.title ?? row.id)).toEqual(["Site", "Supply", "O"]);
  });

  it("is looked through by text and by what is the matter", () => {
    expect(fits(risk("A", { owner: "Site manager" }), { text: "manager" })).toBe(true);
    expect(fits(risk("A"), { text: "", filter: "unowned" })).toBe(true);
    expect(fits(risk("A"), { text: "", filter: "answered" })).toBe(false);
    expect(fits(risk("A"), { text: "crane" })).toBe(false);
  });

  it("goes on counting codes as the last one does", () => {
    expect(nextCode([risk("R08"), risk("R09")])).toBe("R10");
    expect(nextCode([risk("R10"), risk("R09")])).toBe("R11");
    expect(nextCode([])).toBe("R01");
  });

  it("says what a risk moves, how well that is known, and what its response leaves", () => {
    expect(movesSentence(rows[0]!, effects.rows[0]!, 80)).toBe(
      "Risk B: +20.0 ± 0.5 working days on the P80 finish; after its response +8.0",
    );
  });
});

describe("a risk in words", () => {
  const effect = (what: string, low: number, high: number, basis: string, on = ["A10"]) =>
    anEffect({ effect: what, low, high, basis, on });

  it("has a chance, or strikes so often a year", () => {
    expect(chanceWords(risk("A"))).toBe("30 %");
    expect(chanceWords(risk("A", { chance: 1, perYear: 2.5 }))).toBe("2.5 a year");
    expect(chanceWords(risk("A", { chance: 0.4, perYear: 2 }))).toBe("40 %, 2 a year");
  });

  it("adds or scales time and money, here or there", () => {
    const both = [
      effect("addTime", 10, 60, "days"),
      effect("scaleTime", 1.02, 1.15, "factor", ["S", "E"]),
      effect("addCost", 25_000, 110_000, "money"),
    ];
    expect(timeWords(both)).toBe("10–60 d on A10, 2–15 % on 2");
    expect(moneyWords(both)).toBe("25k–110k on A10");
    expect(timeWords([effect("addTime", -20, -8, "days")])).toBe("−20 to −8 d on A10");
    expect(timeWords([effect("addTime", 4, 4, "hours")])).toBe("4 h on A10");
    expect(moneyWords([effect("scaleCost", 1.03, 1.22, "factor")])).toBe("3–22 % on A10");
  });
});
