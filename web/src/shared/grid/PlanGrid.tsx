import { Box, Flex } from "@chakra-ui/react";
import { useVirtualizer } from "@tanstack/react-virtual";
import { type ClipboardEvent, type ReactNode, useCallback, useMemo, useRef } from "react";
import { useNavigate } from "react-router";
import { useShallow } from "zustand/react/shallow";
import type { PlanView } from "../api/client";
import { blockOf, copyText } from "./block";
import type { Leave } from "./CellEditor";
import { cellOf } from "./cells";
import type { Column } from "./columns";
import { Divider } from "./Divider";
import { fitted, useSplits } from "./fit";
import { cellId, GridRow, ROW_HEIGHT } from "./GridRow";
import { useGridStore, viewOf } from "./gridStore";
import { oddsOf, type Row, type Sieve, visibleRows } from "./rows";
import { SelectionBar } from "./SelectionBar";
import { useGridEditing } from "./useGridEditing";
import { useGridKeys } from "./useGridKeys";
import { useRowActions } from "./useRowActions";
import { useHeight, useWidth } from "../ui/useSize";
import { useStable } from "../ui/useStable";

export const HEADER_HEIGHT = 40;

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
  /** What is looked for; all rows where there is none. */
  sieve?: Sieve;
  /** Whether cost lines are rows of their own. */
  costs?: boolean;
  /** What can be done to selected rows beside what every stage offers. */
  onSelection?: (rows: string[]) => ReactNode;
  /** Opens the sheet of the active row, or closes it. */
  onSheet?: () => void;
}

/** The plan's rows: columns that can be edited on the left, a drawing on the right. */
export function PlanGrid({ plan, label, columns: all, drawing, sieve, costs, onSelection, onSheet }: Props) {
  const project = plan.project.id;
  const scroller = useRef<HTMLDivElement>(null);
  const { closed, active, anchor, picked } = useGridStore(
    useShallow((state) => {
      const { closed, active, anchor, picked } = viewOf(state, project);
      return { closed, active, anchor, picked };
    }),
  );
  const { toggle, select, pick, scrolled } = useGridStore.getState();
  const rows = useMemo(() => visibleRows(plan, closed, { sieve, costs }), [plan, closed, sieve, costs]);
  const editing = useGridEditing(project);
  const navigate = useNavigate();
  const width = useWidth(scroller);
  const height = useHeight(scroller);
  const split = useSplits((state) => state.splits[label]);
  const columns = useMemo(() => (width > 0 ? fitted(all, width, split) : all), [all, width, split]);
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
  const actions = useRowActions({ plan, rows, columns, active, block, picked, editing });
  const onKeyDown = useGridKeys({
    rows,
    columns,
    active,
    block,
    pageRows: Math.max(1, Math.floor((scroller.current?.clientHeight ?? 600) / ROW_HEIGHT) - 3),
    select: selectAt,
    toggle: (row) => toggle(project, row.id),
    sheet: onSheet,
    odds: (row) => void navigate(oddsOf(project, row)),
    actions,
    editing,
  });

  const onSelect = useCallback(
    (row: Row, column: Column, how: "one" | "extend" | "pick") => {
      const place = { row: row.id, column: column.id };
      if (how === "pick") pick(project, place);
      else select(project, place, how === "extend");
    },
    [project, select, pick],
  );
  const onToggle = useCallback((row: Row) => toggle(project, row.id), [project, toggle]);
  /** One text for the cells of all selected rows. */
  const fillAll = async (column: Column, text: string) => {
    const chosen = new Set(actions.selected());
    const edits = rows.flatMap((row) => {
      const typed = chosen.has(row.id) ? cellOf(column, row)?.typed(text) : undefined;
      return typed && "edit" in typed ? [typed.edit] : [];
    });
    editing.cancel();
    await editing.sendBlock(edits);
    focus();
  };
  const commit = async (row: Row, column: Column, text: string, leave: Leave) => {
    if (leave === "all") return fillAll(column, text);
    if (!(await editing.commit(row, column, text))) return;
    const r = rows.indexOf(row);
    const c = columns.indexOf(column);
    if (column.id === "code" && row.kind === "activity")
      select(project, { row: text.trim(), column: column.id });
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
    void actions.paste(event.clipboardData.getData("text/plain"));
  };

  const items = virtual.getVirtualItems();
  const tops = new Map(items.map((item) => [rows[item.index]?.id ?? "", item.start - HEADER_HEIGHT]));
  return (
    <Box position="relative" height="100%">
      {width > 0 && (
        <Divider at={leftWidth} most={width} onPut={(at) => useSplits.getState().put(label, at)} />
      )}
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
                  picked={picked.has(row.id)}
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
      <SelectionBar plan={plan} actions={actions} editing={editing} more={onSelection} onDone={focus} />
    </Box>
  );
}
