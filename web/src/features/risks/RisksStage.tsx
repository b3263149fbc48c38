import { Box, chakra } from "@chakra-ui/react";
import { PanelBottom, PanelRight } from "lucide-react";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import {
  previewRegister,
  useRegister,
  useRiskCheck,
  useRiskEdits,
  useRiskEffects,
} from "../../shared/api/risks";
import { formatWhole } from "../../shared/format/numbers";
import { isShown, useColumnChoice } from "../../shared/grid/columnChoice";
import { ColumnMenu } from "../../shared/grid/ColumnMenu";
import { FindBar } from "../../shared/grid/FindBar";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { registerKey, selectRisk } from "../../shared/risks/registerKey";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import type { Command } from "../../shared/stage/commands";
import { Stage } from "../../shared/stage/Stage";
import { StageMenu } from "../../shared/stage/StageMenu";
import { lazily } from "../../shared/ui/lazily";
import { Notice } from "../../shared/ui/Notice";
import { SidePanel } from "../../shared/ui/SidePanel";
import { ToolButton } from "../../shared/ui/ToolButton";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { type Arrangement, ARRANGEMENTS, RISK_FILTERS } from "./register";
import { registerColumns } from "./registerColumns";
import { RegisterGrid } from "./RegisterGrid";
import { Moved, Progress } from "./RegisterSentence";
import { SHEET_WIDTH } from "./riskWords";
import { useAskOwners } from "./useAskOwners";
import { RISK_FAULTS, riskSentence } from "./riskCheckWords";

const CheckPanel = lazily(() => import("../../shared/check/CheckPanel"), "CheckPanel");
const LossesView = lazily(() => import("./LossesView"), "LossesView");
const ExposureView = lazily(() => import("./ExposureView"), "ExposureView");
const MatrixView = lazily(() => import("./MatrixView"), "MatrixView");
const TableFileDialog = lazily(() => import("../../shared/files/TableFileDialog"), "TableFileDialog");
const SchemeDialog = lazily(() => import("./SchemeDialog"), "SchemeDialog");
const RiskSheet = lazily(() => import("./RiskSheet"), "RiskSheet");
const Select = chakra("select");
const Link = chakra("button");
const ARRANGED = "tychon.risks.arranged";
const VIEWS = [
  { value: "register", label: "Register" },
  { value: "matrix", label: "Matrix" },
  { value: "losses", label: "Losses" },
  { value: "exposure", label: "Exposure" },
] as const;
const FILES = [
  { value: "risks.xlsx", label: "Register as a spreadsheet (XLSX)" },
  { value: "risks.csv", label: "Register as a table of text (CSV)" },
] as const;
type View = (typeof VIEWS)[number]["value"];

