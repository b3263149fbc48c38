import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo, type ReactNode } from "react";
import { CellEditor, type Leave } from "./CellEditor";
import { cellOf } from "./cells";
import type { Column } from "./columns";
import type { Row } from "./rows";
import type { Editing } from "./useGridEditing";

export const ROW_HEIGHT = 27;
const INDENT = 14;

const Toggle = chakra("button");

interface Props {
  row: Row;
  index: number;
  top: number;
  columns: Column[];
  leftWidth: number;
  draw: (row: Row, width: number) => ReactNode;
  drawingWidth: number;
  /** Column index of the active cell, where it lies in this row. */
  active?: number;
  /** First and last column index of the selected block, where it covers this row. */
  selectedFrom?: number;
  selectedTo?: number;
  /** Whether the row is selected beside the block. */
  picked: boolean;
  editing?: Editing;
  onSelect: (row: Row, column: Column, how: "one" | "extend" | "pick") => void;
  onEdit: (row: Row, column: Column) => void;
  onToggle: (row: Row) => void;
  onCommit: (row: Row, column: Column, text: string, leave: Leave) => Promise<void>;
  onCancel: () => void;
}

export const cellId = (row: string, column: string) => `cell-${row}-${column}`;

export const GridRow = memo(function GridRow(props: Props) {
  const { row, columns, leftWidth, active, selectedFrom, selectedTo, editing } = props;
  const isBranch = row.kind === "branch";
  const highlighted = active !== undefined || props.picked;
  return (
    <Flex
      role="row"
      aria-rowindex={props.index + 2}
      aria-level={row.depth + 1}
      aria-expanded={isBranch ? row.open : undefined}
      data-row={row.id}
      aria-selected={props.picked || undefined}
      position="absolute"
      top="0"
      left="0"
      width="100%"
      height={`${ROW_HEIGHT}px`}
      style={{ transform: `translateY(${props.top}px)`, zIndex: editing ? 2 : undefined }}
      bg={highlighted ? "actionTint" : undefined}
      fontWeight={isBranch ? 600 : undefined}
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
            color={column.id === "code" || row.kind === "cost" ? "softInk" : undefined}
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
              {column.id === "name" && (
                <Box width={`${row.depth * INDENT}px`} flexShrink="0" aria-hidden="true" />
              )}
              {column.id === "name" && isBranch && (
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
                  title={column.id === "name" ? column.text(row) : undefined}
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
    </Flex>
  );
});

function OpenCell(props: Props & { column: Column; editing: Editing }) {
  const { row, column, editing } = props;
  const cell = cellOf(column, row);
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
