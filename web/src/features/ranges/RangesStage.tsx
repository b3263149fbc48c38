import { lazily } from "../../shared/ui/lazily";
import { Box, chakra, Flex } from "@chakra-ui/react";
import { PanelRight } from "lucide-react";
import { useMemo, useState } from "react";
import { useRangeCheck } from "../../shared/api/ranges";
import { formatWhole } from "../../shared/format/numbers";
import { FindBar } from "../../shared/grid/FindBar";
import { filtersOf, sieveOf } from "../../shared/planGrid/filters";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { type PlanDrawing, PlanGrid } from "../../shared/planGrid/PlanGrid";
import { canBeUncertain, type Scale } from "../../shared/range/estimates";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import { Choice } from "../../shared/ui/Choice";
import type { Command } from "../../shared/stage/commands";
import { Stage } from "../../shared/stage/Stage";
import { StageMenu } from "../../shared/stage/StageMenu";
import { useOddsCommand } from "../../shared/planGrid/useOddsCommand";
import { ToolButton } from "../../shared/ui/ToolButton";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { RANGE_FAULTS, rangeSentence } from "./rangeCheckWords";
import { rangeColumns } from "./rangeColumns";
import { RangeBackground, RangeDrawing, RangeHeader } from "./RangeDrawing";
import { rangedBeneath } from "./selection";

const CheckPanel = lazily(() => import("../../shared/check/CheckPanel"), "CheckPanel");
const RowSheet = lazily(() => import("../../shared/sheet/RowSheet"), "RowSheet");
const RangeFileDialog = lazily(() => import("./RangeFileDialog"), "RangeFileDialog");
const GradesDialog = lazily(() => import("./GradesDialog"), "GradesDialog");
const EvidenceDialog = lazily(() => import("./EvidenceDialog"), "EvidenceDialog");
const CorrelationDialog = lazily(() => import("./CorrelationDialog"), "CorrelationDialog");
const Link = chakra("button");

const DRAWING: PlanDrawing = {
  width: 280,
  header: (width) => <RangeHeader width={width} />,
  behind: (width, height) => <RangeBackground width={width} height={height} />,
  row: (row, width) => <RangeDrawing row={row} width={width} />,
};

const SCALES: { value: Scale; label: string }[] = [
  { value: "units", label: "Days" },
  { value: "percent", label: "Percent" },
];

/** Columns that make room for a panel, so that the densities stay in view. */
const SPARED = new Set(["shape", "mean", "sd"]);

const FILES = [
  { value: "ranges.xlsx", label: "Ranges as a spreadsheet (XLSX)" },
  { value: "ranges.csv", label: "Ranges as a table of text (CSV)" },
  { value: "grades.json", label: "Grades, for another project" },
] as const;

type Panel = "check" | "grades" | "correlation" | "evidence" | "file" | undefined;

/** How sure the estimates are: a grade or three points a row, and what they look like against the plan. */
export function RangesStage() {
  const plan = usePlanOfStage();
  const project = plan.project.id;
  const [scale, setScale] = useState<Scale>("units");
  const [panel, setPanel] = useState<Panel>();
  const [chosen, setChosen] = useState<string[]>([]);
  const sheet = useSheetStore();
  const check = useRangeCheck(project, plan.project.revision);
  const search = useGridStore((state) => viewOf(state, project).search);
  const sieve = useMemo(() => sieveOf(plan, search), [plan, search]);
  const beside = sheet.open || panel === "check";
  const columns = useMemo(
    () => rangeColumns(plan.grades, scale).filter((column) => !beside || !SPARED.has(column.id)),
    [plan.grades, scale, beside],
  );
  const tasks = plan.activities.filter(canBeUncertain);
  const ranged = tasks.filter((activity) => activity.range.density.length > 0).length;
  const open = check.data?.findings.filter((finding) => !finding.accepted).length;
  const close = () => setPanel(undefined);
  const show = (next: Panel, rows: string[] = []) => {
    setChosen(rows);
    setPanel(next);
  };
  const openSheet = () => {
    close();
    sheet.toggle();
  };
  const openCheck = () => {
    sheet.close();
    show(panel === "check" ? undefined : "check");
  };
  const commands: Command[] = [
    ...useOddsCommand(project),
    { id: "file", label: "Ranges from a file…", run: () => show("file") },
    ...FILES.map(({ value, label }) => ({ id: value, label, href: `/api/projects/${project}/${value}` })),
  ];
  return (
    <Stage
      name="Ranges"
      commands={[
        ...commands,
        { id: "grades", label: "Table of grades", run: () => show("grades") },
        { id: "correlation", label: "Correlation: what moves together", run: () => show("correlation") },
        { id: "evidence", label: "Past work, and shapes that fit it", run: () => show("evidence") },
        { id: "check", label: "Range check", run: openCheck },
        { id: "sheet", label: "Sheet of the row", keys: "Alt Enter", run: openSheet },
      ]}
      sentence={
        <>
          <Box whiteSpace="nowrap">
            <b>
              {formatWhole(ranged)} of {formatWhole(tasks.length)}
            </b>{" "}
            activities have a range.
          </Box>
          {open !== undefined && (
            <Link
              color={open > 0 ? "risk" : "softInk"}
              whiteSpace="nowrap"
              title="Where ranges are hard to believe"
              onClick={openCheck}
            >
              {formatWhole(open)} {open === 1 ? "finding" : "findings"} in the range check
            </Link>
          )}
        </>
      }
      tools={
        <>
          <FindBar grid={project} filters={filtersOf(plan)} />
          <Choice label="Points in" choices={SCALES} value={scale} onChange={setScale} />
          <Flex gap="3">
            <Link color="action" onClick={() => show("grades")}>
              Grades
            </Link>
            <Link color="action" onClick={() => show("correlation")}>
              Correlation
            </Link>
            <Link color="action" onClick={() => show("evidence")}>
              Past work
            </Link>
          </Flex>
          <Flex>
            <ToolButton
              label="Sheet of the row"
              hint="Sheet of the row: every shape, dragged or typed (Alt Enter)"
              onClick={openSheet}
            >
              <PanelRight size={16} />
            </ToolButton>
            <StageMenu label="More for ranges" commands={commands} filesTitle="Take out" />
          </Flex>
        </>
      }
      beside={
        panel === "check" ? (
          <CheckPanel
            plan={plan}
            label="Range check"
            title="Are the ranges worth believing?"
            check={check}
            words={RANGE_FAULTS}
            sentence={rangeSentence}
            onClose={close}
          />
        ) : (
          sheet.open && <RowSheet plan={plan} rangeFirst />
        )
      }
      over={
        <>
          {panel === "grades" && <GradesDialog plan={plan} onClose={close} />}
          {panel === "correlation" && <CorrelationDialog plan={plan} members={chosen} onClose={close} />}
          {panel === "evidence" && <EvidenceDialog plan={plan} rows={chosen} onClose={close} />}
          {panel === "file" && <RangeFileDialog plan={plan} onClose={close} />}
        </>
      }
    >
      <PlanGrid
        plan={plan}
        label="Ranges"
        columns={columns}
        drawing={DRAWING}
        sieve={sieve}
        costs
        onSheet={openSheet}
        onSelection={(rows) => (
          <>
            <Link color="action" onClick={() => show("correlation", rangedBeneath(plan, rows))}>
              Move together…
            </Link>
            <Link color="action" onClick={() => show("evidence", rangedBeneath(plan, rows))}>
              Fit to past work…
            </Link>
          </>
        )}
      />
    </Stage>
  );
}
