import { describe, expect, it } from "vitest";
import { civil, parseDay, toCivilText } from "./dates";
import { formatChance, formatSigned, parseNumber } from "./numbers";

describe("days", () => {
  it("are read in the forms people type", () => {
    const day = Date.UTC(2028, 5, 2);
    for (const text of [
      "2028-06-02",
      "2028-6-2",
      "2 Jun 2028",
      "2. June 2028",
      "Jun 2, 2028",
      " 2 jun, 2028 ",
    ]) {
      expect(parseDay(text), text).toBe(day);
    }
  });

  it("that do not exist are refused", () => {
    for (const text of ["", "soon", "2028-02-30", "31 Jun 2028", "2 Foo 2028", "2028"]) {
      expect(parseDay(text), text).toBeUndefined();
    }
  });

  it("go to the server and back without a time zone", () => {
    expect(toCivilText(civil("2028-03-26T02:30:00"))).toBe("2028-03-26T02:30");
    expect(civil("2028-03-26")).toBe(Date.UTC(2028, 2, 26));
  });
});

describe("numbers", () => {
  it("are read with a point or a comma, and with thousands", () => {
    expect(parseNumber("12.5")).toBe(12.5);
    expect(parseNumber("12,5")).toBe(12.5);
    expect(parseNumber(" 10,000 ")).toBe(10_000);
    expect(parseNumber("1 250")).toBe(1250);
    expect(parseNumber("-4")).toBe(-4);
  });

  it("with letters in them are refused", () => {
    for (const text of ["", "12x", "1o", "1.2.3", "--4", "NaN", "1e5"])
      expect(parseNumber(text), text).toBeUndefined();
  });

  it("carry their sign when they are differences", () => {
    expect(formatSigned(113)).toBe("+113");
    expect(formatSigned(-4)).toBe("−4");
    expect(formatSigned(0.2)).toBe("0");
  });

  it("say chances whole, and finer where whole would say nothing", () => {
    expect(formatChance(0.8)).toBe("80 %");
    expect(formatChance(0.006)).toBe("0.6 %");
    expect(formatChance(0.00001)).toBe("under 0.1 %");
    expect(formatChance(0)).toBe("0 %");
    expect(formatChance(1)).toBe("100 %");
  });
});
