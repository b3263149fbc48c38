import { describe, expect, it } from "vitest";
import { dayState, plainCalendar, readShifts, shiftText, withExceptions } from "./calendarWords";

const closed = { from: "2027-12-24", to: "2027-12-26", name: "Midwinter", shifts: [] };

describe("a calendar's hours", () => {
  it("are read as people type them", () => {
    expect(readShifts("8-12, 13:00–17:30")).toEqual([
      ["08:00", "12:00"],
      ["13:00", "17:30"],
    ]);
    expect(readShifts(" ")).toEqual([]);
    expect(readShifts("all day")).toBeUndefined();
  });

  it("are shown as they can be typed again", () => {
    const text = shiftText([
      ["08:00", "12:00"],
      ["13:00", "17:00"],
    ]);
    expect(text).toBe("08:00–12:00, 13:00–17:00");
    expect(shiftText(readShifts(text) ?? [])).toBe(text);
  });
});

describe("a day of a calendar", () => {
  const calendar = { ...plainCalendar("c", "Plain"), exceptions: [closed] };

  it("is worked, free, closed or of other hours", () => {
    expect(dayState(calendar, "2027-03-01").state).toBe("work");
    expect(dayState(calendar, "2027-03-06").state).toBe("free");
    expect(dayState(calendar, "2027-12-25")).toEqual({ state: "closed", name: "Midwinter" });
    const other = { ...closed, from: "2027-12-25", to: "2027-12-25", shifts: [["09:00", "11:00"]] };
    expect(dayState({ ...calendar, exceptions: [closed, other] }, "2027-12-25").state).toBe("other");
  });

  it("is brought in once, in order of time", () => {
    const may = { from: "2027-05-01", to: "2027-05-01", name: "May day", shifts: [] };
    expect(withExceptions([closed], [may, closed])).toEqual([may, closed]);
  });
});