/** The register, what moves most first: what each risk does to the finish and the cost, alone and after its response. */
export function RisksStage() {
  const plan = usePlanOfStage();
  const { id, revision, confidence } = plan.project;
  const register = useRegister(id, revision);
  const risks = useMemo(() => register.data?.risks ?? [], [register.data]);
  const effects = useRiskEffects(id, revision);
  const edits = useRiskEdits(id);
  const choice = useColumnChoice("risks");
  const sheet = useSheetStore();
  const [arrangement, setArrangement] = useState(
    () => (localStorage.getItem(ARRANGED) ?? "effect") as Arrangement,
  );
  const [address, setAddress] = useSearchParams();
  const view = VIEWS.find((one) => one.value === address.get("view"))?.value ?? "register";
  const setView = (next: View) => void setAddress(next === "register" ? {} : { view: next });
  const [withPlan, setWithPlan] = useState(false);
  const [checking, setChecking] = useState(false);
  const check = useRiskCheck(id, revision, effects.current && effects.view?.state === "done");
  const findings = check.data?.findings.filter((finding) => !finding.accepted).length;
  const openCheck = () => {
    sheet.close();
    setChecking(!checking);
  };
  const openSheet = () => {
    setChecking(false);
    sheet.toggle();
  };
  const [dialog, setDialog] = useState<"scheme" | "file">();
  const columns = useMemo(() => registerColumns(confidence, risks), [confidence, risks]);
  const shown = useMemo(
    () => columns.filter((column) => isShown(choice.kept, column)),
    [columns, choice.kept],
  );
  const selected = useGridStore((state) => viewOf(state, registerKey(id)).active?.row);
  const chosen = selected === undefined ? risks[0] : risks.find((risk) => risk.id === selected);
  const arrange = (how: Arrangement) => {
    localStorage.setItem(ARRANGED, how);
    setArrangement(how);
  };
  /** Shows a risk in the register, with its sheet. */
  const open = (risk: string) => {
    selectRisk(id, risk);
    if (!sheet.open) sheet.toggle();
    setView("register");
  };
  const askable = useAskOwners(id, risks);
  const commands: Command[] = [
    { id: "plan", label: "The plan beside the register", run: () => setWithPlan(!withPlan) },
    { id: "scheme", label: "Scoring scheme…", run: () => setDialog("scheme") },
    { id: "file", label: "A register from a table…", run: () => setDialog("file") },
    ...FILES.map(({ value, label }) => ({ id: value, label, href: `/api/projects/${id}/${value}` })),
    ...(askable ? [{ id: "ask", label: askable.label, run: askable.run }] : []),
    { id: "check", label: "Risk check", run: openCheck },
    { id: "sheet", label: "Sheet of the risk", keys: "Alt Enter", run: openSheet },
  ];
  return (
    <Stage
      name="Risks"
      commands={commands}
      sentence={
        <>
          <Moved plan={plan} risks={risks} effects={effects.view} />
          <Progress effects={effects.view} current={effects.current} error={effects.error?.message} />
          {findings !== undefined && (
            <Link
              color={findings > 0 ? "risk" : "softInk"}
              whiteSpace="nowrap"
              title="Where risks are hard to believe"
              onClick={openCheck}
            >
              {formatWhole(findings)} {findings === 1 ? "finding" : "findings"}
            </Link>
          )}
        </>
      }
      views={{ label: "View of the risks", choices: VIEWS, value: view, onChange: setView }}
      over={
        <>
          {dialog === "scheme" && (
            <SchemeDialog
              plan={plan}
              kept={register.data?.scheme}
              edits={edits}
              onClose={() => setDialog(undefined)}
            />
          )}
          {dialog === "file" && (
            <TableFileDialog
              title="A register from a table"
              intro="A spreadsheet or a text table with a row a risk. Columns are known by their headers (Code, Title, Chance, Effect on time, Owner …), or by what stands in them. Risks are known by code, or by title. What you take out comes in again unchanged."
              many="risks"
              preview={(table, mended) => previewRegister(plan.project.id, table, mended)}
              takeOver={edits.table}
              onClose={() => setDialog(undefined)}
            />
          )}
        </>
      }
      tools={
        <>
          {view === "register" && (
            <>
              <FindBar grid={registerKey(id)} filters={RISK_FILTERS} />
              <Select
                aria-label="Arranged"
                bg="panel"
                borderWidth="1px"
                borderColor="line"
                px="1"
                py="0.5"
                value={arrangement}
                onChange={(event) => arrange(event.target.value as Arrangement)}
              >
                {ARRANGEMENTS.map((one) => (
                  <option key={one.value} value={one.value}>
                    {one.label}
                  </option>
                ))}
              </Select>
            </>
          )}
          <Box display="flex">
            {view === "register" && (
              <ToolButton
                label="The plan beside the register"
                hint="The plan below, to give risks to its rows"
                onClick={() => setWithPlan(!withPlan)}
              >
                <PanelBottom size={16} />
              </ToolButton>
            )}
            {view === "register" && (
              <ToolButton label="Sheet of the risk" hint="Sheet of the risk (Alt Enter)" onClick={openSheet}>
                <PanelRight size={16} />
              </ToolButton>
            )}
            {view === "register" && <ColumnMenu columns={columns} choice={choice} />}
            <StageMenu label="More for risks" commands={commands} filesTitle="Take out" />
          </Box>
        </>
      }
      beside={
        checking ? (
          <CheckPanel
            plan={plan}
            label="Risk check"
            title="Are the risks worth simulating?"
            check={check}
            words={RISK_FAULTS}
            sentence={riskSentence}
            grid={{ key: registerKey(id), column: "title" }}
            onClose={() => setChecking(false)}
          />
        ) : (
          view === "register" &&
          sheet.open &&
          (chosen ? (
            <RiskSheet
              key={chosen.id}
              plan={plan}
              risk={chosen}
              risks={risks}
              scheme={register.data?.scheme}
              moves={effects.view?.rows.find((row) => row.risk === chosen.id)}
              edits={edits}
              onClose={sheet.close}
            />
          ) : (
            <SidePanel label="Sheet" title="A new risk" width={SHEET_WIDTH} onClose={sheet.close}>
              Its sheet opens once it has a title.
            </SidePanel>
          ))
        )
      }
    >
      {register.isError ? (
        <Notice alert retry={() => void register.refetch()}>
          The risks cannot be shown: {register.error.message}
        </Notice>
      ) : (
        register.data &&
        (view === "matrix" ? (
          <MatrixView
            plan={plan}
            risks={risks}
            scheme={register.data.scheme}
            effects={effects.view}
            edits={edits}
            onScheme={() => setDialog("scheme")}
            onOpen={open}
          />
        ) : view === "losses" ? (
          <LossesView plan={plan} />
        ) : view === "exposure" ? (
          <ExposureView plan={plan} risks={risks} />
        ) : (
          <RegisterGrid
            plan={plan}
            risks={risks}
            effects={effects.view}
            current={effects.current}
            columns={shown}
            arrangement={arrangement}
            edits={edits}
            withPlan={withPlan}
            onSheet={openSheet}
          />
        ))
      )}
    </Stage>
  );
}
