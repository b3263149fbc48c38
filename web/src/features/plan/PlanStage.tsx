import { Box } from "@chakra-ui/react";
import { useCallback, useMemo, useState } from "react";
import { formatDay } from "../../shared/format/dates";
import { formatMoney, formatWhole } from "../../shared/format/numbers";
import { type Drawing, PlanGrid } from "../../shared/grid/PlanGrid";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import type { Row } from "../../shared/grid/rows";
import { Choice } from "../../shared/ui/Choice";
import { StageRow } from "../../shared/ui/StageRow";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { LinkLines } from "./LinkLines";
import { planColumns } from "./planColumns";
import { TimelineBackground } from "./TimelineBackground";
import { TimelineHeader } from "./TimelineHeader";
import { TimelineRow } from "./TimelineRow";
import { extent, timeScale, wantedWidth, type Zoom } from "./timeScale";

const ZOOMS: { value: Zoom; label: string }[] = [
  { value: "whole", label: "Whole plan" },
  { value: "months", label: "Months" },
  { value: "weeks", label: "Weeks" },
  { value: "days", label: "Days" },
];

/** The plan as its planner made it: activities and logic on the left, planned work over time on the right. */
export function PlanStage() {
  const plan = usePlanOfStage();
  const [zoom, setZoom] = useState<Zoom>("whole");
  const selected = useGridStore((state) => viewOf(state, plan.project.id).active?.row);
  const columns = useMemo(() => planColumns(plan), [plan]);
  const calendars = useMemo(
    () => new Map(plan.calendars.map((calendar) => [calendar.id, calendar])),
    [plan.calendars],
  );
  const range = useMemo(() => extent(plan), [plan]);
  const row = useCallback(
    (one: Row, width: number) => (
      <TimelineRow row={one} scale={timeScale(range, width)} calendars={calendars} />
    ),
    [range, calendars],
  );
  const drawing: Drawing = {
    width: wantedWidth(zoom, range),
    header: (width) => <TimelineHeader plan={plan} scale={timeScale(range, width)} />,
    row,
    behind: (width, height) => (
      <TimelineBackground plan={plan} scale={timeScale(range, width)} height={height} />
    ),
    over: (tops, width) => (
      <LinkLines plan={plan} selected={selected} tops={tops} scale={timeScale(range, width)} />
    ),
  };

  return (
    <Box height="100%" display="flex" flexDirection="column">
      <StageRow>
        <Box>
          Planned to finish on <b>{formatDay(plan.finish)}</b>
          {plan.plannedCost !== 0 && (
            <>
              {" "}
              for <b>{formatMoney(plan.plannedCost, plan.project.currency)}</b>
            </>
          )}
          .
        </Box>
        <Box color="softInk">
          {formatWhole(plan.activities.length)} activities in {formatWhole(plan.branches.length)} branches.
          Thick rails lie on the longest path.
        </Box>
        <Box flex="1" />
        <Choice label="Zoom" choices={ZOOMS} value={zoom} onChange={setZoom} />
      </StageRow>
      <Box flex="1" minHeight="0">
        <PlanGrid plan={plan} label="Plan" columns={columns} drawing={drawing} />
      </Box>
    </Box>
  );
}
