import { Box, Flex } from "@chakra-ui/react";
import { type RefObject, useMemo, useRef } from "react";
import type { PlanView, RiskView, ScenarioRow, ScenariosView } from "../../shared/api/client";
import { type ScenarioEdits, useScenarioDrivers, useScenarioRails } from "../../shared/api/scenarios";
import { ChartTable } from "../../shared/charts/ChartTable";
import { civil, formatDay, formatShortDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { Choice } from "../../shared/ui/Choice";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { CurvesDrawing } from "./CurvesDrawing";
import { PairDrivers } from "./PairDrivers";
import { RailsDrawing } from "./RailsDrawing";
import { sortedRows, takenScenarios } from "./scenarioColumns";
import { markOf, strokeOf, tickedOf } from "./scenarioLook";
import { ScenarioPanel } from "./ScenarioPanel";
import type { Drawing, ScenariosLook } from "./scenariosStore";
import { ScenarioTable } from "./ScenarioTable";
import { daysSigned, differenceWords, gapSentence, moneySigned } from "./scenarioWords";
import { useCurves } from "./useCurves";

export interface SideProps {
  plan: PlanView;
  view: ScenariosView;
  risks: readonly RiskView[];
  edits: ScenarioEdits;
  look: ScenariosLook;
  onEnter: (row: ScenarioRow) => void;
  onTakeOver: (row: ScenarioRow) => void;
}

const DRAWINGS: { value: Drawing; label: string }[] = [
  { value: "curves", label: "Curves" },
  { value: "rails", label: "Row by row" },
  { value: "drivers", label: "Drivers of two" },
];

/** All scenarios in a table, those ticked in a drawing, the one chosen with its switches. */
export function SideBySide(props: SideProps) {
  const { plan, view, look } = props;
  const chart = useRef<HTMLDivElement>(null);
  const { currency } = plan.project;
  const hasMoney = view.rows.some((row) => (row.odds?.costLevel ?? 0) !== 0);
  const rows = useMemo(
    () => sortedRows(view.rows, look.sort, look.down).filter((row) => look.all || !row.putAway),
    [view.rows, look.sort, look.down, look.all],
  );
  const ticked = tickedOf(view.rows, look.ticked);
  const chosen = chosenOf(view, look.chosen);
  const base = view.rows.find((row) => row.id === view.base) ?? view.rows[0];
  const away = view.rows.filter((row) => row.putAway).length;
  if (!base) return null;
  const title = headline(view, chosen, base, currency);
  return (
    <Flex height="100%">
      <Flex direction="column" flex="1" minW="0" pt="3">
        <ViewHeading
          px="5"
          name="scenarios side by side"
          title={title}
          chart={chart}
          table={() => takenScenarios(view, rows, currency)}
          letter={[title, ...rows.map((row) => letterLine(row, currency))].join("\n")}
        >
          All by the same random numbers, so a difference is what the scenarios differ in. A tick draws one.
        </ViewHeading>
        <Box
          flex="0 1 auto"
          minH="150px"
          maxH="48%"
          overflow="auto"
          borderBottomWidth="1px"
          borderColor="line"
        >
          <ScenarioTable
            view={view}
            rows={rows}
            ticked={ticked}
            look={look}
            chosen={chosen.id}
            currency={currency}
            hasMoney={hasMoney}
          />
        </Box>
        <Flex px="5" py="1.5" gap="4" align="center" color="softInk">
          <Choice
            label="What is drawn of those ticked"
            choices={DRAWINGS}
            value={look.drawing}
            onChange={(drawing) => look.set({ drawing })}
          />
          {look.drawing === "rails" && (
            <Choice
              label="How rows are drawn"
              choices={[
                { value: "rails", label: `to P${view.level}` },
                { value: "mist", label: "as mist" },
              ]}
              value={look.rails}
              onChange={(how) => look.set({ rails: how })}
            />
          )}
          <Box flex="1" />
          {away > 0 && (
            <Choice
              label="Scenarios put away"
              choices={[
                { value: "open", label: "in use" },
                { value: "all", label: `with ${away} put away` },
              ]}
              value={look.all ? "all" : "open"}
              onChange={(which) => look.set({ all: which === "all" })}
            />
          )}
        </Flex>
        <Box ref={chart} flex="1 1 0" minH="180px" px={look.drawing === "curves" ? "3" : undefined} pb="1">
          <Drawn {...props} ticked={ticked} chosen={chosen} base={base} chart={chart} />
        </Box>
      </Flex>
      <ScenarioPanel key={chosen.id} {...props} row={chosen} />
    </Flex>
  );
}

const promising = (row: ScenarioRow) =>
  (row.odds?.jointChance ?? row.odds?.finishChance ?? 0) - (row.otherRisks === "off" ? 1 : 0);

/** The one chosen; at first the one that keeps most of what was promised, but for a world without risks. */
function chosenOf(view: ScenariosView, id: string | undefined): ScenarioRow {
  const [plan, ...others] = view.rows;
  const best = [...others].filter((row) => !row.putAway).sort((a, b) => promising(b) - promising(a))[0];
  return view.rows.find((row) => row.id === id) ?? best ?? (plan as ScenarioRow);
}

function headline(view: ScenariosView, chosen: ScenarioRow, base: ScenarioRow, currency: string): string {
  if (view.rows.length === 1) return "What would help? Switch a risk off or answer it, and look at the gap.";
  if (chosen.gap) return gapSentence(chosen, base, view.level, currency);
  if (chosen.odds && chosen.id === base.id)
    return `${chosen.name}: P${view.level} of the finish is ${formatDay(chosen.odds.finishLevel)}.`;
  return chosen.refusal
    ? `${chosen.name} cannot be simulated: ${chosen.refusal}.`
    : `${chosen.name} is being worked out…`;
}

function letterLine(row: ScenarioRow, currency: string): string {
  const { odds, gap } = row;
  if (!odds) return `${row.name}: not worked out.`;
  const change = gap ? `, ${daysSigned(gap.days)}, ${moneySigned(gap.cost, currency)}` : "";
  return `${row.name} (${differenceWords(row) || "the plan"}): ${formatDay(odds.finishLevel)}, ${formatMoney(odds.costLevel, currency)}${change}.`;
}

interface DrawnProps extends SideProps {
  ticked: string[];
  chosen: ScenarioRow;
  base: ScenarioRow;
  chart: RefObject<HTMLDivElement | null>;
}

function Drawn({ plan, view, look, ticked, chosen, base }: DrawnProps) {
  const shown = ticked.filter((id) => view.rows.find((row) => row.id === id)?.odds);
  const strokes = Object.fromEntries(view.rows.map((row) => [row.id, strokeOf(view.rows, row.id)]));
  const names = Object.fromEntries(view.rows.map((row) => [row.id, row.name]));
  const mark = markOf(view.rows, shown, view.revision);
  if (shown.length === 0) return <Notice>Tick a scenario to draw it.</Notice>;
  const common = { plan, view, look, ids: shown, mark, strokes, names, chosen, base };
  if (look.drawing === "rails") return <RowByRow {...common} />;
  if (look.drawing === "drivers") return <Pair {...common} />;
  return <Curves {...common} />;
}

interface Common {
  plan: PlanView;
  view: ScenariosView;
  look: ScenariosLook;
  ids: string[];
  mark: string;
  strokes: Record<string, { colour: string; dash?: string }>;
  names: Record<string, string>;
  chosen: ScenarioRow;
  base: ScenarioRow;
}

function Curves({ plan, view, look, ids, mark, strokes, names, chosen, base }: Common) {
  const { currency } = plan.project;
  const { what, of } = look;
  const { curves, error, old } = useCurves(plan.project.id, mark, ids, what, of);
  if (error) return <Notice alert>{error.message}</Notice>;
  if (!curves) return <Notice>Working out the curves…</Notice>;
  const ofProject = of === "project";
  const { targetFinish, targetCost } = plan.project;
  const target =
    what === "finish" && ofProject && targetFinish
      ? { value: civil(targetFinish), label: `target ${formatShortDay(targetFinish)}` }
      : what === "cost" && ofProject && targetCost !== undefined
        ? { value: targetCost, label: `budget ${formatMoney(targetCost, currency)}` }
        : undefined;
  const tell = (value: number) =>
    what === "cost"
      ? formatMoney(value, currency)
      : what === "duration"
        ? `${value.toFixed(1)} d`
        : formatDay(value);
  const gap = !ofProject
    ? undefined
    : what === "finish" && chosen.gap
      ? `${daysSigned(chosen.gap.days).replace(/ d$/, "")} working days`
      : what === "cost" && chosen.gap
        ? moneySigned(chosen.gap.cost, currency)
        : undefined;
  return (
    <Box height="100%" {...fading(old)}>
      <CurvesDrawing
        curves={curves}
        strokes={strokes}
        names={names}
        kind={what === "cost" ? "money" : what === "duration" ? "days" : "date"}
        currency={currency}
        target={target}
        level={view.level}
        onLevel={(level) => look.set({ level })}
        base={base.id}
        chosen={chosen.id}
        gap={gap}
      />
      <ChartTable
        caption="Scenarios at some chances"
        columns={["Scenario", "P10", "P50", "P80", "P90"]}
        rows={curves.map(({ id, values }) => [
          names[id] ?? id,
          ...[20, 100, 160, 180].map((at) => tell(values[at] ?? 0)),
        ])}
      />
    </Box>
  );
}

function RowByRow({ plan, view, look, ids, mark, strokes, names }: Common) {
  const rails = useScenarioRails(plan.project.id, mark, ids, [10, 50, view.level]);
  if (rails.error) return <Notice alert>{rails.error.message}</Notice>;
  if (!rails.data) return <Notice>Simulating every row…</Notice>;
  return <RailsDrawing plan={plan} rails={rails.data} strokes={strokes} names={names} how={look.rails} />;
}

function Pair({ plan, view, look, strokes, names, chosen, base }: Common) {
  const other = chosen.id === base.id ? (view.rows.find((row) => row.id !== base.id) ?? base) : chosen;
  const what = look.what === "cost" ? "cost" : "finish";
  const mark = markOf(view.rows, [base.id, other.id], view.revision);
  const drivers = useScenarioDrivers(plan.project.id, mark, base.id, other.id, what);
  const pair = useMemo<[string, string]>(
    () => [names[base.id] ?? "", names[other.id] ?? ""],
    [names, base.id, other.id],
  );
  if (drivers.error) return <Notice alert>{drivers.error.message}</Notice>;
  if (!drivers.data) return <Notice>Measuring every input…</Notice>;
  return (
    <PairDrivers
      project={plan.project.id}
      rows={drivers.data.rows}
      names={pair}
      strokes={[strokes[base.id], strokes[other.id]]}
      money={what === "cost"}
      currency={plan.project.currency}
    />
  );
}
