import { describe, expect, it } from "vitest";
import { fitted, widened } from "./fit";

const column = (id: string, width: number) => ({
  id,
  width,
  kept: id === "code" || id === "name",
  gives: id === "name",
});
const COLUMNS = [
  column("code", 60),
  column("name", 250),
  column("days", 60),
  column("start", 100),
  column("finish", 100),
];
const ids = (columns: readonly { id: string }[]) => columns.map((one) => one.id);
const widthOf = (columns: readonly { id: string; width: number }[]) =>
  columns.reduce((sum, one) => sum + one.width, 0);

describe("columns", () => {
  it("are all there, as wide as they want to be, where there is room", () => {
    expect(fitted(COLUMNS, 1280, undefined)).toEqual(COLUMNS);
  });

  it("give way to the drawing: the name gets narrower, then the last ones go", () => {
    const narrower = fitted(COLUMNS, 840, undefined);
    expect(ids(narrower)).toEqual(ids(COLUMNS));
    expect(widthOf(narrower)).toBe(500);
    expect(ids(fitted(COLUMNS, 700, undefined))).toEqual(["code", "name", "days"]);
    expect(ids(fitted(COLUMNS, 300, undefined))).toEqual(["code", "name"]);
  });

  it("take the room that somebody gives them", () => {
    expect(widthOf(fitted(COLUMNS, 1280, 700))).toBe(700);
    expect(ids(fitted(COLUMNS, 1280, 300))).toEqual(["code", "name", "days"]);
    expect(widthOf(fitted(COLUMNS, 1000, 5000))).toBeLessThanOrEqual(960);
  });

  it("have all the room where nothing is drawn beside them", () => {
    expect(widthOf(fitted(COLUMNS, 1280, undefined, false))).toBe(1280);
    expect(ids(fitted(COLUMNS, 420, undefined, false))).toEqual(["code", "name", "days", "start"]);
  });
});

describe("a column that widens", () => {
  interface Row {
    id: string;
  }
  const code = { id: "code", width: 62, widens: true, text: (row: Row) => row.id };
  const name = { id: "name", width: 100, text: (row: Row) => row.id };

  it("is as wide as its longest code, within bounds", () => {
    const [wide, same] = widened([code, name], [{ id: "S20" }, { id: "SPH2:M60" }]);
    expect(wide?.width).toBe(78);
    expect(same).toBe(name);
    expect(widened([code], [{ id: "x".repeat(90) }])[0]?.width).toBe(130);
  });

  it("stays as it is where nothing needs more", () => {
    const columns = [code, name];
    expect(widened(columns, [{ id: "S20" }])).toBe(columns);
    expect(widened(columns, [])).toBe(columns);
  });
});
