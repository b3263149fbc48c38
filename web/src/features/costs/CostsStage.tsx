import { lazily } from "../../shared/ui/lazily";
import { Box, chakra, Flex } from "@chakra-ui/react";
import { PanelRight } from "lucide-react";
import { useMemo, useState } from "react";
import { useCostCauses, useCostCheck, useMoneyRows } from "../../shared/api/costs";
import { useRuns } from "../../shared/api/runs";
import { formatMoney, formatWhole } from "../../shared/format/numbers";
import { FindBar } from "../../shared/grid/FindBar";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { LIVE, useSource } from "../../shared/odds/source";
import { LIVE_CHOICE, SourcePicker } from "../../shared/odds/SourcePicker";
import { StaleBand } from "../../shared/odds/StaleBand";
import { filtersOf } from "../../shared/planGrid/filters";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import type { Command } from "../../shared/stage/commands";
import { Stage } from "../../shared/stage/Stage";
import { StageMenu } from "../../shared/stage/StageMenu";
import { Choice } from "../../shared/ui/Choice";
import { Notice } from "../../shared/ui/Notice";
import { ToolButton } from "../../shared/ui/ToolButton";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { CashFlowView } from "./CashFlowView";
import { CategoryView } from "./CategoryView";
import { CausesView } from "./CausesView";
import { type CostsView, useLook } from "./costsStore";
import { COST_FAULTS, costSentence } from "./costWords";
import { LinesView } from "./LinesView";
import { moneyOf } from "./money";
import { ResourcesView } from "./ResourcesView";

const CheckPanel = lazily(() => import("../../shared/check/CheckPanel"), "CheckPanel");
const RowSheet = lazily(() => import("../../shared/sheet/RowSheet"), "RowSheet");
const HireDialog = lazily(() => import("./HireDialog"), "HireDialog");
const EscalationDialog = lazily(() => import("./EscalationDialog"), "EscalationDialog");
const MoneyFileDialog = lazily(() => import("./MoneyFileDialog"), "MoneyFileDialog");
const Link = chakra("button", { base: { cursor: "pointer", whiteSpace: "nowrap" } });

const VIEWS: { value: CostsView; label: string }[] = [
  { value: "lines", label: "Lines" },
  { value: "resources", label: "Resources" },
  { value: "flow", label: "Cash flow" },
  { value: "causes", label: "Why it costs" },
];

const UNDER = [
  { value: "plan", label: "By plan" },
  { value: "category", label: "By category" },
] as const;

const FILES = [
  { value: "costs.xlsx", label: "Cost lines as a spreadsheet (XLSX)" },
  { value: "costs.csv", label: "Cost lines as a table of text (CSV)" },
  { value: "resources.xlsx", label: "Resources as a spreadsheet (XLSX)" },
  { value: "resources.csv", label: "Resources as a table of text (CSV)" },
  { value: "funding.xlsx", label: "Funding as a spreadsheet (XLSX)" },
  { value: "funding.csv", label: "Funding as a table of text (CSV)" },
] as const;

type Panel = "check" | "hire" | "escalation" | "file" | undefined;

