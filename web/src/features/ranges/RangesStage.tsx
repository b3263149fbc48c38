import { Box, chakra, Flex } from "@chakra-ui/react";
import { PanelRight } from "lucide-react";
import { useMemo, useState } from "react";
import { useRangeCheck } from "../../shared/api/ranges";
import { CheckPanel } from "../../shared/check/CheckPanel";
import { formatWhole } from "../../shared/format/numbers";
import { FindBar } from "../../shared/grid/FindBar";
import { sieveOf } from "../../shared/grid/filters";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { type Drawing, PlanGrid } from "../../shared/grid/PlanGrid";
import { canBeUncertain, type Scale } from "../../shared/range/estimates";
import { RowSheet } from "../../shared/sheet/RowSheet";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import { Choice } from "../../shared/ui/Choice";
import { StageRow } from "../../shared/ui/StageRow";
import { ToolButton } from "../../shared/ui/ToolButton";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { CorrelationDialog } from "./CorrelationDialog";
import { EvidenceDialog } from "./EvidenceDialog";
import { GradesDialog } from "./GradesDialog";
import { RANGE_FAULTS, rangeSentence } from "./rangeCheckWords";
import { rangeColumns } from "./rangeColumns";
import { RangeBackground, RangeDrawing, RangeHeader } from "./RangeDrawing";
import { RangeFileDialog } from "./RangeFileDialog";
import { RangeMenu } from "./RangeMenu";
import { rangedBeneath } from "./selection";

const Link = chakra("button");

const DRAWING: Drawing = {
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
  return (
    <Box height="100%" display="flex" flexDirection="column">
      <StageRow>
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
            onClick={() => {
              sheet.close();
              show(panel === "check" ? undefined : "check");
            }}
          >
            {formatWhole(open)} {open === 1 ? "finding" : "findings"} in the range check
          </Link>
        )}
        <Box flex="1" />
        <FindBar project={project} />
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
            onClick={() => {
              close();
              sheet.toggle();
            }}
          >
            <PanelRight size={16} />
          </ToolButton>
          <RangeMenu project={project} onFile={() => show("file")} />
        </Flex>
      </StageRow>
      <Flex flex="1" minHeight="0">
        <Box flex="1" minW="0">
          <PlanGrid
            plan={plan}
            label="Ranges"
            columns={columns}
            drawing={DRAWING}
            sieve={sieve}
            costs
            onSheet={() => {
              close();
              sheet.toggle();
            }}
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
        </Box>
        {panel === "check" ? (
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
          <RowSheet plan={plan} rangeFirst />
        )}
      </Flex>
      {panel === "grades" && <GradesDialog plan={plan} onClose={close} />}
      {panel === "correlation" && <CorrelationDialog plan={plan} members={chosen} onClose={close} />}
      {panel === "evidence" && <EvidenceDialog plan={plan} rows={chosen} onClose={close} />}
      {panel === "file" && <RangeFileDialog plan={plan} onClose={close} />}
    </Box>
  );
}
