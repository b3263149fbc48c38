import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo, type ReactNode } from "react";
import { CellEditor, type Leave } from "./CellEditor";
import type { Column, GridRow } from "./types";
import type { Editing } from "./useGridEditing";

export const ROW_HEIGHT = 27;
const INDENT = 14;

const Toggle = chakra("button");

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
  const holds = row.open !== undefined;
  const highlighted = active !== undefined || props.picked;
  return (
    <Flex
      role="row"
      aria-rowindex={props.index + 2}
      aria-level={props.outlined ? row.depth + 1 : undefined}
      aria-expanded={row.open}
      data-row={row.id}
      aria-selected={props.picked || undefined}
      position="absolute"
      top="0"
      left="0"
      width="100%"
      height={`${ROW_HEIGHT}px`}
      style={{ transform: `translateY(${props.top}px)`, zIndex: editing ? 2 : undefined }}
      bg={highlighted ? "actionTint" : undefined}
      fontWeight={row.strong ? 600 : undefined}
    >
      <Flex
        position="sticky"
        left="0"
        zIndex="1"
        width={`${leftWidth}px`}
        flexShrink="0"
        bg={highlighted ? "actionTint" : "ground"}
        borderBottomWidth="1px"
        borderRightWidth="1px"
        borderColor="line"
      >
        {columns.map((column, i) => (
          // The keyboard stays with the grid, which says by aria-activedescendant where it is; rows come and go.
          // eslint-disable-next-line jsx-a11y/interactive-supports-focus
          <Box
            key={column.id}
            id={cellId(row.id, column.id)}
            role="gridcell"
            aria-colindex={i + 1}
            aria-selected={active === i}
            data-column={column.id}
            position="relative"
            width={`${column.width}px`}
            flexShrink="0"
            px="2"
            lineHeight={`${ROW_HEIGHT - 1}px`}
            textAlign={column.align}
            color={column.soft || row.soft ? "softInk" : undefined}
            bg={
              selectedFrom !== undefined && selectedTo !== undefined && i >= selectedFrom && i <= selectedTo
                ? "actionTint"
                : undefined
            }
            boxShadow={active === i && !editing ? "inset 0 0 0 2px var(--chakra-colors-action)" : undefined}
            cursor="default"
            onMouseDown={(event) =>
              props.onSelect(
                row,
                column,
                event.shiftKey ? "extend" : event.ctrlKey || event.metaKey ? "pick" : "one",
              )
            }
            onDoubleClick={() => props.onEdit(row, column)}
          >
            <Flex align="center" height="100%" justify={column.align === "right" ? "flex-end" : undefined}>
              {column.gives && props.outlined && (
                <Box width={`${row.depth * INDENT}px`} flexShrink="0" aria-hidden="true" />
              )}
              {column.gives && holds && (
                <Toggle
                  tabIndex={-1}
                  aria-label={row.open ? "Close branch" : "Open branch"}
                  mr="1"
                  color="softInk"
                  onMouseDown={(event) => event.stopPropagation()}
                  onClick={() => props.onToggle(row)}
                >
                  {row.open ? <ChevronDown size={14} /> : <ChevronRight size={14} />}
                </Toggle>
              )}
              {column.render ? (
                column.render(row)
              ) : (
                <Box
                  as="span"
                  overflow="hidden"
                  textOverflow="ellipsis"
                  whiteSpace="nowrap"
                  title={column.gives ? column.text(row) : undefined}
                >
                  {column.text(row)}
                </Box>
              )}
            </Flex>
            {editing?.column === column.id && (
              <OpenCell {...props} key={editing.refusal} column={column} editing={editing} />
            )}
          </Box>
        ))}
      </Flex>
      {props.draw && (
        <Box
          flex="1"
          minW="0"
          position="relative"
          borderBottomWidth="1px"
          borderColor="line"
          role="presentation"
        >
          {props.draw(row, props.drawingWidth)}
        </Box>
      )}
    </Flex>
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