/** Money on the same plan: entered line by line, simulated, laid over time, explained and funded. */
export function CostsStage() {
  const plan = usePlanOfStage();
  const { id, revision, currency, confidence } = plan.project;
  const runs = useRuns(id).data ?? [];
  const { source, choose } = useSource(plan, runs);
  const look = useLook(id);
  const sheet = useSheetStore();
  const [panel, setPanel] = useState<Panel>();
  const check = useCostCheck(id, revision);
  const rows = useMoneyRows(source.key);
  const causes = useCostCauses(source.key, "branch", 1);
  const money = useMemo(() => moneyOf(plan, rows.data), [plan, rows.data]);
  const selected = useGridStore((state) => viewOf(state, id).active?.row);
  const open = check.data?.findings.filter((finding) => !finding.accepted).length;
  const close = () => setPanel(undefined);
  const openCheck = () => {
    sheet.close();
    setPanel(panel === "check" ? undefined : "check");
  };
  const openSheet = () => {
    close();
    look.set({ view: "lines", under: "plan" });
    sheet.toggle();
  };
  const commands: Command[] = [
    { id: "hire", label: "Hire something from here to there…", run: () => setPanel("hire") },
    { id: "escalation", label: "How prices rise…", run: () => setPanel("escalation") },
    { id: "file", label: "Cost lines, resources or funding from a file…", run: () => setPanel("file") },
    ...FILES.map(({ value, label }) => ({ id: value, label, href: `/api/projects/${id}/${value}` })),
  ];
  const total = money.get("project");
  const whole = total?.simulated;
  const delay = causes.data && causes.data.with - causes.data.without;
  const inLines = look.view === "lines";
  const hasMoney = plan.costs.length > 0 || plan.plannedCost !== 0;
  return (
    <Stage
      name="Costs"
      commands={[
        ...commands,
        { id: "check", label: "Cost check", run: openCheck },
        { id: "sheet", label: "Sheet of the row", keys: "Alt Enter", run: openSheet },
      ]}
      sentence={
        <>
          <Box whiteSpace="nowrap" data-testid="cost-sentence" overflow="hidden" textOverflow="ellipsis">
            {hasMoney ? (
              <b>{formatMoney(plan.plannedCost, currency)} planned</b>
            ) : (
              <>
                No costs yet. Type one, or{" "}
                <Link color="action" onClick={() => setPanel("file")}>
                  take in a file
                </Link>
                .
              </>
            )}
            {total && total.spent !== 0 && `, ${formatMoney(total.spent, currency)} spent`}
            {whole && `; P${confidence} ${formatMoney(whole.at, currency)}`}
            {whole && delay !== undefined && delay > 0.5 && `, delay ${formatMoney(delay, currency)} of it`}
            {whole && "."}
          </Box>
          {open !== undefined && (
            <Link
              color={open > 0 ? "risk" : "softInk"}
              title="Whether the money is worth simulating"
              onClick={openCheck}
            >
              {formatWhole(open)} {open === 1 ? "finding" : "findings"}
            </Link>
          )}
        </>
      }
      views={{
        label: "View of the costs",
        choices: VIEWS,
        value: look.view,
        onChange: (view) => look.set({ view }),
      }}
      tools={
        <>
          {inLines && (
            <Choice
              label="Lines under"
              choices={UNDER}
              value={look.under}
              onChange={(under) => look.set({ under })}
            />
          )}
          {inLines && look.under === "plan" && <FindBar grid={id} filters={filtersOf(plan)} />}
          <Link color="action" onClick={() => setPanel("hire")}>
            Hire
          </Link>
          {!inLines && (
            <SourcePicker
              label="Costs by"
              width="7rem"
              runs={runs}
              value={source.run?.id ?? LIVE}
              first={[LIVE_CHOICE]}
              onChange={choose}
            />
          )}
          <Flex>
            <ToolButton
              label="Sheet of the row"
              hint="Sheet of the row: range, payment, progress of a line (Alt Enter)"
              onClick={openSheet}
            >
              <PanelRight size={16} />
            </ToolButton>
            <StageMenu label="More for costs" commands={commands} filesTitle="Take out" />
          </Flex>
        </>
      }
      band={source.run && <StaleBand run={source.run} project={plan.project} />}
      beside={
        panel === "check" ? (
          <CheckPanel
            plan={plan}
            label="Cost check"
            title="Is the money worth simulating?"
            check={check}
            words={COST_FAULTS}
            sentence={costSentence}
            onClose={close}
          />
        ) : (
          inLines && look.under === "plan" && sheet.open && <RowSheet plan={plan} />
        )
      }
      over={
        <>
          {panel === "hire" && <HireDialog plan={plan} row={selected} onClose={close} />}
          {panel === "escalation" && <EscalationDialog plan={plan} onClose={close} />}
          {panel === "file" && <MoneyFileDialog plan={plan} onClose={close} />}
        </>
      }
    >
      {inLines && look.under === "plan" ? (
        <LinesView
          plan={plan}
          money={money}
          simulated={rows.data}
          narrow={sheet.open || panel === "check"}
          onSheet={openSheet}
        />
      ) : inLines ? (
        <CategoryView plan={plan} money={money} simulated={rows.data} />
      ) : look.view === "resources" ? (
        <ResourcesView plan={plan} money={money} run={source.key} look={look} />
      ) : source.key ? (
        look.view === "flow" ? (
          <CashFlowView plan={plan} run={source.key} current={source.current} look={look} />
        ) : (
          <CausesView plan={plan} run={source.key} current={source.current} look={look} />
        )
      ) : (
        <Notice alert={source.refusal !== undefined}>
          {source.refusal ? `The plan cannot be simulated: ${source.refusal}.` : "Simulating the plan…"}
        </Notice>
      )}
    </Stage>
  );
}
