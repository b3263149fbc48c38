import type { RowEdit } from "../api/client";
import type { Column } from "./columns";
import type { Place } from "./gridStore";
import type { Row } from "./rows";

/** A rectangle of cells, by index; both ends inclusive. */
export interface Block {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

export function blockOf(
  rows: Row[],
  columns: Column[],
  active: Place,
  anchor: Place = active,
): Block | undefined {
  const rowIndices = [active, anchor].map((place) => rows.findIndex((row) => row.id === place.row));
  const columnIndices = [active, anchor].map((place) =>
    columns.findIndex((column) => column.id === place.column),
  );
  const activeIsThere = (rowIndices[0] ?? -1) >= 0 && (columnIndices[0] ?? -1) >= 0;
  if (!activeIsThere) return undefined;
  const r = rowIndices.filter((i) => i >= 0);
  const c = columnIndices.filter((i) => i >= 0);
  return { top: Math.min(...r), bottom: Math.max(...r), left: Math.min(...c), right: Math.max(...c) };
}

/** The texts of a block, as spreadsheets exchange them: tabs between cells, a line a row. */
export function copyText(rows: Row[], columns: Column[], block: Block): string {
  return rows
    .slice(block.top, block.bottom + 1)
    .map((row) =>
      columns
        .slice(block.left, block.right + 1)
        .map((column) =>
          row.kind === "activity" ? (column.edit?.start(row.activity) ?? column.text(row)) : column.text(row),
        )
        .join("\t"),
    )
    .join("\n");
}

export type Fill = (row: number, column: number) => string | undefined;

/**
 * The edits that fill cells of a block with texts: one an activity, all its cells together. Cells that cannot be edited
 * are passed over; the first text that is no value refuses the whole.
 */
export function fillEdits(
  rows: Row[],
  columns: Column[],
  block: Block,
  fill: Fill,
): RowEdit[] | { refusal: string } {
  const edits: RowEdit[] = [];
  for (let r = block.top; r <= Math.min(block.bottom, rows.length - 1); r++) {
    const row = rows[r];
    if (row?.kind !== "activity") continue;
    let activity = row.activity;
    let edit: RowEdit | undefined;
    for (let c = block.left; c <= Math.min(block.right, columns.length - 1); c++) {
      const column = columns[c];
      const text = fill(r - block.top, c - block.left);
      if (!column?.edit || text === undefined || column.edit.start(activity) === undefined) continue;
      const typed =
        text === "" && column.edit.cleared
          ? column.edit.cleared(activity)
          : column.edit.typed(activity, text);
      if ("refusal" in typed) return { refusal: `${row.id}, ${column.title}: ${typed.refusal}` };
      activity = typed.after;
      edit = { ...edit, ...typed.edit };
    }
    if (edit) edits.push(edit);
  }
  return edits;
}

export function parseBlock(text: string): string[][] {
  return text
    .replace(/\r/g, "")
    .replace(/\n$/, "")
    .split("\n")
    .map((line) => line.split("\t"));
}
