import { useCallback, useMemo } from "react";
import type { PlanView, RailsView } from "../../shared/api/client";
import { extent, type TimeScale, timeScale } from "../../shared/charts/timeScale";
import { formatDay } from "../../shared/format/dates";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import { codeColumn, nameColumn } from "../../shared/planGrid/columns";
import { PlanGrid } from "../../shared/planGrid/PlanGrid";
import type { Row } from "../../shared/planGrid/rows";
import { TimelineBackground } from "../../shared/timeline/TimelineBackground";
import { TimelineHeader } from "../../shared/timeline/TimelineHeader";
import type { Stroke } from "./scenarioLook";

const MINUTE_MS = 60_000;
const COLUMNS = [codeColumn, nameColumn(250)];

interface Props {
  plan: PlanView;
  rails: RailsView;
  strokes: Record<string, Stroke>;
  names: Record<string, string>;
  how: "rails" | "mist";
}

/** The plan row by row under each scenario that is ticked: from its P50 start to its finish at the level, so that delay which adds up shows. */
export function RailsDrawing({ plan, rails, strokes, names, how }: Props) {
  const byRow = useMemo(() => {
    const rows = new Map<string, { id: string; start: number[]; finish: number[] }[]>();
    for (const scenario of rails.scenarios)
      for (const row of scenario.rows)
        rows.set(row.id, [...(rows.get(row.id) ?? []), { ...row, id: scenario.id }]);
    return rows;
  }, [rails]);
  const range = useMemo(() => {
    const last = Math.max(
      0,
      ...rails.scenarios.flatMap(({ rows }) => rows.map((row) => (row.finish.at(-1) ?? 0) * MINUTE_MS)),
    );
    return extent(plan, last);
  }, [plan, rails]);
  const scale = useCallback((width: number): TimeScale => timeScale(range, width), [range]);
  const row = useCallback(
    (one: Row, width: number) => (
      <Rails spans={byRow.get(one.id) ?? []} scale={scale(width)} {...{ strokes, names, how }} />
    ),
    [byRow, scale, strokes, names, how],
  );
  return (
    <PlanGrid
      plan={plan}
      label="The plan under the scenarios ticked"
      columns={COLUMNS}
      drawing={{
        width: 420,
        header: (width) => <TimelineHeader plan={plan} scale={scale(width)} />,
        row,
        behind: (width, height) => <TimelineBackground plan={plan} scale={scale(width)} height={height} />,
      }}
    />
  );
}

interface RailsProps {
  spans: readonly { id: string; start: number[]; finish: number[] }[];
  scale: TimeScale;
  strokes: Record<string, Stroke>;
  names: Record<string, string>;
  how: "rails" | "mist";
}

/** Under each other in one row: levels are P10, P50 and the level that matters. */
function Rails({ spans, scale, strokes, names, how }: RailsProps) {
  const each = Math.min(7, (ROW_HEIGHT - 4) / Math.max(1, spans.length));
  const top = (ROW_HEIGHT - each * spans.length) / 2;
  return (
    <svg width={scale.width} height={ROW_HEIGHT} aria-hidden="true">
      {spans.map(({ id, start, finish }, i) => {
        const x = (minutes: number | undefined) => scale.x((minutes ?? 0) * MINUTE_MS);
        const [from, soon, half, late] = [x(start[1]), x(finish[0]), x(finish[1]), x(finish[2])];
        const y = top + each * i;
        const colour = strokes[id]?.colour;
        const tall = Math.max(2, each - 2);
        return (
          <g key={id} data-rail={id} fill={colour}>
            <title>
              {`${names[id]}: P50 ${formatDay((finish[1] ?? 0) * MINUTE_MS)}, later level ${formatDay((finish[2] ?? 0) * MINUTE_MS)}`}
            </title>
            {how === "rails" ? (
              <>
                <rect x={from} y={y + tall / 2 - 1} width={Math.max(2, late - from)} height="2" />
                <rect x={late - 1} y={y} width="2" height={tall} />
              </>
            ) : (
              <>
                <rect x={from} y={y} width={Math.max(1, soon - from)} height={tall} opacity="0.75" />
                <rect x={soon} y={y} width={Math.max(0, half - soon)} height={tall} opacity="0.45" />
                <rect x={half} y={y} width={Math.max(1, late - half)} height={tall} opacity="0.22" />
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
}
