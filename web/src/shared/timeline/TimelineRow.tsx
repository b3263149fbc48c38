import { chakra } from "@chakra-ui/react";
import type { CalendarView, Span } from "../api/client";
import { civil, DAY_MS, formatDay } from "../format/dates";
import { ROW_HEIGHT } from "../grid/gridLook";
import { type Row, subjectOf } from "../planGrid/rows";
import { Mist } from "./Mist";
import type { TimeScale } from "../charts/timeScale";

const Svg = chakra("svg");
const LEAST_RAIL = 2;
/** Pixels a day must have for weekends to be drawn. */
const LEAST_DAY = 5;
const A_MONDAY = Date.UTC(2001, 0, 1);
/** How far the rail rises to make room for the mist under it. */
export const RAISED = -5;
const MIDDLE = ROW_HEIGHT / 2;

interface Props {
  row: Row;
  scale: TimeScale;
  calendars: ReadonlyMap<string, CalendarView>;
  /** What was simulated of each activity and branch; empty where nothing was. */
  simulated: Simulated;
}

export interface Simulated {
  levels: readonly number[];
  /** Which of them matters to the project. */
  level: number;
  spans: ReadonlyMap<string, Span>;
  /** Whether the plan has changed since. */
  stale: boolean;
}

/** One row's planned work over its mist: a thin rail for an activity, a span for a branch, a lozenge for a milestone, a sling for a hammock. */
export function TimelineRow({ row, scale, calendars, simulated }: Props) {
  const span = simulated.spans.get(row.id);
  const calendar = calendars.get(row.kind === "activity" ? row.activity.calendar : "");
  const closures = (calendar?.closures ?? []).filter(
    (closure) => civil(closure.from) < scale.end && civil(closure.to) > scale.start,
  );
  return (
    <Svg width={scale.width} height={ROW_HEIGHT} display="block" aria-hidden="true">
      {calendar && scale.width / ((scale.end - scale.start) / DAY_MS) >= LEAST_DAY && (
        <FreeDays id={row.id} calendar={calendar} scale={scale} />
      )}
      {closures.map((closure) => (
        <rect
          key={closure.from}
          x={scale.x(civil(closure.from))}
          width={scale.x(civil(closure.to) + DAY_MS) - scale.x(civil(closure.from))}
          height={ROW_HEIGHT}
          fill="var(--chakra-colors-closed)"
        >
          <title>{`${closure.name}, ${formatDay(closure.from)} to ${formatDay(closure.to)}`}</title>
        </rect>
      ))}
      {span && (
        <Mist
          stale={simulated.stale}
          name={subjectOf(row).name}
          span={span}
          levels={simulated.levels}
          level={simulated.level}
          scale={scale}
        />
      )}
      <g transform={span ? `translate(0 ${RAISED})` : undefined}>
        {row.kind === "branch" && <BranchSpan row={row} scale={scale} />}
        {row.kind === "activity" && <ActivityRail row={row} scale={scale} />}
      </g>
    </Svg>
  );
}

/** The days of every week on which nobody works. */
function FreeDays({ id, calendar, scale }: { id: string; calendar: CalendarView; scale: TimeScale }) {
  const day = scale.x(DAY_MS) - scale.x(0);
  return (
    <>
      <defs>
        <pattern
          id={`week-${id}`}
          x={scale.x(A_MONDAY)}
          width={7 * day}
          height={ROW_HEIGHT}
          patternUnits="userSpaceOnUse"
        >
          {calendar.freeWeekdays.map((weekday) => (
            <rect
              key={weekday}
              x={(weekday - 1) * day}
              width={day}
              height={ROW_HEIGHT}
              fill="var(--chakra-colors-closed)"
            />
          ))}
        </pattern>
      </defs>
      <rect width={scale.width} height={ROW_HEIGHT} fill={`url(#week-${id})`} />
    </>
  );
}

function BranchSpan({ row, scale }: { row: Extract<Row, { kind: "branch" }>; scale: TimeScale }) {
  const { start, finish } = row.branch;
  if (!start || !finish) return null;
  const [from, to] = [scale.x(civil(start)), scale.x(civil(finish))];
  return (
    <path
      d={`M${from} ${MIDDLE + 5}v-5H${to}v5`}
      fill="none"
      stroke="var(--chakra-colors-ink)"
      strokeWidth="1.5"
    >
      <title>{`${row.branch.name}: ${formatDay(start)} to ${formatDay(finish)}`}</title>
    </path>
  );
}

function ActivityRail({ row, scale }: { row: Extract<Row, { kind: "activity" }>; scale: TimeScale }) {
  const { activity } = row;
  const [from, to] = [scale.x(civil(activity.start)), scale.x(civil(activity.finish))];
  const title = (
    <title>{`${activity.name}: ${formatDay(activity.start)} to ${formatDay(activity.finish)}`}</title>
  );
  if (activity.kind === "milestone") {
    return (
      <path
        d={`M${to - 5} ${MIDDLE}l5 -5 5 5 -5 5z`}
        fill={activity.onLongestPath ? "var(--chakra-colors-plan)" : "var(--chakra-colors-ground)"}
        stroke="var(--chakra-colors-plan)"
        strokeWidth="1.5"
      >
        {title}
      </path>
    );
  }
  if (activity.kind === "hammock") {
    const sag = Math.min(6, (to - from) / 4);
    return (
      <path
        d={`M${from} ${MIDDLE - 4}c${sag} 9 ${to - from - sag} 9 ${to - from} 0`}
        fill="none"
        stroke="var(--chakra-colors-plan)"
        strokeWidth="1.5"
      >
        {title}
      </path>
    );
  }
  const y = activity.onLongestPath ? MIDDLE - 2 : MIDDLE - 1;
  return (
    <rect
      x={from}
      y={y}
      width={Math.max(LEAST_RAIL, to - from)}
      height={activity.onLongestPath ? 4 : 2}
      rx="1"
      fill="var(--chakra-colors-plan)"
    >
      {title}
    </rect>
  );
}
