import { describe, expect, it } from "vitest";
import type { Outlook } from "../api/client";
import { axisTicks, chanceSentence, costHeading, finishHeading, pinSentence } from "./heading";

const dates = (p80: string) => {
  const percentiles = Array.from({ length: 99 }, () => "2028-09-22T17:00:00");
  percentiles[79] = p80;
  return percentiles;
};
const outlook = (p80: string, iterations = 5000): Outlook => ({
  iterations,
  finish: {
    plan: "2028-07-10T17:00:00",
    planChance: 0.03,
    target: "2028-10-02T17:00:00",
    targetChance: 0.61,
    mean: "2028-09-25T17:00:00",
    sd: 20,
    percentiles: dates(p80),
    low: "2028-06-01T08:00:00",
    high: "2029-02-01T08:00:00",
    density: [0, 100, 0],
  },
  cost: {
    plan: 4_400_000,
    planChance: 0,
    mean: 5_000_000,
    sd: 100_000,
    percentiles: Array.from({ length: 99 }, (_, i) => 4_500_000 + i * 10_000),
    low: 4_300_000,
    high: 6_000_000,
    density: [0, 100, 0],
  },
});
const now = outlook("2028-10-25T17:00:00");

describe("where a plan is heading", () => {
  it("says what plan and target are worth", () => {
    expect(chanceSentence(finishHeading(now, 80), "EUR")).toBe(
      "The plan date, 10 Jul 2028, has a chance of 3 %; the target, 2 Oct, 61 %.",
    );
    const cost = costHeading(now, 80);
    expect(cost && chanceSentence(cost, "EUR")).toBe("The plan, €4.40m, has a chance of 0 %.");
    expect(costHeading({ ...now, cost: undefined }, 80)).toBeUndefined();
  });

  it("says how far P80 lies from the pinned one", () => {
    const at = (day: string) => finishHeading(outlook(day), 80);
    const pinned = at("2028-10-25T17:00:00");
    expect(pinSentence(at("2028-10-31T17:00:00"), pinned, "EUR")).toBe("6 days later than pinned");
    expect(pinSentence(at("2028-10-24T17:00:00"), pinned, "EUR")).toBe("1 day earlier than pinned");
    expect(pinSentence(pinned, pinned, "EUR")).toBe("As pinned");
    expect(pinSentence(pinned, undefined, "EUR")).toBeUndefined();
  });

  it("says what is kept with the level that matters to the project", () => {
    expect(finishHeading(now, 50).kept).toBe(Date.UTC(2028, 8, 22, 17));
    expect(finishHeading(now, 80).kept).toBe(Date.UTC(2028, 9, 25, 17));
    expect(costHeading(now, 90)?.kept).toBe(4_500_000 + 89 * 10_000);
  });

  it("labels its axes with round dates and amounts", () => {
    const finish = finishHeading(now, 80);
    expect(axisTicks(finish, finish.low, finish.high, 3, "EUR").map((tick) => tick.label)).toEqual([
      "1 Jul 2028",
      "1 Oct 2028",
      "1 Jan 2029",
    ]);
    const cost = costHeading(now, 80);
    expect(cost && axisTicks(cost, cost.low, cost.high, 4, "EUR").map((tick) => tick.label)).toEqual([
      "€4.50m",
      "€5.00m",
      "€5.50m",
    ]);
  });
});
