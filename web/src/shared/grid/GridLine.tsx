import { ChevronDown, ChevronRight } from "lucide-react";
import { memo, type ReactNode } from "react";
import { CellEditor, type Leave } from "./CellEditor";
import { classes } from "./gridLook";
import { RowMark } from "./RowMark";
import type { Column, GridRow } from "./types";
import type { Editing } from "./useGridEditing";

const INDENT = 14;

interface Props<R extends GridRow, E> {
  row: R;
  index: number;
  top: number;
  columns: Column<R, E>[];
  leftWidth: number;
  draw?: (row: R, width: number) => ReactNode;
  drawingWidth: number;
  /** Whether rows lie beneath others, so that each says how deep. */
  outlined: boolean;
  /** Column index of the active cell, where it lies in this row. */
  active?: number;
  /** First and last column index of the selected block, where it covers this row. */
  selectedFrom?: number;
  selectedTo?: number;
  /** Whether the row is selected beside the block. */
  picked: boolean;
  editing?: Editing;
  onSelect: (row: R, column: Column<R, E>, how: "one" | "extend" | "pick") => void;
  onEdit: (row: R, column: Column<R, E>) => void;
  onToggle: (row: R) => void;
  onCommit: (row: R, column: Column<R, E>, text: string, leave: Leave) => Promise<void>;
  onCancel: () => void;
}

export const cellId = (row: string, column: string) => `cell-${row}-${column}`;

/** One row: its cells, and what is drawn beside them. Drawn anew only when something of it has changed. */
export const GridLine = memo(Line) as typeof Line;

function Line<R extends GridRow, E>(props: Props<R, E>) {
  const { row, columns, leftWidth, active, selectedFrom, selectedTo, editing } = props;
  const highlighted = active !== undefined || props.picked;
  return (
    <div
      className={classes(
        "line",
        highlighted && "on",
        row.strong && "strong",
        row.soft && "soft",
        row.lit && "lit",
      )}
      role="row"
      aria-rowindex={props.index + 2}
      aria-level={props.outlined ? row.depth + 1 : undefined}
      aria-expanded={row.open}
      data-row={row.id}
      aria-selected={props.picked || undefined}
      style={{ transform: `translateY(${props.top}px)`, zIndex: editing ? 2 : undefined }}
    >
      <RowMark row={row.id} />
      <div className="cells" role="presentation" style={{ width: leftWidth }}>
        {columns.map((column, i) => (
          // The keyboard stays with the grid, which says by aria-activedescendant where it is; rows come and go.
          // oxlint-disable-next-line jsx-a11y/interactive-supports-focus
          <div
            key={column.id}
            id={cellId(row.id, column.id)}
            className={classes(
              "cell",
              column.align === "right" && "right",
              column.soft && "soft",
              selectedFrom !== undefined && i >= selectedFrom && i <= (selectedTo ?? -1) && "covered",
              active === i && !editing && "active",
            )}
            role="gridcell"
            aria-colindex={i + 1}
            aria-selected={active === i}
            data-column={column.id}
            style={{ width: column.width }}
            onMouseDown={(event) =>
              props.onSelect(
                row,
                column,
                event.shiftKey ? "extend" : event.ctrlKey || event.metaKey ? "pick" : "one",
              )
            }
            onDoubleClick={() => props.onEdit(row, column)}
          >
            {column.gives && props.outlined && <Outline row={row} onToggle={props.onToggle} />}
            {column.render ? (
              column.render(row)
            ) : (
              <span title={column.gives ? column.text(row) : undefined}>{column.text(row)}</span>
            )}
            {editing?.column === column.id && (
              <OpenCell {...props} key={editing.refusal} column={column} editing={editing} />
            )}
          </div>
        ))}
      </div>
      {props.draw && (
        <div className="drawing" role="presentation">
          {props.draw(row, props.drawingWidth)}
        </div>
      )}
    </div>
  );
}

/** How deep a row lies, and what opens and closes what lies beneath. */
function Outline<R extends GridRow>({ row, onToggle }: { row: R; onToggle: (row: R) => void }) {
  return (
    <>
      <div style={{ width: row.depth * INDENT, flexShrink: 0 }} aria-hidden="true" />
      {row.open !== undefined && (
        <button
          type="button"
          tabIndex={-1}
          aria-label={row.open ? "Close branch" : "Open branch"}
          onMouseDown={(event) => event.stopPropagation()}
          onClick={() => onToggle(row)}
        >
          {row.open ? <ChevronDown size={14} /> : <ChevronRight size={14} />}
        </button>
      )}
    </>
  );
}

function OpenCell<R extends GridRow, E>(props: Props<R, E> & { column: Column<R, E>; editing: Editing }) {
  const { row, column, editing } = props;
  const cell = column.cell?.(row);
  if (!cell) return null;
  return (
    <CellEditor
      column={column}
      cell={cell}
      editing={editing}
      onCommit={(text, leave) => void props.onCommit(row, column, text, leave)}
      onCancel={props.onCancel}
    />
  );
}
