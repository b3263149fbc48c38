import { Box, chakra } from "@chakra-ui/react";
import { useMemo } from "react";
import type { FutureRow, FutureView } from "../../shared/api/client";
import { ticks, timeScale, type TimeScale } from "../../shared/charts/timeScale";
import { civil, DAY_MS, daysBetween, formatDay } from "../../shared/format/dates";
import { formatOne, formatSigned } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import { ROW_HEIGHT as ROW } from "../../shared/grid/gridLook";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import { oddsKey } from "./oddsKey";

const Svg = chakra("svg");
const LEAST_WIDTH = 260;

type Row = GridRow & FutureRow;

interface Props {
  future: FutureView;
  /** The latest finish of all futures, so that the axis stands still from one to the next. */
  until?: number;
  onOdds: (activity: string) => void;
}

const later = (row: FutureRow) => daysBetween(row.planFinish, row.finish);

const COLUMNS: Column<Row>[] = [
  { id: "code", title: "Code", width: 62, kept: true, soft: true, text: (row) => row.id },
  { id: "name", title: "Activity", width: 230, kept: true, gives: true, text: (row) => row.name },
  {
    id: "planned",
    title: "Planned finish",
    width: 104,
    align: "right",
    soft: true,
    text: (row) => formatDay(row.planFinish),
  },
  {
    id: "finish",
    title: "In this future",
    word: "future",
    width: 104,
    align: "right",
    text: (row) => formatDay(row.finish),
  },
  {
    id: "days",
    title: "Days",
    hint: "Working days as planned, and in this future",
    width: 100,
    align: "right",
    text: (row) => (row.kind === "task" ? `${formatOne(row.planDays)} → ${formatOne(row.days)}` : ""),
  },
  {
    id: "later",
    title: "Later",
    hint: "Calendar days by which it finishes later than planned",
    width: 62,
    align: "right",
    text: (row) => (later(row) === 0 ? "" : formatSigned(later(row))),
  },
];

/** Every activity of a future beside the plan, on one axis of time; those that drove it stand out. */
export function FutureRows({ future, until, onOdds }: Props) {
  const rows = useMemo<Row[]>(
    () => future.rows.map((row) => ({ ...row, depth: 0, strong: row.drove })),
    [future.rows],
  );
  const drawing = useMemo<Drawing<Row>>(() => {
    const start = Math.min(...future.rows.map((row) => Math.min(civil(row.planStart), civil(row.start))));
    const end = Math.max(civil(future.finish), civil(future.planFinish), until ?? 0);
    const room = 0.02 * (end - start);
    const scale = (width: number) => timeScale({ start: start - room, end: end + room }, width);
    return {
      width: LEAST_WIDTH,
      header: (width) => <Axis scale={scale(width)} />,
      row: (row, width) => (
        <Box
          data-drove={row.drove || undefined}
          title={row.drove ? `${row.name} lay on the path that drove this future` : undefined}
        >
          <Rails row={row} scale={scale(width)} />
        </Box>
      ),
    };
  }, [future, until]);
  return (
    <Box flex="1" minHeight="0">
      <Grid
        state="future"
        label="One future beside the plan"
        rows={rows}
        columns={COLUMNS}
        drawing={drawing}
        keys={oddsKey(onOdds)}
      />
    </Box>
  );
}

function Axis({ scale }: { scale: TimeScale }) {
  const { coarse, fine } = ticks(scale);
  const label = (time: number, text: string, y: number, fill: string) => (
    <text key={`${y} ${time}`} x={Math.max(0, scale.x(time))} y={y} fill={fill}>
      {text}
    </text>
  );
  return (
    <Svg
      position="absolute"
      bottom="0"
      width={scale.width}
      height="32px"
      fontSize="11px"
      aria-hidden="true"
      overflow="hidden"
    >
      {coarse.map((tick) => label(tick.time, tick.label, 11, "var(--chakra-colors-ink)"))}
      {fine.map((tick) => label(tick.time, tick.label, 26, "var(--chakra-colors-soft-ink)"))}
    </Svg>
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
      <Svg width={scale.width} height={ROW} aria-hidden="true">
        {mark(row.planFinish, 8, "var(--chakra-colors-plan)")}
        {mark(row.finish, 18, "var(--chakra-colors-simulated)")}
      </Svg>
    );
  }
  return (
    <Svg width={scale.width} height={ROW} aria-hidden="true">
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
