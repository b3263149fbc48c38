import { describe, expect, it } from "vitest";
import { civil, parseDay, toCivilText } from "./dates";
import { editedNumber, formatChance, formatMoney, formatSigned, parseMoney, parseNumber } from "./numbers";

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

describe("days in two languages", () => {
  it("are read in figures as the language orders them", () => {
    const day = Date.UTC(2028, 8, 15);
    expect(parseDay("9/15/2028", "en-US")).toBe(day);
    expect(parseDay("15/09/2028", "en-GB")).toBe(day);
    expect(parseDay("15.9.2028", "de-DE")).toBe(day);
    expect(parseDay("15.09.28", "de-DE")).toBe(day);
    expect(parseDay("15/9/2028", "en-US")).toBeUndefined();
  });

  it("are read as they are shown", () => {
    const shown = (where: string) =>
      new Intl.DateTimeFormat(where, { timeZone: "UTC", day: "numeric", month: "short", year: "numeric" });
    for (const where of ["en-US", "en-GB", "de-DE", "fr-FR"])
      for (let month = 0; month < 12; month++) {
        const day = Date.UTC(2028, month, 15);
        expect(parseDay(shown(where).format(day), where), `${where} ${month}`).toBe(day);
      }
  });
});

describe("numbers in two languages", () => {
  it("mean what the language means", () => {
    expect(parseNumber("84.000", "de-DE")).toBe(84_000);
    expect(parseNumber("84.000", "en-GB")).toBe(84);
    expect(parseNumber("84,000", "en-GB")).toBe(84_000);
    expect(parseNumber("84,000", "de-DE")).toBe(84);
    expect(parseNumber("1.234.567,5", "de-DE")).toBe(1_234_567.5);
    expect(parseNumber("1,234,567.5", "en-GB")).toBe(1_234_567.5);
    expect(parseNumber("0.125", "de-DE")).toBe(0.125);
    expect(parseNumber("84.5", "de-DE")).toBe(84.5);
    expect(parseNumber("1 234,5", "fr-FR")).toBe(1234.5);
    expect(parseNumber("1’234.5", "de-CH")).toBe(1234.5);
    expect(parseNumber("1.23.4", "de-DE")).toBeUndefined();
    expect(parseNumber("1,2,3", "en-GB")).toBeUndefined();
  });

  it("come back as they were opened", () => {
    for (const where of ["en-GB", "de-DE", "fr-FR", "de-CH"])
      for (const value of [84, 1.125, 1234.567, 0.000123, -12.5, 98765432.1])
        expect(parseNumber(editedNumber(value, where), where), `${where} ${value}`).toBe(value);
  });
});

describe("money", () => {
  it("is read as it is shown and as people shorten it", () => {
    expect(parseMoney("€5,050,000", "en-GB")).toBe(5_050_000);
    expect(parseMoney("5.050.000 €", "de-DE")).toBe(5_050_000);
    expect(parseMoney("5.05m", "en-GB")).toBe(5_050_000);
    expect(parseMoney("5,05m", "de-DE")).toBe(5_050_000);
    expect(parseMoney("350k", "en-GB")).toBe(350_000);
    expect(parseMoney("-€12", "en-GB")).toBe(-12);
    expect(parseMoney("much", "en-GB")).toBeUndefined();
  });

  it("in a currency that is none is shown all the same", () => {
    expect(formatMoney(12, "?", true)).toContain("12");
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
