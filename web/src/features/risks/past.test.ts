import { describe, expect, it } from "vitest";
import { exposureSentence } from "./exposure";
import { byYear, eventsText, parsedEvents } from "./past";

describe("past events", () => {
  it("are lines of a day and an amount, under a line of titles or none", () => {
    expect(parsedEvents("Day Days\n2024-02-11  1.5\n2025-11-30;2\n\n3")).toEqual({
      events: [{ on: "2024-02-11", amount: 1.5 }, { on: "2025-11-30", amount: 2 }, { amount: 3 }],
    });
    expect(parsedEvents("")).toEqual({ events: [] });
    expect(parsedEvents("2024-02-11 much")).toHaveProperty("refusal");
  });

  it("are read again as they are shown", () => {
    const events = [{ on: "2024-02-11", amount: 1.5 }, { amount: 2 }];
    expect(parsedEvents(eventsText(events))).toEqual({ events });
  });

  it("are counted year by year, quiet years too", () => {
    expect(
      byYear([
        { on: "2022-01-01", amount: 1 },
        { on: "2024-01-01", amount: 1 },
      ]),
    ).toEqual([
      { year: 2022, count: 1 },
      { year: 2023, count: 0 },
      { year: 2024, count: 1 },
    ]);
    expect(byYear([{ amount: 1 }])).toEqual([]);
  });
});

describe("exposure over time", () => {
  const step = (from: string, daysAt: number) => ({
    from,
    because: [],
    days: daysAt / 2,
    daysAt,
    money: 0,
    moneyAt: 0,
  });

  it("says from what it falls, when half has passed, and what all responses would make of it", () => {
    const exposure = {
      level: 80,
      decided: [step("2027-03-01", 20), step("2027-09-01", 8)],
      all: [step("2027-03-01", 20), step("2027-05-01", 12), step("2027-09-01", 2)],
    };
    expect(exposureSentence(exposure, "days", (value) => `+${value} d`)).toMatch(
      /^At first the risks move the finish by \+20 d at P80, \+10 d on average; half of it has passed by .*2027\. If every response were decided, it would fall to \+12 d before that\.$/,
    );
    expect(exposureSentence(exposure, "money", String)).toContain("move nothing");
  });
});
