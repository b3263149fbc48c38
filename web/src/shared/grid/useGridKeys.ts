import type { KeyboardEvent } from "react";
import { type Block, type Fill, fillEdits } from "./block";
import { cellOf } from "./cells";
import type { Column } from "./columns";
import type { Place } from "./gridStore";
import type { Row } from "./rows";
import type { RowActions } from "./useRowActions";
import type { useGridEditing } from "./useGridEditing";

interface Grid {
  rows: Row[];
  columns: Column[];
  active?: Place;
  block?: Block;
  pageRows: number;
  select: (row: number, column: number, extend?: boolean) => void;
  toggle: (row: Row) => void;
  /** Opens the sheet of the active row, or closes it. */
  sheet?: () => void;
  /** Shows the odds of a row. */
  odds: (row: Row) => void;
  actions: RowActions;
  editing: ReturnType<typeof useGridEditing>;
}

const STEPS: Record<string, 1 | -1> = { "+": 1, "-": -1 };
const ALT_ARROWS = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "out", ArrowRight: "in" } as const;

/** The keys of the grid while no cell is open; those of an open cell are its own. */
export function useGridKeys(grid: Grid) {
  const { rows, columns, editing, block, actions } = grid;
  const r = rows.findIndex((row) => row.id === grid.active?.row);
  const c = columns.findIndex((column) => column.id === grid.active?.column);
  const row = rows[r];
  const column = columns[c];

  const step = (event: KeyboardEvent, rowStep: number, columnStep: number) => {
    event.preventDefault();
    grid.select(r + rowStep, c + columnStep, event.shiftKey && event.key !== "Tab");
  };
  const fill = (text: Fill) => {
    if (block) void editing.sendBlock(fillEdits(rows, columns, block, text));
  };
  const fillDown = () => {
    const source = block && rows[block.top];
    if (!source) return;
    fill((_, offset) => {
      const one = columns[(block?.left ?? 0) + offset];
      return one && cellOf(one, source)?.start;
    });
  };

  const clear = () =>
    fill((down, across) => {
      const one = columns[(block?.left ?? 0) + across];
      const at = rows[(block?.top ?? 0) + down];
      return one && at && cellOf(one, at)?.cleared ? "" : undefined;
    });
  /** Takes all selected rows one step along what the column chooses from. */
  const along = (by: 1 | -1) => {
    if (!column) return;
    const chosen = new Set(actions.selected());
    const edits = rows.flatMap((one) => {
      const stepped = chosen.has(one.id) ? cellOf(column, one)?.step?.(by) : undefined;
      return stepped && "edit" in stepped ? [stepped.edit] : [];
    });
    void editing.sendBlock(edits);
  };

  const withControl = (event: KeyboardEvent) => {
    if (event.key === "Home") step(event, -rows.length, -columns.length);
    else if (event.key === "End") step(event, rows.length, columns.length);
    else if (event.key === "Delete" || event.key === "Backspace") {
      event.preventDefault();
      void actions.remove();
    } else if (event.key.toLowerCase() === "d") {
      event.preventDefault();
      fillDown();
    } else if (event.key.toLowerCase() === "a") {
      event.preventDefault();
      grid.select(0, 0);
      grid.select(rows.length - 1, columns.length - 1, true);
    }
  };

  return (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey) return withControl(event);
    if (event.altKey) {
      if (event.key === "Enter" && grid.sheet) {
        event.preventDefault();
        grid.sheet();
      }
      if (event.key.toLowerCase() === "o" && row) {
        event.preventDefault();
        grid.odds(row);
      }
      const direction = ALT_ARROWS[event.key as keyof typeof ALT_ARROWS];
      if (direction) {
        event.preventDefault();
        void actions.move(direction);
      }
      return;
    }
    switch (event.key) {
      case "ArrowUp":
        return step(event, -1, 0);
      case "ArrowDown":
        return step(event, 1, 0);
      case "ArrowLeft":
        if (row?.kind === "branch" && row.open && column?.id === "name") return grid.toggle(row);
        return step(event, 0, -1);
      case "ArrowRight":
        if (row?.kind === "branch" && !row.open && column?.id === "name") return grid.toggle(row);
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
      case "Insert":
        event.preventDefault();
        return void (event.shiftKey ? actions.addBranch() : actions.add());
      case "Delete":
      case "Backspace":
        event.preventDefault();
        return clear();
    }
    if (!row || !column) return;
    const cell = cellOf(column, row);
    if (event.key === "Enter" || event.key === "F2") {
      event.preventDefault();
      const opens = event.key === "F2" ? cell : cell?.choices;
      if (row.kind === "branch" && !opens) grid.toggle(row);
      else editing.start(row, column);
    } else if (cell?.step && STEPS[event.key]) {
      event.preventDefault();
      along(STEPS[event.key] ?? 1);
    } else if (event.key.length === 1 && event.key !== "?" && event.key !== "/") {
      event.preventDefault();
      editing.start(row, column, cell?.choices ? undefined : event.key);
    }
  };
}
