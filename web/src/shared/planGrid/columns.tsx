import type { ActivityView, BranchView, CostView, RowEdit } from "../api/client";
import { editedNumber, formatDays, parseNumber } from "../format/numbers";
import type { Choices, Column, Completion, Typed } from "../grid/types";
import { cellOf } from "./cells";
import { type Row, subjectOf, type WorkView } from "./rows";

/** What typing into the cell of one kind of row comes to. */
export type TypedRow<T = ActivityView> = Typed<T, RowEdit>;

/** How the cell of one kind of row is edited. */
export interface CellEdit<T> {
  /** The text an edit starts from; undefined where the cell cannot be edited. */
  start: (one: T) => string | undefined;
  /** Where one of a few words is chosen. */
  choices?: Choices | ((one: T) => Choices);
  typed: (one: T, text: string) => TypedRow<T>;
  /** What emptying the cell comes to. */
  cleared?: (one: T) => TypedRow<T>;
  /** What the text so far may go on as. */
  complete?: (text: string) => Completion[];
  /** One step along an order that the choices have, with + and −. */
  step?: (one: T, by: 1 | -1) => TypedRow<T> | undefined;
}

/** A column of the plan's rows, with its cells by what kind of row they stand in. */
export interface PlanColumn extends Omit<Column<Row, RowEdit>, "cell"> {
  /** Whether it is shown only where somebody has asked for it. */
  spare?: boolean;
  edit?: CellEdit<ActivityView>;
  editBranch?: CellEdit<BranchView>;
  editCost?: CellEdit<CostView>;
  editWork?: CellEdit<WorkView>;
  /** The part of a new activity that a pasted text gives. */
  editNew?: (text: string) => Partial<RowEdit> | { refusal: string };
}

/** The column as the grid takes it, whatever kind of row a cell stands in. */
export type BoundColumn = PlanColumn & Column<Row, RowEdit>;

export const bound = (column: PlanColumn): BoundColumn => ({ ...column, cell: (row) => cellOf(column, row) });

export const codeColumn: PlanColumn = {
  id: "code",
  title: "Code",
  width: 62,
  kept: true,
  widens: true,
  soft: true,
  text: (row) => (row.kind === "branch" ? row.branch.code : row.kind === "work" ? row.work.resource : row.id),
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

export function nameColumn(width: number): PlanColumn {
  return {
    id: "name",
    title: "Activity",
    word: "activity",
    width,
    kept: true,
    gives: true,
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
    editCost: {
      start: (cost) => cost.name,
      typed: (cost, text) => ({
        edit: { id: cost.id, cost: { name: text.trim() } },
        after: { ...cost, name: text.trim() },
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

export const daysColumn: PlanColumn = {
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
