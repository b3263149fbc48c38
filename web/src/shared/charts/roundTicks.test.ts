import { describe, expect, it } from "vitest";
import { DAY_MS } from "../format/dates";
import { amountTicks, dateTicks } from "./roundTicks";

const at = (year: number, month: number, day: number) => Date.UTC(year, month - 1, day);

describe("round ticks", () => {
  it("of a long time are firsts of months, with their day and year", () => {
    const ticks = dateTicks(at(2028, 7, 20), at(2029, 3, 3), 4);
    expect(ticks.map((tick) => tick.label)).toEqual([
      "1 Sept 2028",
      "1 Nov 2028",
      "1 Jan 2029",
      "1 Mar 2029",
    ]);
  });

  it("of a short time are Mondays", () => {
    const ticks = dateTicks(at(2028, 7, 5), at(2028, 8, 8), 8);
    expect(ticks.length).toBeGreaterThan(3);
    for (const { value } of ticks) expect(new Date(value).getUTCDay()).toBe(1);
    expect((ticks[1]?.value ?? 0) - (ticks[0]?.value ?? 0)).toBe(7 * DAY_MS);
  });

  it("of money are round", () => {
    expect(amountTicks(5.34e6, 6.12e6, 4, "EUR").map((tick) => tick.value)).toEqual([
      5.4e6, 5.6e6, 5.8e6, 6e6,
    ]);
  });
});
