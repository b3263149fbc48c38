import type { KeyboardEvent } from "react";
import { type Fill, fillEdits } from "./block";
import type { At, Column, GridRow, OwnKeys } from "./types";
import { explain } from "../words/wordStore";
import type { GridEditing } from "./useGridEditing";

interface Grid<R extends GridRow, E extends { id: string }> {
  at: At<R, Column<R, E>>;
  pageRows: number;
  select: (row: number, column: number, extend?: boolean) => void;
  toggle: (row: R) => void;
  editing?: GridEditing<R, E>;
  /** Keys of the user of the grid, which are asked first. */
  own?: OwnKeys<R, Column<R, E>>;
}

const STEPS: Record<string, 1 | -1> = { "+": 1, "-": -1 };

/** The keys of the grid while no cell is open; those of an open cell are its own. */
export function gridKeys<R extends GridRow, E extends { id: string }>(grid: Grid<R, E>) {
  const { at, editing } = grid;
  const { rows, columns, row, column, block } = at;
  const r = row ? rows.indexOf(row) : -1;
  const c = column ? columns.indexOf(column) : -1;

  const step = (event: KeyboardEvent, rowStep: number, columnStep: number) => {
    event.preventDefault();
    grid.select(r + rowStep, c + columnStep, event.shiftKey && event.key !== "Tab");
  };
  const fill = (text: Fill) => {
    if (block && editing) void editing.sendBlock(fillEdits(rows, columns, block, text));
  };
  const fillDown = () => {
    const source = block && rows[block.top];
    if (!source) return;
    fill((_, offset) => {
      const one = columns[(block?.left ?? 0) + offset];
      return one?.cell?.(source)?.start;
    });
  };

  const clear = () =>
    fill((down, across) => {
      const one = columns[(block?.left ?? 0) + across];
      const there = rows[(block?.top ?? 0) + down];
      return there && one?.cell?.(there)?.cleared ? "" : undefined;
    });
  /** Takes all selected rows one step along what the column chooses from. */
  const along = (by: 1 | -1) => {
    if (!column || !editing) return;
    const chosen = new Set(at.selected());
    const edits = rows.flatMap((one) => {
      const stepped = chosen.has(one.id) ? column.cell?.(one)?.step?.(by) : undefined;
      return stepped && "edit" in stepped ? [stepped.edit] : [];
    });
    void editing.sendBlock(edits);
  };

  const withControl = (event: KeyboardEvent) => {
    if (event.key === "Home") step(event, -rows.length, -columns.length);
    else if (event.key === "End") step(event, rows.length, columns.length);
    else if (event.key.toLowerCase() === "d") {
      event.preventDefault();
      fillDown();
    } else if (event.key.toLowerCase() === "a") {
      event.preventDefault();
      grid.select(0, 0);
      grid.select(rows.length - 1, columns.length - 1, true);
    }
  };

  return (event: KeyboardEvent) => {
    if (grid.own?.(event, at)) return event.preventDefault();
    if (event.ctrlKey || event.metaKey) return withControl(event);
    if (event.altKey) return;
    switch (event.key) {
      case "ArrowUp":
        return step(event, -1, 0);
      case "ArrowDown":
        return step(event, 1, 0);
      case "ArrowLeft":
        if (row?.open && column?.gives) return grid.toggle(row);
        return step(event, 0, -1);
      case "ArrowRight":
        if (row?.open === false && column?.gives) return grid.toggle(row);
        return step(event, 0, 1);
      case "PageUp":
        return step(event, -grid.pageRows, 0);
      case "PageDown":
        return step(event, grid.pageRows, 0);
      case "Home":
        return step(event, 0, -columns.length);
      case "End":
        return step(event, 0, columns.length);
      case "Tab":
        // At the edge Tab leaves the grid, so that the keyboard is never trapped.
        if (c + (event.shiftKey ? -1 : 1) in columns) step(event, 0, event.shiftKey ? -1 : 1);
        return;
      case "Delete":
      case "Backspace":
        event.preventDefault();
        return clear();
    }
    if (event.key === "F1" && column?.word) {
      event.preventDefault();
      return explain(column.word);
    }
    if (!row || !column) return;
    const cell = column.cell?.(row);
    if (event.key === "Enter" || event.key === "F2") {
      event.preventDefault();
      const opens = event.key === "F2" ? cell : cell?.choices;
      if (row.open !== undefined && !opens) grid.toggle(row);
      else editing?.start(row, column);
    } else if (cell?.step && STEPS[event.key]) {
      event.preventDefault();
      along(STEPS[event.key] ?? 1);
    } else if (event.key.length === 1 && event.key !== "?" && event.key !== "/") {
      event.preventDefault();
      editing?.start(row, column, cell?.choices ? undefined : event.key);
    }
  };
}
