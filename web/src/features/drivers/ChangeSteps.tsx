import { Box, Flex } from "@chakra-ui/react";
import { type ReactNode, useRef } from "react";
import type { PlanChanges, RunView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { formatDay } from "../../shared/format/dates";
import { formatMoney, formatSigned } from "../../shared/format/numbers";
import { usePlanChanges } from "../../shared/api/since";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { Aside } from "../../shared/stage/Aside";
import { capital, type Goal } from "./goal";
import type { ViewProps } from "./MovesView";
import { landing } from "../../shared/charts/landing";
import { SizedSteps } from "../../shared/charts/SizedSteps";
import { stepName, stepSaid } from "./staircaseWords";
import type { StepDrawn } from "../../shared/charts/Steps";
import { ViewHeading } from "../../shared/stage/ViewHeading";

const SIMULATED = "var(--chakra-colors-simulated)";
const OTHER = "var(--chakra-colors-soft-ink)";
const TOLD = 3;

/** What moved the percentile since a recorded run, one kind of change after the other. */
export function ChangeSteps({
  run,
  goal,
  look,
  runs,
  tools,
}: ViewProps & { runs: RunView[]; tools: ReactNode }) {
  const changes = usePlanChanges(run, look.from, look.level);
  const chart = useRef<HTMLDivElement>(null);
  const earlier = runs.find(({ id }) => id === look.from);
  const aside = (
    <Aside label="How it is told" width={380}>
      {tools}
    </Aside>
  );
  if (changes.isError)
    return (
      <Flex height="100%">
        <Box flex="1">
          <Notice alert>{refusalOf(changes.error)}</Notice>
        </Box>
        {aside}
      </Flex>
    );
  if (!changes.data || !earlier) return <Notice>Simulating one kind of change after the other…</Notice>;
  const { money, currency } = goal;
  const view = changes.data;
  const level = `P${Math.round(view.level)}`;
  const changeOf = (step: PlanChanges["steps"][number]) => (money ? step.money : step.days);
  const value = (step: PlanChanges["steps"][number] | undefined) =>
    step ? (money ? formatMoney(step.cost, currency) : formatDay(step.finish)) : "";
  const moving = view.steps.filter((step, i) => i === 0 || changeOf(step) !== 0);
  const title = sentence(view, changeOf, earlier, level, goal);
  const ends = moving.map((_, i) => moving.slice(0, i + 1).reduce((sum, step) => sum + changeOf(step), 0));
  const at = ends.at(-1) ?? 0;
  const steps = moving.map((step, i): StepDrawn => ({
    id: step.kind || "before",
    name: i === 0 ? `${level} by run ${earlier.number}` : stepName(step.kind),
    at: ends[i] ?? 0,
    change: changeOf(step),
    label: i === 0 ? value(step) : goal.signed(changeOf(step)),
    colour: i === 0 ? SIMULATED : OTHER,
    whole: i === 0,
    opens: false,
  }));
  const last = view.steps.at(-1);
  steps.push(landing("after", `${level} now`, at, value(last)));
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="3" pt="3" pb="2">
        <ViewHeading
          name={`changes since run ${earlier.number}`}
          title={title}
          chart={chart}
          table={() => ({
            columns: ["Kind of change", "Finish", "Working days", "Cost", "Money"],
            rows: view.steps.map((step) => [
              step.kind ? stepName(step.kind) : `Run ${earlier.number}`,
              step.finish.replace("T", " "),
              step.days,
              step.cost,
              step.money,
            ]),
          })}
          letter={title}
        >
          Each step lets one kind of change in, with the same random numbers, so the steps add up.
          {money ? "" : " In working days."}
        </ViewHeading>
        <Box ref={chart} flex="1" minH="260px">
          <SizedSteps
            steps={steps}
            tick={(tick) => (tick === 0 ? `run ${earlier.number}` : goal.signed(tick))}
            onOpen={() => undefined}
          />
        </Box>
        <Flex wrap="wrap" columnGap="5" color="softInk" pt="1" data-testid="sums">
          {moving.slice(1).map((step) => (
            <Box key={step.kind} whiteSpace="nowrap">
              {stepName(step.kind)} <b>{goal.signed(changeOf(step))}</b>
            </Box>
          ))}
          <Box whiteSpace="nowrap" color="ink">
            together <b>{goal.signed(at)}</b>
          </Box>
        </Flex>
      </Flex>
      {aside}
    </Flex>
  );
}

function sentence(
  view: PlanChanges,
  changeOf: (step: PlanChanges["steps"][number]) => number,
  earlier: RunView,
  level: string,
  goal: Goal,
): string {
  const whole = view.steps.slice(1).reduce((sum, step) => sum + changeOf(step), 0);
  const told = view.steps
    .slice(1)
    .filter((step) => changeOf(step) !== 0)
    .sort((a, b) => Math.abs(changeOf(b)) - Math.abs(changeOf(a)))
    .slice(0, TOLD)
    .map((step) => `${stepSaid(step.kind)} ${formatSigned(changeOf(step), goal.amount)}`);
  if (told.length === 0) return `Nothing has moved ${level} of ${goal.name} since run ${earlier.number}.`;
  const way = goal.money ? (whole > 0 ? "dearer" : "cheaper") : whole > 0 ? "later" : "earlier";
  return `${capital(level)} of ${goal.name} is ${goal.amount(whole)} ${way} than by run ${earlier.number}: ${told.join(", ")}.`;
}
