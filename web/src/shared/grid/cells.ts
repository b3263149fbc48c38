import type { CellEdit, Choices, Column, Completion } from "./columns";
import type { Row } from "./rows";
import type { RowEdit } from "../api/client";

export type TypedRow = { edit: RowEdit; after: Row } | { refusal: string };

/** A cell that can be edited, whatever kind of row it stands in. */
export interface Cell {
  start: string;
  choices?: Choices;
  complete?: (text: string) => Completion[];
  typed: (text: string) => TypedRow;
  cleared?: () => TypedRow;
  step?: (by: 1 | -1) => TypedRow | undefined;
}

/** The cell of a column in a row; undefined where it cannot be edited. */
export function cellOf(column: Column, row: Row): Cell | undefined {
  switch (row.kind) {
    case "branch":
      return bound(column.editBranch, row.branch, (branch) => ({ ...row, branch }));
    case "activity":
      return bound(column.edit, row.activity, (activity) => ({ ...row, activity }));
    case "cost":
      return bound(column.editCost, row.cost, (cost) => ({ ...row, cost }));
  }
}

function bound<T>(edit: CellEdit<T> | undefined, one: T, into: (after: T) => Row): Cell | undefined {
  const start = edit?.start(one);
  if (!edit || start === undefined) return undefined;
  const typed = (answer: { edit: RowEdit; after: T } | { refusal: string }): TypedRow =>
    "refusal" in answer ? answer : { edit: answer.edit, after: into(answer.after) };
  const { choices, cleared, step } = edit;
  return {
    start,
    choices: typeof choices === "function" ? choices(one) : choices,
    complete: edit.complete,
    typed: (text) => typed(edit.typed(one, text)),
    cleared: cleared && (() => typed(cleared(one))),
    step:
      step &&
      ((by) => {
        const stepped = step(one, by);
        return stepped && typed(stepped);
      }),
  };
}
