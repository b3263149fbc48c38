import { useCallback, useMemo } from "react";
import type { PlanView, Spans } from "../api/client";
import { extent, type TimeScale, timeScale, wantedWidth, type Zoom } from "../charts/timeScale";
import type { PlanDrawing } from "../planGrid/PlanGrid";
import type { Row } from "../planGrid/rows";
import { lastFinish } from "./mist";
import { TimelineBackground } from "./TimelineBackground";
import { TimelineHeader } from "./TimelineHeader";
import { type Simulated, TimelineRow } from "./TimelineRow";

export const ZOOMS: { value: Zoom; label: string }[] = [
  { value: "whole", label: "All" },
  { value: "months", label: "Months" },
  { value: "weeks", label: "Weeks" },
  { value: "days", label: "Days" },
];

const NO_LEVEL = 80;

/** What was simulated, by row. */
export function useSimulated(spans: Spans | undefined, stale: boolean): Simulated {
  return useMemo(
    () => ({
      levels: spans?.levels ?? [],
      level: spans?.level ?? NO_LEVEL,
      spans: new Map([...(spans?.activities ?? []), ...(spans?.branches ?? [])].map((one) => [one.id, one])),
      stale,
    }),
    [spans, stale],
  );
}

/** Planned and simulated work over time, row by row: what a grid draws at its right. */
export function useTimeline(plan: PlanView, spans: Spans | undefined, simulated: Simulated, zoom: Zoom) {
  const calendars = useMemo(
    () => new Map(plan.calendars.map((calendar) => [calendar.id, calendar])),
    [plan.calendars],
  );
  const range = useMemo(() => extent(plan, spans && lastFinish(spans)), [plan, spans]);
  const scale = useCallback((width: number): TimeScale => timeScale(range, width), [range]);
  const row = useCallback(
    (one: Row, width: number) => (
      <TimelineRow row={one} scale={scale(width)} calendars={calendars} simulated={simulated} />
    ),
    [scale, calendars, simulated],
  );
  const drawing: PlanDrawing = {
    width: wantedWidth(zoom, range),
    header: (width) => <TimelineHeader plan={plan} scale={scale(width)} />,
    row,
    behind: (width, height) => <TimelineBackground plan={plan} scale={scale(width)} height={height} />,
  };
  return { drawing, scale };
}
