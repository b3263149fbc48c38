import { Box } from "@chakra-ui/react";
import { useVirtualizer } from "@tanstack/react-virtual";
import { type ClipboardEvent, type ReactNode, useCallback, useEffect, useMemo, useRef } from "react";
import { useShallow } from "zustand/react/shallow";
import { useReads } from "../api/part";
import { useHeight, useWidth } from "../ui/useSize";
import { useStable } from "../ui/useStable";
import { blockOf, blockUnder, copyText, fillEdits, parseBlock } from "./block";
import type { Leave } from "./CellEditor";
import { Divider } from "./Divider";
import { fitted, useSplits, widened } from "./fit";
import { GridHeader, HEADER_HEIGHT } from "./GridHeader";
import { gridKeys } from "./gridKeys";
import { cellId, GridLine } from "./GridLine";
import { gridLook, ROW_HEIGHT } from "./gridLook";
import { BRING_INTO_VIEW, useGridStore, viewOf } from "./gridStore";
import type { At, Column, Drawing, GridRow, OwnKeys } from "./types";
import type { GridEditing } from "./useGridEditing";

/** Lines drawn above and below those in view, so that a scroll shows them at once. */
const OVERSCAN = 6;

interface Props<R extends GridRow, E extends { id: string }> {
  /** The key under which it is kept what is selected, open and in view. */
  state: string;
  label: string;
  rows: R[];
  columns: Column<R, E>[];
  drawing?: Drawing<R>;
  /** The way of edits; without it the grid is only read. */
  editing?: GridEditing<R, E>;
  keys?: OwnKeys<R, Column<R, E>>;
  /** What pasting comes to, where that is more than filling cells. */
  onPaste?: (text: string, at: At<R, Column<R, E>>) => void;
  /** What is said and offered at the foot, over the last rows. */
  foot?: (at: At<R, Column<R, E>>) => ReactNode;
}

