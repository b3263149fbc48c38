import type { ReactNode } from "react";
import type { ActivityView, BranchView, CostView, RowEdit } from "../api/client";
import { editedNumber, formatDays, parseNumber } from "../format/numbers";
import { type Row, subjectOf } from "./rows";

/** What typing into a cell comes to: an edit to send with the row as it would be, or the reason why it is refused. */
export type Typed<T = ActivityView> = { edit: RowEdit; after: T } | { refusal: string };

/** Something that can be put in the place of the last word of a cell. */
export interface Completion {
  value: string;
  label: string;
}

export type Choices = readonly { value: string; label: string }[];

/** How the cell of one kind of row is edited. */
export interface CellEdit<T> {
  /** The text an edit starts from; undefined where the cell cannot be edited. */
  start: (one: T) => string | undefined;
  /** Where one of a few words is chosen. */
  choices?: Choices | ((one: T) => Choices);
  typed: (one: T, text: string) => Typed<T>;
  /** What emptying the cell comes to. */
  cleared?: (one: T) => Typed<T>;
  /** What the text so far may go on as. */
  complete?: (text: string) => Completion[];
  /** One step along an order that the choices have, with + and −. */
  step?: (one: T, by: 1 | -1) => Typed<T> | undefined;
}

export interface Column {
  id: string;
  title: string;
  /** Explains the column where it stands. */
  hint?: string;
  width: number;
  align?: "right";
  /** Whether it is shown only where somebody has asked for it. */
  spare?: boolean;
  /** What the cell says; also what is copied. */
  text: (row: Row) => string;
  render?: (row: Row) => ReactNode;
  edit?: CellEdit<ActivityView>;
  editBranch?: CellEdit<BranchView>;
  editCost?: CellEdit<CostView>;
  /** The part of a new activity that a pasted text gives. */
  editNew?: (text: string) => Partial<RowEdit> | { refusal: string };
}

export const codeColumn: Column = {
  id: "code",
  title: "Code",
  width: 62,
  text: (row) => (row.kind === "branch" ? row.branch.code : row.id),
  edit: {
    start: (activity) => activity.id,
    typed: (activity, text) => {
      const code = text.trim();
      return code === activity.id
        ? { edit: { id: activity.id }, after: activity }
        : { edit: { id: activity.id, code }, after: activity };
    },
  },
  editBranch: {
    start: (branch) => branch.code,
    typed: (branch, text) => ({
      edit: { id: branch.id, code: text.trim() },
      after: { ...branch, code: text.trim() },
    }),
  },
  editNew: (text) => ({ id: text }),
};

export function nameColumn(width: number): Column {
  return {
    id: "name",
    title: "Activity",
    width,
    text: (row) => subjectOf(row).name,
    edit: {
      start: (activity) => activity.name,
      typed: (activity, text) => ({
        edit: { id: activity.id, name: text.trim() },
        after: { ...activity, name: text.trim() },
      }),
    },
    editBranch: {
      start: (branch) => branch.name,
      typed: (branch, text) => ({
        edit: { id: branch.id, name: text.trim() },
        after: { ...branch, name: text.trim() },
      }),
    },
    editNew: (text) => ({ name: text }),
  };
}

/** A duration as it is typed: days where no unit is said. */
export function typedDuration(text: string): string {
  const parts = /^(.*?)\s*(min|h|d|w|ed)?$/i.exec(text.trim());
  const amount = parseNumber(parts?.[1] ?? "");
  return amount === undefined ? text.trim() : `${amount}${parts?.[2]?.toLowerCase() ?? "d"}`;
}

/** A duration as it is opened for editing: its number as the language writes it, days without their unit. */
export function openedDuration(duration: string): string {
  const parts = /^([\d.]+)(min|h|d|w|ed)$/.exec(duration);
  return parts ? `${editedNumber(Number(parts[1]))}${parts[2] === "d" ? "" : parts[2]}` : duration;
}

export const daysColumn: Column = {
  id: "days",
  title: "Days",
  hint: "Planned duration in days of the activity's calendar. Other units can be typed: 4h, 3w, 30min, 14ed. 0 makes a milestone.",
  width: 56,
  align: "right",
  text: (row) =>
    row.kind !== "activity" || row.activity.kind === "milestone"
      ? ""
      : formatDays(row.activity.range.planned),
  edit: {
    start: (activity) => (activity.kind === "hammock" ? undefined : openedDuration(activity.duration)),
    typed: (activity, text) => {
      const duration = typedDuration(text);
      return { edit: { id: activity.id, duration }, after: { ...activity, duration } };
    },
  },
  editNew: (text) => ({ duration: text === "" ? "0d" : typedDuration(text) }),
};
