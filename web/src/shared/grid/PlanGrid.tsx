import { Box, chakra, Flex } from "@chakra-ui/react";
import { useVirtualizer } from "@tanstack/react-virtual";
import { type ClipboardEvent, type ReactNode, useCallback, useMemo, useRef } from "react";
import { useShallow } from "zustand/react/shallow";
import type { PlanView } from "../api/client";
import { blockOf, copyText, fillEdits, parseBlock } from "./block";
import type { Leave } from "./CellEditor";
import type { Column } from "./columns";
import { cellId, GridRow, ROW_HEIGHT } from "./GridRow";
import { useGridStore, viewOf } from "./gridStore";
import { type Row, visibleRows } from "./rows";
import { useGridEditing } from "./useGridEditing";
import { useGridKeys } from "./useGridKeys";
import { useHeight, useWidth } from "../ui/useSize";
import { useStable } from "../ui/useStable";

export const HEADER_HEIGHT = 40;
const Button = chakra("button");

/** What stands to the right of the columns, row by row, on one common axis. */
export interface Drawing {
  /** Width it wants; it gets at least what is left of the window. */
  width: number;
  header: (width: number) => ReactNode;
  /** Must stay the same function while what it draws does, so that rows are not drawn anew on every scroll. */
  row: (row: Row, width: number) => ReactNode;
  /** Drawn once behind all rows, over the height in view. */
  behind?: (width: number, height: number) => ReactNode;
  /** Drawn over all rows; given where each visible row stands. */
  over?: (tops: ReadonlyMap<string, number>, width: number) => ReactNode;
}

interface Props {
  plan: PlanView;
  label: string;
  columns: Column[];
  drawing: Drawing;
}

