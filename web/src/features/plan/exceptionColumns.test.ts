import { describe, expect, it } from "vitest";
import { fillEdits, parseBlock } from "../../shared/grid/block";
import { EXCEPTION_COLUMNS, emptyRow, exceptionRows, putExceptions } from "./exceptionColumns";

const YARD = { from: "2028-12-25", to: "2029-01-01", name: "Year's end", shifts: [] };
const rows = exceptionRows([YARD]);

function pasted(text: string, top: number) {
  const lines = parseBlock(text);
  const room = [...rows, ...lines.map((_, i) => emptyRow(i + 1))];
  const block = { top, bottom: top + lines.length - 1, left: 0, right: 3 };
  return fillEdits(room, EXCEPTION_COLUMNS, block, (r, c) => lines[r]?.[c] || undefined);
}

describe("exceptions of a calendar", () => {
  it("are pasted below the last row, in order of time, a day alone without its end", () => {
    const puts = pasted("2028-05-01\t\tMay day\n2028-04-14\t2028-04-17\tEaster\t8-12\n", 1);
    expect("refusal" in puts).toBe(false);
    if ("refusal" in puts) return;
    expect(putExceptions(rows, puts)).toEqual([
      { from: "2028-04-14", to: "2028-04-17", name: "Easter", shifts: [["08:00", "12:00"]] },
      { from: "2028-05-01", to: "2028-05-01", name: "May day", shifts: [] },
      YARD,
    ]);
  });

  it("refuse a block in which a day cannot be read, and name row and column", () => {
    expect(pasted("2028-05-01\n31 of May", 1)).toEqual({
      refusal: "new 1, From: A day is needed, such as 25 Dec 2028, not “31 of May”.",
    });
  });

  it("do not end before they begin, and move their end along with their beginning", () => {
    const [from, to] = EXCEPTION_COLUMNS.map((column) => column.cell?.(rows[0] ?? emptyRow(0)));
    expect(to?.typed("2028-12-01")).toEqual({ refusal: "It would end before it begins." });
    expect(from?.typed("2029-02-01")).toMatchObject({
      edit: { exception: { from: "2029-02-01", to: "2029-02-01", name: "Year's end" } },
    });
  });

  it("begin with their first day", () => {
    const [, , name] = EXCEPTION_COLUMNS.map((column) => column.cell?.(emptyRow(0)));
    expect(name?.typed("Closed for snow")).toEqual({ refusal: "Say first from which day it holds." });
  });
});
