import { Box, chakra } from "@chakra-ui/react";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useRef } from "react";
import type { FutureRow, FutureView } from "../../shared/api/client";
import { civil, DAY_MS, daysBetween, formatDay } from "../../shared/format/dates";
import { formatOne, formatSigned } from "../../shared/format/numbers";
import { ticks, timeScale, type TimeScale } from "../../shared/charts/timeScale";
import { useWidth } from "../../shared/ui/useSize";

const Svg = chakra("svg");
const ROW = 27;
const COLUMNS = "62px 230px 104px 104px 92px 62px minmax(260px, 1fr)";
const LEFT = 62 + 230 + 104 + 104 + 92 + 62;

interface Props {
  future: FutureView;
  /** The latest finish of all futures, so that the axis stands still from one to the next. */
  until?: number;
}

/** Every activity of a future beside the plan, on one axis of time; those that drove it stand out. */
export function FutureRows({ future, until }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const width = useWidth(scroller);
  const { rows } = future;
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
  });
  const start = Math.min(...rows.map((row) => Math.min(civil(row.planStart), civil(row.start))));
  const end = Math.max(civil(future.finish), civil(future.planFinish), until ?? 0);
  const room = 0.02 * (end - start);
  const scale = timeScale({ start: start - room, end: end + room }, Math.max(260, width - LEFT - 16));
  return (
    <Box
      ref={scroller}
      flex="1"
      minHeight="0"
      overflow="auto"
      role="table"
      aria-label="One future beside the plan"
      aria-rowcount={rows.length}
    >
      <Box
        position="sticky"
        top="0"
        zIndex="1"
        bg="ground"
        display="grid"
        gridTemplateColumns={COLUMNS}
        color="softInk"
        fontSize="12.5px"
        borderBottomWidth="1px"
        borderColor="strongLine"
        alignItems="end"
      >
        <Box>Code</Box>
        <Box>Activity</Box>
        <Box textAlign="right">Planned finish</Box>
        <Box textAlign="right">In this future</Box>
        <Box textAlign="right">Days</Box>
        <Box textAlign="right">Later</Box>
        <Axis scale={scale} />
      </Box>
      <Box position="relative" height={`${virtual.getTotalSize()}px`}>
        {virtual.getVirtualItems().map((item) => {
          const row = rows[item.index];
          return row && <Line key={row.id} row={row} top={item.start} scale={scale} />;
        })}
      </Box>
    </Box>
  );
}

function Axis({ scale }: { scale: TimeScale }) {
  const { coarse, fine } = ticks(scale);
  return (
    <Svg width={scale.width} height="32px" ml="4" fontSize="11px" aria-hidden="true" overflow="hidden">
      {coarse.map((tick) => (
        <text key={tick.time} x={Math.max(0, scale.x(tick.time))} y={11} fill="var(--chakra-colors-ink)">
          {tick.label}
        </text>
      ))}
      {fine.map((tick) => (
        <text key={tick.time} x={Math.max(0, scale.x(tick.time))} y={26} fill="var(--chakra-colors-soft-ink)">
          {tick.label}
        </text>
      ))}
    </Svg>
  );
}

function Line({ row, top, scale }: { row: FutureRow; top: number; scale: TimeScale }) {
  const later = daysBetween(row.planFinish, row.finish);
  return (
    <Box
      role="row"
      data-row={row.id}
      data-drove={row.drove || undefined}
      title={row.drove ? `${row.name} lay on the path that drove this future` : undefined}
      position="absolute"
      width="100%"
      height={`${ROW}px`}
      style={{ transform: `translateY(${top}px)` }}
      display="grid"
      gridTemplateColumns={COLUMNS}
      alignItems="center"
      borderBottomWidth="1px"
      borderColor="line"
      fontWeight={row.drove ? 600 : 400}
      fontVariantNumeric="tabular-nums"
    >
      <Box role="cell" color="softInk">
        {row.id}
      </Box>
      <Box role="cell" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
        {row.name}
      </Box>
      <Box role="cell" textAlign="right" color="softInk">
        {formatDay(row.planFinish)}
      </Box>
      <Box role="cell" textAlign="right">
        {formatDay(row.finish)}
      </Box>
      <Box role="cell" textAlign="right">
        {row.kind === "task" && `${formatOne(row.planDays)} → ${formatOne(row.days)}`}
      </Box>
      <Box role="cell" textAlign="right">
        {later !== 0 && formatSigned(later)}
      </Box>
      <Rails row={row} scale={scale} />
    </Box>
  );
}

/** The planned rail above, this future's below it; what drove it is drawn full, the rest paler. */
function Rails({ row, scale }: { row: FutureRow; scale: TimeScale }) {
  const span = (from: string, to: string) => {
    const x = scale.x(civil(from));
    return { x, width: Math.max(2, scale.x(civil(to)) - x) };
  };
  if (row.kind === "milestone") {
    const mark = (time: string, y: number, fill: string) => (
      <path d={`M${scale.x(civil(time))} ${y - 4}l4 4-4 4-4-4Z`} fill={fill} />
    );
    return (
      <Svg width={scale.width} height={ROW} ml="4" aria-hidden="true">
        {mark(row.planFinish, 8, "var(--chakra-colors-plan)")}
        {mark(row.finish, 18, "var(--chakra-colors-simulated)")}
      </Svg>
    );
  }
  return (
    <Svg width={scale.width} height={ROW} ml="4" aria-hidden="true">
      <rect {...span(row.planStart, row.planFinish)} y={7} height={2.5} fill="var(--chakra-colors-plan)" />
      <rect
        {...span(row.start, row.finish)}
        y={14}
        height={6}
        fill="var(--chakra-colors-simulated)"
        fillOpacity={row.drove ? 1 : 0.38}
      >
        <title>{`${formatDay(row.start)} to ${formatDay(row.finish)}, ${Math.round((civil(row.finish) - civil(row.start)) / DAY_MS)} days`}</title>
      </rect>
    </Svg>
  );
}
