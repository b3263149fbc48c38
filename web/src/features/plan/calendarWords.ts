import type { CalendarWords, ExceptionWords } from "../../shared/api/client";

export const DAYS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] as const;
export type Shifts = string[][];

/** Shifts as people read them: 08:00–12:00, 13:00–17:00. */
export const shiftText = (shifts: Shifts) => shifts.map(([from, to]) => `${from}–${to}`).join(", ");

/** Shifts as people type them: 8-12, 13-17:30; empty for none; undefined where they cannot be read. */
export function readShifts(text: string): Shifts | undefined {
  if (text.trim() === "") return [];
  const shifts: Shifts = [];
  for (const part of text.split(/[,;]/)) {
    const ends = /^\s*(\d{1,2})(?::?(\d{2}))?\s*[-–—]\s*(\d{1,2})(?::?(\d{2}))?\s*$/.exec(part);
    if (!ends) return undefined;
    shifts.push([time(ends[1], ends[2]), time(ends[3], ends[4])]);
  }
  return shifts;
}

const time = (hour = "0", minute = "00") => `${hour.padStart(2, "0")}:${minute}`;

export type DayState = "work" | "free" | "closed" | "other";

/** What a day is in a calendar, and the name of the exception that makes it so. */
export function dayState(calendar: CalendarWords, day: string): { state: DayState; name?: string } {
  const exception = calendar.exceptions.findLast((one) => one.from <= day && day <= one.to);
  if (exception) return { state: exception.shifts.length === 0 ? "closed" : "other", name: exception.name };
  const weekday = DAYS[(new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7] ?? "mon";
  return { state: (calendar.week[weekday] ?? []).length > 0 ? "work" : "free" };
}

/** The exceptions of two lists, each once, in order of time. */
export function withExceptions(
  all: readonly ExceptionWords[],
  more: readonly ExceptionWords[],
): ExceptionWords[] {
  const key = (one: ExceptionWords) => `${one.from} ${one.to} ${one.name}`;
  const known = new Set(all.map(key));
  return [...all, ...more.filter((one) => !known.has(key(one)))].sort((a, b) => a.from.localeCompare(b.from));
}

/** A new calendar: Monday to Friday, eight hours a day. */
export function plainCalendar(id: string, name: string): CalendarWords {
  const day = [
    ["08:00", "12:00"],
    ["13:00", "17:00"],
  ];
  const week = Object.fromEntries(DAYS.map((one, i) => [one, i < 5 ? day : []]));
  return { id, name, hoursPerDay: 8, week, exceptions: [] };
}