/** The plan's rows: columns that can be edited on the left, a drawing on the right. */
export function PlanGrid({ plan, label, columns, drawing }: Props) {
  const project = plan.project.id;
  const scroller = useRef<HTMLDivElement>(null);
  const { closed, active, anchor } = useGridStore(
    useShallow((state) => {
      const view = viewOf(state, project);
      return { closed: view.closed, active: view.active, anchor: view.anchor };
    }),
  );
  const { toggle, select, scrolled } = useGridStore.getState();
  const rows = useMemo(() => visibleRows(plan, closed), [plan, closed]);
  const editing = useGridEditing(project);
  const width = useWidth(scroller);
  const height = useHeight(scroller);
  const leftWidth = columns.reduce((sum, column) => sum + column.width, 0);
  const drawingWidth = Math.max(drawing.width, width - leftWidth);
  const block = active && blockOf(rows, columns, active, anchor);

  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 10,
    scrollMargin: HEADER_HEIGHT,
    scrollPaddingStart: HEADER_HEIGHT,
    initialOffset: () => viewOf(useGridStore.getState(), project).scrollTop,
  });

  const focus = () => scroller.current?.focus({ preventScroll: true });
  const selectAt = (r: number, c: number, extend = false) => {
    const row = rows[Math.max(0, Math.min(rows.length - 1, r))];
    const column = columns[Math.max(0, Math.min(columns.length - 1, c))];
    if (!row || !column) return;
    select(project, { row: row.id, column: column.id }, extend);
    virtual.scrollToIndex(rows.indexOf(row));
  };
  const onKeyDown = useGridKeys({
    rows,
    columns,
    active,
    block,
    pageRows: Math.max(1, Math.floor((scroller.current?.clientHeight ?? 600) / ROW_HEIGHT) - 3),
    select: selectAt,
    toggle: (row) => toggle(project, row.id),
    editing,
  });

  const onSelect = useCallback(
    (row: Row, column: Column, extend: boolean) =>
      select(project, { row: row.id, column: column.id }, extend),
    [project, select],
  );
  const onToggle = useCallback((row: Row) => toggle(project, row.id), [project, toggle]);
  const commit = async (row: Row, column: Column, text: string, leave: Leave) => {
    if (!(await editing.commit(row, column, text))) return;
    const r = rows.indexOf(row);
    const c = columns.indexOf(column);
    if (leave === "down") selectAt(r + 1, c);
    if (leave === "right") selectAt(r, c + 1);
    if (leave === "left") selectAt(r, c - 1);
    focus();
  };
  const onCommit = useStable(commit);
  const onEdit = useStable(editing.start);
  const onCancel = useStable(() => {
    editing.cancel();
    focus();
  });
  const onCopy = (event: ClipboardEvent) => {
    if (!block || editing.editing) return;
    event.preventDefault();
    event.clipboardData.setData("text/plain", copyText(rows, columns, block));
  };
  const onPaste = (event: ClipboardEvent) => {
    if (!block || editing.editing) return;
    event.preventDefault();
    const cells = parseBlock(event.clipboardData.getData("text/plain"));
    const pasted = {
      top: block.top,
      bottom: block.top + cells.length - 1,
      left: block.left,
      right: block.left + Math.max(...cells.map((line) => line.length)) - 1,
    };
    void editing.sendBlock(fillEdits(rows, columns, pasted, (r, c) => cells[r]?.[c]));
  };

  const items = virtual.getVirtualItems();
  const tops = new Map(items.map((item) => [rows[item.index]?.id ?? "", item.start - HEADER_HEIGHT]));
  return (
    <Box position="relative" height="100%">
      <Box
        ref={scroller}
        role="treegrid"
        aria-label={label}
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length}
        aria-activedescendant={active && cellId(active.row, active.column)}
        tabIndex={0}
        height="100%"
        overflow="auto"
        outline="none"
        onKeyDown={onKeyDown}
        onCopy={onCopy}
        onPaste={onPaste}
        onScroll={(event) => scrolled(project, event.currentTarget.scrollTop)}
      >
        <Flex
          role="row"
          position="sticky"
          top="0"
          zIndex="3"
          height={`${HEADER_HEIGHT}px`}
          width={`${leftWidth + drawingWidth}px`}
          bg="ground"
        >
          <Flex
            position="sticky"
            left="0"
            zIndex="1"
            bg="ground"
            width={`${leftWidth}px`}
            flexShrink="0"
            align="flex-end"
            borderBottomWidth="1px"
            borderRightWidth="1px"
            borderColor="strongLine"
          >
            {columns.map((column) => (
              <Box
                key={column.id}
                role="columnheader"
                title={column.hint}
                width={`${column.width}px`}
                flexShrink="0"
                px="2"
                pb="1"
                color="softInk"
                fontSize="12.5px"
                textAlign={column.align}
                whiteSpace="nowrap"
              >
                {column.title}
              </Box>
            ))}
          </Flex>
          <Box
            flex="1"
            position="relative"
            borderBottomWidth="1px"
            borderColor="strongLine"
            aria-hidden="true"
          >
            {width > 0 && drawing.header(drawingWidth)}
          </Box>
        </Flex>
        <Box
          position="relative"
          width={`${leftWidth + drawingWidth}px`}
          height={`${virtual.getTotalSize()}px`}
        >
          {width > 0 && drawing.behind && (
            <Box
              position="sticky"
              top={`${HEADER_HEIGHT}px`}
              height="0"
              pl={`${leftWidth}px`}
              pointerEvents="none"
              aria-hidden="true"
            >
              {drawing.behind(drawingWidth, height)}
            </Box>
          )}
          {width > 0 &&
            items.map((item) => {
              const row = rows[item.index];
              if (!row) return null;
              const covered =
                block && item.index >= block.top && item.index <= block.bottom && block.top !== block.bottom;
              return (
                <GridRow
                  key={row.id}
                  row={row}
                  index={item.index}
                  top={item.start - HEADER_HEIGHT}
                  columns={columns}
                  leftWidth={leftWidth}
                  draw={drawing.row}
                  drawingWidth={drawingWidth}
                  active={
                    active?.row === row.id
                      ? columns.findIndex((column) => column.id === active.column)
                      : undefined
                  }
                  selectedFrom={covered ? block.left : undefined}
                  selectedTo={covered ? block.right : undefined}
                  editing={editing.editing?.row === row.id ? editing.editing : undefined}
                  onSelect={onSelect}
                  onEdit={onEdit}
                  onToggle={onToggle}
                  onCommit={onCommit}
                  onCancel={onCancel}
                />
              );
            })}
          <Box position="absolute" top="0" left={`${leftWidth}px`} pointerEvents="none" aria-hidden="true">
            {width > 0 && drawing.over?.(tops, drawingWidth)}
          </Box>
        </Box>
      </Box>
      {editing.refusal && (
        <Flex
          role="alert"
          position="absolute"
          bottom="4"
          left="4"
          zIndex="4"
          gap="4"
          px="3"
          py="2"
          bg="riskTint"
          borderWidth="1px"
          borderColor="risk"
        >
          {editing.refusal}
          <Button color="action" onClick={editing.dismiss}>
            Understood
          </Button>
        </Flex>
      )}
    </Box>
  );
}
