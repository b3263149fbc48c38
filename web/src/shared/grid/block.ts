import type { Place } from "./gridStore";
import type { Column, GridRow } from "./types";

/** A rectangle of cells, by index; both ends inclusive. */
export interface Block {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

export function blockOf(
  rows: readonly { id: string }[],
  columns: readonly { id: string }[],
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
export function copyText<R, E>(rows: R[], columns: Column<R, E>[], block: Block): string {
  return rows
    .slice(block.top, block.bottom + 1)
    .map((row) =>
      columns
        .slice(block.left, block.right + 1)
        .map((column) => column.cell?.(row)?.start ?? column.text(row))
        .join("\t"),
    )
    .join("\n");
}

export type Fill = (row: number, column: number) => string | undefined;

/**
 * The edits that fill cells of a block with texts: one a row, all its cells together. Cells that cannot be edited
 * are passed over; the first text that is no value refuses the whole.
 */
export function fillEdits<R extends GridRow, E extends object>(
  rows: R[],
  columns: Column<R, E>[],
  block: Block,
  fill: Fill,
): E[] | { refusal: string } {
  const edits: E[] = [];
  for (let r = block.top; r <= Math.min(block.bottom, rows.length - 1); r++) {
    let row = rows[r];
    let edit: E | undefined;
    for (let c = block.left; row && c <= Math.min(block.right, columns.length - 1); c++) {
      const column = columns[c];
      const cell = column?.cell?.(row);
      const text = fill(r - block.top, c - block.left);
      if (!column || !cell || text === undefined || cell.passedOver) continue;
      const typed = text === "" && cell.cleared ? cell.cleared() : cell.typed(text);
      if ("refusal" in typed) return { refusal: `${row.id}, ${column.title}: ${typed.refusal}` };
      row = typed.after;
      edit = edit ? { ...edit, ...typed.edit } : typed.edit;
    }
    if (edit) edits.push(edit);
  }
  return edits;
}

/** The block that lines of texts come to lie on, from the first cell of another on. */
export const blockUnder = (block: Block, lines: readonly string[][]): Block => ({
  ...block,
  bottom: block.top + lines.length - 1,
  right: block.left + Math.max(...lines.map((line) => line.length)) - 1,
});

export function parseBlock(text: string): string[][] {
  return text
    .replace(/\r/g, "")
    .replace(/\n$/, "")
    .split("\n")
    .map((line) => line.split("\t"));
}
