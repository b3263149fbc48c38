import type { RowEdit } from "../api/client";
import type { Cell, Typed } from "../grid/types";
import type { CellEdit, PlanColumn, TypedRow } from "./columns";
import type { Row } from "./rows";

/** The cell of a column in a row; undefined where it cannot be edited. */
export function cellOf(column: PlanColumn, row: Row): Cell<Row, RowEdit> | undefined {
  switch (row.kind) {
    case "branch":
      return branchCell(bound(column.editBranch, row.branch, (branch) => ({ ...row, branch })));
    case "activity":
      return named(
        column,
        bound(column.edit, row.activity, (activity) => ({ ...row, activity })),
      );
    case "cost":
      return bound(column.editCost, row.cost, (cost) => ({ ...row, cost }));
    case "work":
      return bound(column.editWork, row.work, (work) => ({ ...row, work }));
  }
}

type RowCell = Cell<Row, RowEdit> | undefined;

/** Names and codes of branches are not filled; what is chosen, such as a grade, is. */
const branchCell = (cell: RowCell): RowCell => cell && { ...cell, passedOver: !cell.choices };

const named = (column: PlanColumn, cell: RowCell): RowCell =>
  cell && column.id === "code" ? { ...cell, names: true } : cell;

function bound<T>(edit: CellEdit<T> | undefined, one: T, into: (after: T) => Row): RowCell {
  const start = edit?.start(one);
  if (!edit || start === undefined) return undefined;
  const typed = (answer: TypedRow<T>): Typed<Row, RowEdit> =>
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