/** Rows and columns, whatever they are about: selected, edited, copied and pasted by key and pointer; drawn on the right. */
export function Grid<R extends GridRow, E extends { id: string }>(props: Props<R, E>) {
  const { state, label, rows, columns: all, drawing, editing } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const { active, anchor, picked } = useGridStore(
    useShallow((store) => {
      const { active, anchor, picked } = viewOf(store, state);
      return { active, anchor, picked };
    }),
  );
  const { toggle, select, pick, scrolled } = useGridStore.getState();
  const width = useWidth(scroller);
  const height = useHeight(scroller);
  const split = useSplits((splits) => splits.splits[label]);
  const drawn = drawing !== undefined;
  const wide = useMemo(() => widened(all, rows), [all, rows]);
  const columns = useMemo(
    () => (width > 0 ? fitted(wide, width, split, drawn) : wide),
    [wide, width, split, drawn],
  );
  const outlined = useMemo(() => rows.some((row) => row.depth > 0 || row.open !== undefined), [rows]);
  const leftWidth = columns.reduce((sum, column) => sum + column.width, 0);
  const drawingWidth = drawing ? Math.max(drawing.width, width - leftWidth) : 0;
  const block = active && blockOf(rows, columns, active, anchor);

  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: OVERSCAN,
    scrollMargin: HEADER_HEIGHT,
    scrollPaddingStart: HEADER_HEIGHT,
    initialOffset: () => Math.max(0, viewOf(useGridStore.getState(), state).scrollTop),
  });

  // What is selected from elsewhere, as by a search, comes into view.
  const shown = useRef(
    viewOf(useGridStore.getState(), state).scrollTop === BRING_INTO_VIEW ? undefined : active?.row,
  );
  useEffect(() => {
    const index = rows.findIndex((row) => row.id === active?.row);
    // What is selected before it is there comes into view as soon as it is.
    if (index < 0) return;
    if (shown.current !== active?.row) virtual.scrollToIndex(index);
    shown.current = active?.row;
  }, [active?.row, rows, virtual]);

  const focus = () => scroller.current?.focus({ preventScroll: true });
  const selectAt = (r: number, c: number, extend = false) => {
    const row = rows[Math.max(0, Math.min(rows.length - 1, r))];
    const column = columns[Math.max(0, Math.min(columns.length - 1, c))];
    if (!row || !column) return;
    select(state, { row: row.id, column: column.id }, extend);
    virtual.scrollToIndex(rows.indexOf(row));
  };
  const at: At<R, Column<R, E>> = {
    rows,
    columns,
    row: rows.find((row) => row.id === active?.row),
    column: columns.find((column) => column.id === active?.column),
    block,
    selected: () =>
      picked.size > 0
        ? rows.filter((one) => picked.has(one.id)).map((one) => one.id)
        : block
          ? rows.slice(block.top, block.bottom + 1).map((one) => one.id)
          : [],
    select: (row, column) => {
      const place = column ?? active?.column ?? columns[0]?.id;
      if (place) select(state, { row, column: place });
    },
    focus,
  };
  const onKeyDown = gridKeys({
    at,
    pageRows: Math.max(1, Math.floor((scroller.current?.clientHeight ?? 600) / ROW_HEIGHT) - 3),
    select: selectAt,
    toggle: (row) => toggle(state, row.id),
    editing,
    own: props.keys,
  });

  const onSelect = useCallback(
    (row: R, column: Column<R, E>, how: "one" | "extend" | "pick") => {
      const place = { row: row.id, column: column.id };
      if (how === "pick") pick(state, place);
      else select(state, place, how === "extend");
    },
    [state, select, pick],
  );
  const onToggle = useCallback((row: R) => toggle(state, row.id), [state, toggle]);
  /** One text for the cells of all selected rows. */
  const fillAll = async (column: Column<R, E>, text: string) => {
    const chosen = new Set(at.selected());
    const edits = rows.flatMap((row) => {
      const typed = chosen.has(row.id) ? column.cell?.(row)?.typed(text) : undefined;
      return typed && "edit" in typed ? [typed.edit] : [];
    });
    editing?.cancel();
    await editing?.sendBlock(edits);
    focus();
  };
  const commit = async (row: R, column: Column<R, E>, text: string, leave: Leave) => {
    if (leave === "all") return fillAll(column, text);
    if (!(await editing?.commit(row, column, text))) return;
    // Who has gone elsewhere while the edit was on its way is not fetched back.
    const now = viewOf(useGridStore.getState(), state).active;
    if (now && (now.row !== row.id || now.column !== column.id)) return;
    const r = rows.indexOf(row);
    const c = columns.indexOf(column);
    if (column.cell?.(row)?.names) select(state, { row: text.trim(), column: column.id });
    if (leave === "down") selectAt(r + 1, c);
    if (leave === "right") selectAt(r, c + 1);
    if (leave === "left") selectAt(r, c - 1);
    focus();
  };
  const onCommit = useStable(commit);
  const onEdit = useStable((row: R, column: Column<R, E>) => editing?.start(row, column));
  const onCancel = useStable(() => {
    editing?.cancel();
    focus();
  });
  const onCopy = (event: ClipboardEvent) => {
    if (!block || editing?.editing) return;
    event.preventDefault();
    event.clipboardData.setData("text/plain", copyText(rows, columns, block));
  };
  const paste = (text: string) => {
    if (props.onPaste) return props.onPaste(text, at);
    const lines = parseBlock(text);
    if (!block) return;
    void editing?.sendBlock(fillEdits(rows, columns, blockUnder(block, lines), (r, c) => lines[r]?.[c]));
  };
  const onPaste = (event: ClipboardEvent) => {
    if (!block || !editing || editing.editing) return;
    event.preventDefault();
    paste(event.clipboardData.getData("text/plain"));
  };

  const items = virtual.getVirtualItems();
  // A line that scrolls out of view is written anew for the one that comes in; that is much less than making another.
  const slots = Math.ceil(height / ROW_HEIGHT) + 2 * OVERSCAN + 2;
  const tops = new Map(items.map((item) => [rows[item.index]?.id ?? "", item.start - HEADER_HEIGHT]));
  const reads = useReads((reading) => reading.reads);
  const full = `${leftWidth + drawingWidth}px`;
  return (
    <Box position="relative" height="100%">
      {width > 0 && drawing && (
        <Divider at={leftWidth} most={width} onPut={(to) => useSplits.getState().put(label, to)} />
      )}
      {/* Its role is one of two, which the rule does not see. */}
      {/* oxlint-disable-next-line jsx-a11y/no-static-element-interactions */}
      <Box
        ref={scroller}
        role={outlined ? "treegrid" : "grid"}
        aria-label={label}
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length}
        aria-readonly={editing && !reads ? undefined : true}
        aria-activedescendant={active && at.row && cellId(active.row, active.column)}
        tabIndex={0}
        height="100%"
        overflow="auto"
        outline="none"
        onKeyDown={onKeyDown}
        onCopy={onCopy}
        onPaste={onPaste}
        onScroll={(event) => scrolled(state, event.currentTarget.scrollTop)}
      >
        <GridHeader
          columns={columns}
          leftWidth={leftWidth}
          width={leftWidth + drawingWidth}
          drawing={width > 0 ? drawing?.header(drawingWidth) : undefined}
        />
        <Box
          role="rowgroup"
          position="relative"
          data-sideways={leftWidth + drawingWidth > width || undefined}
          width={full}
          height={`${virtual.getTotalSize()}px`}
          css={gridLook}
        >
          {width > 0 && drawing?.behind && (
            <Box
              position="sticky"
              top={`${HEADER_HEIGHT}px`}
              height="0"
              pl={`${leftWidth}px`}
              pointerEvents="none"
              aria-hidden="true"
            >
              {drawing.behind(drawingWidth, Math.min(height, virtual.getTotalSize()))}
            </Box>
          )}
          {width > 0 &&
            items.map((item) => {
              const row = rows[item.index];
              if (!row) return null;
              const covered =
                block && item.index >= block.top && item.index <= block.bottom && block.top !== block.bottom;
              return (
                <GridLine
                  key={item.index % slots}
                  row={row}
                  index={item.index}
                  top={item.start - HEADER_HEIGHT}
                  columns={columns}
                  leftWidth={leftWidth}
                  draw={drawing?.row}
                  drawingWidth={drawingWidth}
                  outlined={outlined}
                  active={
                    active?.row === row.id
                      ? columns.findIndex((column) => column.id === active.column)
                      : undefined
                  }
                  picked={picked.has(row.id)}
                  selectedFrom={covered ? block.left : undefined}
                  selectedTo={covered ? block.right : undefined}
                  editing={editing?.editing?.row === row.id ? editing.editing : undefined}
                  onSelect={onSelect}
                  onEdit={onEdit}
                  onToggle={onToggle}
                  onCommit={onCommit}
                  onCancel={onCancel}
                />
              );
            })}
          <Box position="absolute" top="0" left={`${leftWidth}px`} pointerEvents="none" aria-hidden="true">
            {width > 0 && drawing?.over?.(tops, drawingWidth)}
          </Box>
        </Box>
      </Box>
      {props.foot?.(at)}
    </Box>
  );
}
