import type { ExceptionWords } from "../../shared/api/client";
import { formatDay, parseDay } from "../../shared/format/dates";
import type { Column, GridRow, Typed } from "../../shared/grid/types";
import { readShifts, shiftText, withExceptions } from "./calendarWords";

/** A row of exceptions; the last one is empty and becomes a new exception. */
export type ExceptionRow = GridRow & { exception: ExceptionWords };
export type ExceptionPut = { id: string; exception: ExceptionWords };

const EMPTY: ExceptionWords = { from: "", to: "", name: "", shifts: [] };

export const emptyRow = (number: number): ExceptionRow => ({
  id: `new ${number}`,
  depth: 0,
  soft: true,
  exception: EMPTY,
});

export const exceptionRows = (exceptions: readonly ExceptionWords[]): ExceptionRow[] => [
  ...exceptions.map((exception) => ({
    id: `${exception.from} ${exception.to} ${exception.name}`,
    depth: 0,
    exception,
  })),
  emptyRow(0),
];

/** The exceptions with some of them changed, and what was typed into empty rows. */
export function putExceptions(
  rows: readonly ExceptionRow[],
  puts: readonly ExceptionPut[],
): ExceptionWords[] {
  const changed = new Set(puts.map((put) => put.id));
  const kept = rows.filter((row) => row.exception !== EMPTY && !changed.has(row.id));
  return withExceptions(
    kept.map((row) => row.exception),
    puts.map((put) => put.exception),
  );
}

const put = (row: ExceptionRow, part: Partial<ExceptionWords>): Typed<ExceptionRow, ExceptionPut> => {
  const exception = { ...row.exception, ...part };
  return { edit: { id: row.id, exception }, after: { ...row, exception } };
};

const dayOf = (text: string) => {
  const day = parseDay(text);
  return day === undefined ? undefined : new Date(day).toISOString().slice(0, 10);
};
const NO_DAY = (text: string) => ({ refusal: `A day is needed, such as 25 Dec 2028, not “${text.trim()}”.` });
const FIRST = { refusal: "Say first from which day it holds." };

type ExceptionColumn = Column<ExceptionRow, ExceptionPut>;

const fromColumn: ExceptionColumn = {
  id: "from",
  title: "From",
  hint: "The first day that is other than its weekday",
  width: 92,
  kept: true,
  text: ({ exception }) => (exception.from ? formatDay(exception.from) : ""),
  cell: (row) => ({
    start: row.exception.from,
    typed: (text) => {
      const from = dayOf(text);
      if (!from) return NO_DAY(text);
      const { to, name } = row.exception;
      return put(row, { from, to: to > from ? to : from, name: name || "Closed" });
    },
  }),
};

const toColumn: ExceptionColumn = {
  id: "to",
  title: "To",
  hint: "The last of its days",
  width: 92,
  kept: true,
  text: ({ exception }) => (exception.to === exception.from ? "" : formatDay(exception.to)),
  cell: (row) => ({
    start: row.exception.to === row.exception.from ? "" : row.exception.to,
    typed: (text) => {
      const { from } = row.exception;
      if (!from) return FIRST;
      const to = text.trim() === "" ? from : dayOf(text);
      if (!to) return NO_DAY(text);
      return to < from ? { refusal: "It would end before it begins." } : put(row, { to });
    },
  }),
};

const nameColumn: ExceptionColumn = {
  id: "name",
  title: "Name",
  width: 110,
  kept: true,
  gives: true,
  text: ({ exception }) => exception.name,
  cell: (row) => ({
    start: row.exception.name,
    typed: (text) => (row.exception.from ? put(row, { name: text.trim() }) : FIRST),
  }),
};

const hoursColumn: ExceptionColumn = {
  id: "hours",
  title: "Hours",
  hint: "Hours worked, such as 8-12; nothing for closed",
  width: 92,
  kept: true,
  text: ({ exception }) => (exception.from ? shiftText(exception.shifts) || "closed" : ""),
  cell: (row) => ({
    start: shiftText(row.exception.shifts),
    typed: (text) => {
      if (!row.exception.from) return FIRST;
      const shifts = readShifts(text.trim().toLowerCase() === "closed" ? "" : text);
      return shifts
        ? put(row, { shifts })
        : { refusal: `Hours are needed, such as 8-12, 13-17, or nothing, not “${text.trim()}”.` };
    },
  }),
};

export const EXCEPTION_COLUMNS = [fromColumn, toColumn, nameColumn, hoursColumn];
