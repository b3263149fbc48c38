import { describe, expect, it } from "vitest";
import type { TablePreview, RiskMoves } from "../../shared/api/client";
import { aPlan } from "../../test/aPlan";
import { A_RESPONSE, aRisk } from "../../test/aRisk";
import { categoryName, shareWords } from "./lossWords";
import { registerColumns } from "./registerColumns";
import { countsOf, keyOf, mendedLines } from "../../shared/files/tableFile";
import { pasted } from "./registerPaste";
import { worthSentence } from "./responseWords";
import { sentenceOf, strategiesOf } from "./riskWords";

describe("a risk in a sentence", () => {
  it("is made of cause, event and consequence, as far as they are said", () => {
    const said = { cause: "the road is steep.", event: "a load slips", consequence: "it is lifted again" };
    expect(sentenceOf(aRisk("R1", said))).toBe(
      "Because the road is steep, it may happen that a load slips, and then it is lifted again.",
    );
    expect(sentenceOf(aRisk("R1", { event: "a load slips" }))).toBe("It may happen that a load slips.");
    expect(sentenceOf(aRisk("R1"))).toBe("Risk R1");
  });

  it("has strategies of its kind", () => {
    expect(strategiesOf("threat").map(({ value }) => value)).toContain("mitigate");
    expect(strategiesOf("opportunity").map(({ value }) => value)).not.toContain("mitigate");
  });
});

describe("what a response is worth", () => {
  const answered = aRisk("R1", { response: A_RESPONSE });
  const moved = (days: number, money: number): RiskMoves => ({
    risk: "R1",
    struck: 0.3,
    moved: { days: 8, money: 5000 },
    response: { days, money },
  });

  it("says whether it pays, or what its days cost net", () => {
    expect(worthSentence(aPlan(), answered, moved(-5, -300))).toContain(
      "−5.0 working days: it pays for itself",
    );
    expect(worthSentence(aPlan(), answered, moved(-5, 700))).toContain("its days cost €700 net");
  });

  it("says where it makes no difference, and where that is not known yet", () => {
    expect(worthSentence(aPlan(), answered, moved(0, 1000))).toContain("makes no difference at P80");
    expect(worthSentence(aPlan(), answered, undefined)).toContain("is being worked out");
  });
});

describe("lines pasted onto the register", () => {
  const risks = [aRisk("R1"), aRisk("R2")];
  const rows = [
    ...risks.map((risk) => ({ id: risk.id, depth: 0, risk })),
    { id: "R3", depth: 0, soft: true },
  ];
  const columns = registerColumns(80, risks).filter(({ id }) => ["title", "chance", "time"].includes(id));
  const block = { top: 1, bottom: 1, left: 0, right: 0 };

  it("fill the risks from the active one on, and make new ones of the rest", () => {
    const lines = [
      ["Fog", "20"],
      ["Ice", "1 in 4", "2..5d on A10"],
      ["Wind", ""],
    ];
    expect(pasted(lines, rows, columns, block, risks)).toEqual([
      { id: "R2", title: "Fog", chance: "20" },
      { id: "R3", add: true, title: "Ice", chance: "1 in 4", time: "2..5d on A10" },
      { id: "R4", add: true, title: "Wind" },
    ]);
  });
});

describe("a register out of a table", () => {
  const preview = {
    rows: [{ what: "new" }, { what: "changed" }, { what: "changed" }, { what: "same" }],
  } as TablePreview;

  it("is counted by what it changes", () => {
    expect(countsOf(preview)).toEqual({ fresh: 1, changed: 2, same: 1 });
  });

  it("has cells typed anew, a line each", () => {
    const key = keyOf({ row: 3, column: 2 });
    expect(
      mendedLines(
        new Map([
          [key, "13 %"],
          ["4:0", "two\nlines"],
        ]),
      ),
    ).toBe("3:2:13 %\n4:0:two lines");
  });
});

it("categories have names, the whole and none too", () => {
  expect([categoryName(""), categoryName("/"), categoryName("Site/Weather")]).toEqual([
    "The register",
    "Without a category",
    "Site/Weather",
  ]);
});

it("shares of gains stand below zero", () => {
  expect([shareWords(0.58), shareWords(-0.06)]).toEqual(["58 %", "−6 %"]);
});
