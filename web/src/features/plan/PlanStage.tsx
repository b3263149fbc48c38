import { Box, Flex } from "@chakra-ui/react";
import { PanelRight } from "lucide-react";
import { useSearchParams } from "react-router";
import { useMemo, useState } from "react";
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
import { Choice } from "../../shared/ui/Choice";
import { PlanQuality } from "../../shared/ui/PlanQuality";
import { StageRow } from "../../shared/ui/StageRow";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { useLiveSpans } from "../../shared/api/live";
import { RowSheet } from "../../shared/sheet/RowSheet";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import { ToolButton } from "../../shared/ui/ToolButton";
import { CalendarsDialog } from "./CalendarsDialog";
import { isShown, useColumnChoice } from "./columnChoice";
import { ColumnMenu } from "./ColumnMenu";
import { LinkLines } from "./LinkLines";
import { planColumns } from "./planColumns";
import { PlanMenu } from "./PlanMenu";
import { SettingsPanel } from "./SettingsPanel";
import { RAISED } from "../../shared/timeline/TimelineRow";
import { useSimulated, useTimeline, ZOOMS } from "../../shared/timeline/useTimeline";
import type { Zoom } from "../../shared/charts/timeScale";

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
  const live = useLiveSpans(plan.project.id, plan.project.revision);
  const simulated = useSimulated(live.spans, !live.current);
  const columns = useMemo(() => planColumns(plan, simulated.spans), [plan, simulated]);
  const shown = useMemo(
    () => columns.filter((column) => isShown(choice.kept, column)),
    [columns, choice.kept],
  );
  const timeline = useTimeline(plan, live.spans, simulated, zoom);
  const drawing: Drawing = {
    ...timeline.drawing,
    over: (tops, width) => (
      <LinkLines
        plan={plan}
        selected={selected}
        tops={tops}
        scale={timeline.scale(width)}
        shift={live.spans ? RAISED : 0}
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
        {live.spans && !live.current && (
          <Box color="softInk" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" role="status">
            Mist of before the last edit
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
