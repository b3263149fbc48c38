import { Box, Flex } from "@chakra-ui/react";
import { PanelRight } from "lucide-react";
import { useSearchParams } from "react-router";
import { useCallback, useMemo, useState } from "react";
import { CheckPanel } from "../../shared/check/CheckPanel";
import { useCheck } from "../../shared/api/plan";
import { CHECKS, checkSentence } from "./checkWords";
import type { PlanView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { type Drawing, PlanGrid } from "../../shared/grid/PlanGrid";
import { FindBar } from "../../shared/grid/FindBar";
import { sieveOf } from "../../shared/grid/filters";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import type { Row } from "../../shared/grid/rows";
import { Choice } from "../../shared/ui/Choice";
import { PlanQuality } from "../../shared/ui/PlanQuality";
import { StageRow } from "../../shared/ui/StageRow";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { useLastSpans } from "../../shared/api/runs";
import { RowSheet } from "../../shared/sheet/RowSheet";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import { ToolButton } from "../../shared/ui/ToolButton";
import { CalendarsDialog } from "./CalendarsDialog";
import { isShown, useColumnChoice } from "./columnChoice";
import { ColumnMenu } from "./ColumnMenu";
import { LinkLines } from "./LinkLines";
import { lastFinish } from "./mist";
import { planColumns } from "./planColumns";
import { PlanMenu } from "./PlanMenu";
import { SettingsPanel } from "./SettingsPanel";
import { TimelineBackground } from "./TimelineBackground";
import { TimelineHeader } from "./TimelineHeader";
import { RAISED, TimelineRow } from "./TimelineRow";
import { extent, timeScale, wantedWidth, type Zoom } from "../../shared/charts/timeScale";

const ZOOMS: { value: Zoom; label: string }[] = [
  { value: "whole", label: "All" },
  { value: "months", label: "Months" },
  { value: "weeks", label: "Weeks" },
  { value: "days", label: "Days" },
];

type Panel = "settings" | "calendars" | undefined;

/** The plan as its planner made it: activities and logic on the left, planned work over time on the right. */
export function PlanStage() {
  const plan = usePlanOfStage();
  const [zoom, setZoom] = useState<Zoom>("whole");
  const selected = useGridStore((state) => viewOf(state, plan.project.id).active?.row);
  const search = useGridStore((state) => viewOf(state, plan.project.id).search);
  const sieve = useMemo(() => sieveOf(plan, search), [plan, search]);
  const choice = useColumnChoice();
  const [address, setAddress] = useSearchParams();
  const [other, setOther] = useState<Panel>();
  const panel = address.has("check") ? "check" : other;
  const setPanel = (next: Panel) => {
    setAddress({}, { replace: true });
    setOther(next);
  };
  const sheet = useSheetStore();
  const open = (next: Panel) => {
    sheet.close();
    setPanel(panel === next ? undefined : next);
  };
  const openSheet = () => {
    setPanel(undefined);
    sheet.toggle();
  };
  const calendars = useMemo(
    () => new Map(plan.calendars.map((calendar) => [calendar.id, calendar])),
    [plan.calendars],
  );
  const last = useLastSpans(plan.project.id);
  const spans = last?.spans;
  const stale = last !== undefined && last.run.revision !== plan.project.revision;
  const simulated = useMemo(
    () => ({
      levels: spans?.levels ?? [],
      spans: new Map(spans?.activities.map((span) => [span.id, span])),
      stale,
    }),
    [spans, stale],
  );
  const columns = useMemo(() => planColumns(plan, simulated.spans), [plan, simulated]);
  const shown = useMemo(
    () => columns.filter((column) => isShown(choice.kept, column)),
    [columns, choice.kept],
  );
  const range = useMemo(() => extent(plan, spans && lastFinish(spans)), [plan, spans]);
  const row = useCallback(
    (one: Row, width: number) => (
      <TimelineRow row={one} scale={timeScale(range, width)} calendars={calendars} simulated={simulated} />
    ),
    [range, calendars, simulated],
  );
  const drawing: Drawing = {
    width: wantedWidth(zoom, range),
    header: (width) => <TimelineHeader plan={plan} scale={timeScale(range, width)} />,
    row,
    behind: (width, height) => (
      <TimelineBackground plan={plan} scale={timeScale(range, width)} height={height} />
    ),
    over: (tops, width) => (
      <LinkLines
        plan={plan}
        selected={selected}
        tops={tops}
        scale={timeScale(range, width)}
        shift={spans ? RAISED : 0}
      />
    ),
  };

  return (
    <Box height="100%" display="flex" flexDirection="column">
      <StageRow>
        <Box whiteSpace="nowrap">
          Planned to finish on <b>{formatDay(plan.finish)}</b>
          {plan.plannedCost !== 0 && (
            <>
              {" "}
              for <b>{formatMoney(plan.plannedCost, plan.project.currency)}</b>
            </>
          )}
          .
        </Box>
        <PlanQuality plan={plan} />
        {last && (
          <Box color="softInk" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
            Mist: run {last.run.number}
            {stale && ", out of date"}
          </Box>
        )}
        <Box flex="1" />
        <FindBar project={plan.project.id} />
        <Choice label="Zoom" choices={ZOOMS} value={zoom} onChange={setZoom} />
        <Flex gap="0">
          <ToolButton label="Sheet of the row" hint="Sheet of the row (Alt Enter)" onClick={openSheet}>
            <PanelRight size={16} />
          </ToolButton>
          <ColumnMenu columns={columns} choice={choice} />
          <PlanMenu plan={plan} onSettings={() => open("settings")} onCalendars={() => open("calendars")} />
        </Flex>
      </StageRow>
      <Flex flex="1" minHeight="0">
        <Box flex="1" minW="0">
          <PlanGrid
            plan={plan}
            label="Plan"
            columns={shown}
            drawing={drawing}
            sieve={sieve}
            onSheet={openSheet}
          />
        </Box>
        {panel === "check" && <PlanCheck plan={plan} onClose={() => setPanel(undefined)} />}
        {panel === "settings" && <SettingsPanel plan={plan} onClose={() => setPanel(undefined)} />}
        {panel === undefined && <RowSheet plan={plan} />}
      </Flex>
      {panel === "calendars" && <CalendarsDialog plan={plan} onClose={() => setPanel(undefined)} />}
    </Box>
  );
}

function PlanCheck({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  return (
    <CheckPanel
      plan={plan}
      label="Plan check"
      title="Is the plan fit to be simulated?"
      check={useCheck(plan.project.id, plan.project.revision)}
      words={CHECKS}
      sentence={(open, accepted) => `${checkSentence(open, accepted)} Loops are refused as they are typed.`}
      onClose={onClose}
    />
  );
}
