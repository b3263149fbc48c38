import { lazily } from "../../shared/ui/lazily";
import { Box, Flex } from "@chakra-ui/react";
import { PanelRight } from "lucide-react";
import { useNavigate, useSearchParams } from "react-router";
import { useMemo, useState } from "react";
import { useCheck } from "../../shared/api/plan";
import { CHECKS, checkSentence } from "./checkWords";
import type { PlanView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { type PlanDrawing, PlanGrid } from "../../shared/planGrid/PlanGrid";
import { FindBar } from "../../shared/grid/FindBar";
import { LitNote } from "../../shared/grid/LitNote";
import { filtersOf, FIRST_OF_A_PROGRAMME, sieveOf } from "../../shared/planGrid/filters";
import { useGridStore, viewOf, withFirst } from "../../shared/grid/gridStore";
import { Choice } from "../../shared/ui/Choice";
import { PlanQuality } from "../../shared/ui/PlanQuality";
import type { Command } from "../../shared/stage/commands";
import { Stage } from "../../shared/stage/Stage";
import { StageMenu } from "../../shared/stage/StageMenu";
import { useOddsCommand } from "../../shared/planGrid/useOddsCommand";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { useLiveSpans } from "../../shared/api/live";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import { ToolButton } from "../../shared/ui/ToolButton";
import { isShown, useColumnChoice } from "../../shared/grid/columnChoice";
import { ColumnMenu } from "../../shared/grid/ColumnMenu";
import { LinkLines } from "./LinkLines";
import { planColumns } from "./planColumns";
import { RAISED } from "../../shared/timeline/TimelineRow";
import { useSimulated, useTimeline, ZOOMS } from "../../shared/timeline/useTimeline";
import type { Zoom } from "../../shared/charts/timeScale";

const RowSheet = lazily(() => import("../../shared/sheet/RowSheet"), "RowSheet");
const CheckPanel = lazily(() => import("../../shared/check/CheckPanel"), "CheckPanel");
const SettingsPanel = lazily(() => import("./SettingsPanel"), "SettingsPanel");
const CalendarsDialog = lazily(() => import("./CalendarsDialog"), "CalendarsDialog");
const FILES = [
  { value: "file", label: "Project file, everything in it" },
  { value: "schedule.xlsx", label: "Spreadsheet (XLSX)" },
  { value: "schedule.csv", label: "Table of text (CSV)" },
] as const;

type Panel = "settings" | "calendars" | undefined;

/** The plan as its planner made it: activities and logic on the left, planned work over time on the right. */
export function PlanStage() {
  const plan = usePlanOfStage();
  const [zoom, setZoom] = useState<Zoom>("whole");
  const selected = useGridStore((state) => viewOf(state, plan.project.id).active?.row);
  const first = plan.project.programme ? FIRST_OF_A_PROGRAMME : undefined;
  const kept = useGridStore((state) => viewOf(state, plan.project.id).search);
  const search = useMemo(() => withFirst(kept, first), [kept, first]);
  const lit = useGridStore((state) => viewOf(state, plan.project.id).lit);
  const sieve = useMemo(() => sieveOf(plan, search), [plan, search]);
  const navigate = useNavigate();
  const choice = useColumnChoice("plan");
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
  const drawing: PlanDrawing = {
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

  const commands: Command[] = [
    ...useOddsCommand(plan.project.id),
    { id: "settings", label: "Settings of the project…", run: () => open("settings") },
    { id: "calendars", label: "Calendars…", run: () => open("calendars") },
    {
      id: "update",
      label: "Update from a newer file…",
      run: () => void navigate(`/projects/${plan.project.id}/update`),
    },
    ...FILES.map(({ value, label }) => ({
      id: value,
      label,
      href: `/api/projects/${plan.project.id}/${value}`,
    })),
  ];

  return (
    <Stage
      name="Plan"
      commands={[
        ...commands,
        { id: "check", label: "Plan check", run: () => void setAddress({ check: "" }) },
        { id: "sheet", label: "Sheet of the row", keys: "Alt Enter", run: openSheet },
      ]}
      sentence={
        <>
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
          {lit && <LitNote grid={plan.project.id} title={lit.title} />}
          {live.spans && !live.current && (
            <Box color="softInk" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" role="status">
              Mist of before the last edit
            </Box>
          )}
        </>
      }
      tools={
        <>
          <FindBar grid={plan.project.id} filters={filtersOf(plan)} first={first} />
          <Choice label="Zoom" choices={ZOOMS} value={zoom} onChange={setZoom} />
          <Flex gap="0">
            <ToolButton label="Sheet of the row" hint="Sheet of the row (Alt Enter)" onClick={openSheet}>
              <PanelRight size={16} />
            </ToolButton>
            <ColumnMenu columns={columns} choice={choice} />
            <StageMenu label="More for the plan" commands={commands} filesTitle="Take out as" />
          </Flex>
        </>
      }
      beside={
        panel === "check" ? (
          <PlanCheck plan={plan} onClose={() => setPanel(undefined)} />
        ) : panel === "settings" ? (
          <SettingsPanel plan={plan} onClose={() => setPanel(undefined)} />
        ) : (
          panel === undefined && sheet.open && <RowSheet plan={plan} />
        )
      }
      over={panel === "calendars" && <CalendarsDialog plan={plan} onClose={() => setPanel(undefined)} />}
    >
      <PlanGrid
        plan={plan}
        label="Plan"
        columns={shown}
        drawing={drawing}
        sieve={sieve}
        lit={lit?.ids}
        onSheet={openSheet}
      />
    </Stage>
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
