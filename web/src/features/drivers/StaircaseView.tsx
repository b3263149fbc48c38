import { Box, chakra, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import type { DriverInput, RunView, StaircaseInside, StaircaseView as Stairs } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import {
  editedNumber,
  formatDays,
  formatMoney,
  formatSigned,
  parseNumber,
} from "../../shared/format/numbers";
import { SourcePicker } from "../../shared/odds/SourcePicker";
import { fading } from "../../shared/ui/fading";
import { TextField } from "../../shared/ui/Field";
import { Notice } from "../../shared/ui/Notice";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { ChangeSteps } from "./ChangeSteps";
import { capital, type Goal } from "./goal";
import type { ViewProps } from "./MovesView";
import { colourOf } from "./spindles";
import { stairSentence, stepMeans, stepName } from "./staircaseWords";
import { type StepDrawn, Steps } from "./Steps";
import { useThings } from "./toThing";
import { useStaircase, useStep } from "./useDrivers";

const Button = chakra("button");
const CAUSES = { value: "", label: "the plan, by cause" };

/** From the plan to a percentile, one cause after the other; or from a recorded run, one kind of change after the other. */
export function StaircaseView(props: ViewProps & { runs: RunView[] }) {
  const { plan, goal, look, runs, run } = props;
  const level = (
    <TextField
      label="At percentile"
      name="level"
      value={editedNumber(look.level ?? plan.project.confidence)}
      onHandIn={(text) => {
        const percent = parseNumber(text.replace(/[p%\s]/gi, ""));
        if (percent === undefined || percent <= 0 || percent > 100)
          return `A percentile lies above 0 and at most 100, not “${text}”.`;
        look.set({ level: percent });
        return undefined;
      }}
    />
  );
  const from = (
    <Flex align="center" gap="2" color="softInk" mb="2">
      <Box width="112px" flexShrink="0" fontSize="12.5px">
        From
      </Box>
      <SourcePicker
        label="Steps from"
        width="100%"
        runs={runs.filter((one) => one.id !== run)}
        value={look.from}
        first={[CAUSES]}
        onChange={(source) => look.set({ from: source })}
      />
    </Flex>
  );
  const tools = (
    <>
      {level}
      {from}
    </>
  );
  return look.from === "" ? (
    <Causes {...props} goal={goal} tools={tools} />
  ) : (
    <ChangeSteps {...props} tools={tools} />
  );
}

/** One cause after the other. */
function Causes({ plan, run, goal, look, tools }: ViewProps & { tools: React.ReactNode }) {
  const stairs = useStaircase(run, goal.subject, look.level);
  const open = opened(stairs.data, look.step);
  const inside = useStep(run, goal.subject, open, look.level);
  const chart = useRef<HTMLDivElement>(null);
  if (stairs.isError) return <Notice alert>{refusalOf(stairs.error)}</Notice>;
  if (!stairs.data) return <Notice>Simulating one cause after the other…</Notice>;
  const view = stairs.data;
  const title = stairSentence(view, goal);
  const steps = drawn(view, goal);
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="3" pt="3" pb="2">
        <Flex gap="3" align="flex-start">
          <Box
            as="h1"
            flex="1"
            fontSize="19px"
            fontWeight="600"
            lineHeight="1.3"
            aria-live="polite"
            data-testid="headline"
          >
            {title}
          </Box>
          <TakeOutMenu
            name={`staircase of ${goal.name}`}
            title={title}
            chart={chart}
            table={() => table(view, inside.data)}
            letter={[
              title,
              ...view.steps
                .slice(1)
                .map(({ cause, change }) => `${stepName(cause)}: ${goal.signed(change)}.`),
            ].join(" ")}
          />
        </Flex>
        <Box color="softInk" mt="0.5">
          {goal.money && goal.subject.of === "project"
            ? "Each step adds a part of the cost of the same futures, so the steps add up."
            : "Each step is a simulation with one thing more and the same random numbers, so the steps add up."}{" "}
          {goal.money ? "" : "In working days. "}Open a step to see what is in it.
        </Box>
        <Box ref={chart} flex="1" minH="260px">
          <Sized
            steps={steps}
            target={
              view.target && view.targetChange !== undefined
                ? {
                    at: view.targetChange,
                    label: `${goal.money ? "budget" : "target"} ${goal.value(view.target)}`,
                  }
                : undefined
            }
            chosen={open}
            tick={(value) => tickText(value, goal)}
            onOpen={(step) => look.set({ step })}
          />
        </Box>
        <Sums view={view} goal={goal} />
      </Flex>
      <Flex
        as="aside"
        aria-label="What is in a step"
        direction="column"
        gap="3"
        width="380px"
        flexShrink="0"
        px="5"
        py="4"
        bg="panel"
        borderLeftWidth="1px"
        borderColor="line"
        overflow="auto"
      >
        <Box>{tools}</Box>
        {inside.isError && <Box role="alert">{refusalOf(inside.error)}</Box>}
        {inside.data && inside.data.cause === open ? (
          <Inside inside={inside.data} goal={goal} plan={plan} />
        ) : (
          <Box color="softInk">
            {inside.isFetching
              ? "Trying what is in it one by one…"
              : "Click a step, or go to it by Tab and open it by Enter: what is in it is listed here."}
          </Box>
        )}
      </Flex>
    </Flex>
  );
}

/** The step that is open: the one that was chosen, else the largest. */
function opened(view: Stairs | undefined, step: string | undefined): string | undefined {
  const open = (view?.steps ?? []).filter(({ opens }) => opens);
  if (open.some(({ cause }) => cause === step)) return step;
  const largest = open.reduce<(typeof open)[number] | undefined>(
    (best, one) => (!best || Math.abs(one.change) > Math.abs(best.change) ? one : best),
    undefined,
  );
  return largest?.change ? largest.cause : undefined;
}

const tickText = (value: number, goal: Goal) =>
  value === 0
    ? "plan"
    : goal.money
      ? formatSigned(value, (amount) => formatMoney(amount, goal.currency))
      : `${formatSigned(value, formatDays)} d`;

const COLOURS: Record<string, string> = {
  threats: "var(--chakra-colors-risk)",
  risk: "var(--chakra-colors-risk)",
  longestPath: "var(--chakra-colors-action)",
  opportunities: "var(--chakra-colors-action)",
  responses: "var(--chakra-colors-action)",
  estimateSpread: "var(--chakra-colors-action)",
};

const PLAN = "var(--chakra-colors-plan)";
const SIMULATED = "var(--chakra-colors-simulated)";
const OTHER = "var(--chakra-colors-soft-ink)";

/** Steps as they are drawn, with the landings from which one looks. */
function drawn(view: Stairs, goal: Goal): StepDrawn[] {
  let at = 0;
  return view.steps.flatMap(({ cause, change, value, opens }, i): StepDrawn[] => {
    at += change;
    const isPlan = i === 0;
    const step: StepDrawn = {
      id: cause,
      name: stepName(cause),
      at,
      change,
      label: isPlan ? goal.value(value) : goal.signed(change),
      colour: isPlan ? PLAN : (COLOURS[cause] ?? OTHER),
      whole: isPlan,
      opens,
    };
    const level = `P${Math.round(view.level)}`;
    const landing = (name: string): StepDrawn => ({
      id: `${cause} landing`,
      name,
      at,
      change: 0,
      label: goal.value(value),
      colour: SIMULATED,
      whole: true,
      opens: false,
    });
    if (i === view.asItIs - 1) return [step, landing(`${level} today`)];
    if (i === view.steps.length - 1) return [step, landing(`${level} with all responses`)];
    return [step];
  });
}

interface SizedProps {
  steps: StepDrawn[];
  target?: { at: number; label: string };
  chosen?: string;
  tick: (value: number) => string;
  onOpen: (step: string) => void;
}

export function Sized(props: SizedProps) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  return (
    <Box ref={box} width="100%" height="100%">
      {width > 0 && height > 0 && <Steps {...props} width={width} height={height} />}
    </Box>
  );
}

/** All steps in numbers, with their sums: what is drawn adds up. */
function Sums({ view, goal }: { view: Stairs; goal: Goal }) {
  const counted = view.steps.slice(1, view.asItIs);
  const beyond = view.steps.slice(view.asItIs);
  const sum = (steps: Stairs["steps"]) => steps.reduce((all, { change }) => all + change, 0);
  const one = ({ cause, change }: Stairs["steps"][number]) => (
    <Box key={cause} whiteSpace="nowrap">
      {stepName(cause)} <b data-change={change}>{goal.signed(change)}</b>
    </Box>
  );
  return (
    <Flex wrap="wrap" columnGap="5" rowGap="0.5" color="softInk" pt="1" data-testid="sums">
      {counted.map(one)}
      <Box whiteSpace="nowrap" color="ink">
        together <b data-whole={sum(counted)}>{goal.signed(sum(counted))}</b>
      </Box>
      {beyond.map(one)}
      {beyond.length > 0 && (
        <Box whiteSpace="nowrap" color="ink">
          with them <b>{goal.signed(sum(view.steps.slice(1)))}</b>
        </Box>
      )}
    </Flex>
  );
}

interface InsideProps {
  inside: StaircaseInside;
  goal: Goal;
  plan: ViewProps["plan"];
}

const MOST_TOLD = 14;
const LEAST = { money: 0.5, days: 0.005 };

/** What each thing in a step would add alone, and what makes them add up. */
function Inside({ inside, goal, plan }: InsideProps) {
  const things = useThings(plan);
  const least = goal.money ? LEAST.money : LEAST.days;
  const parts = inside.parts.filter(({ change }) => Math.abs(change) >= least);
  const told = parts.slice(0, MOST_TOLD);
  const others = parts.slice(MOST_TOLD).reduce((sum, { change }) => sum + change, 0);
  const most = Math.max(...told.map(({ change }) => Math.abs(change)), Math.abs(inside.overlap), 1e-9);
  return (
    <Box data-testid="inside">
      <Box fontSize="16px" fontWeight="650">
        Inside “{stepName(inside.cause)}”, {goal.signed(inside.change)}
      </Box>
      <Box color="softInk" mb="2">
        {stepMeans(inside.cause)} Alone, each would add so much; where some matter in the same futures, they
        make more or less together.
      </Box>
      {told.map(({ input, change }) => (
        <Part
          key={input.key || input.name}
          input={input}
          text={goal.signed(change)}
          share={Math.abs(change) / most}
          go={things.ofInput(input.kind, input.id)[0]?.go}
        />
      ))}
      {parts.length > MOST_TOLD && (
        <Part
          text={goal.signed(others)}
          name={parts.length - MOST_TOLD === 1 ? "another" : `${parts.length - MOST_TOLD} others`}
          share={Math.abs(others) / most}
        />
      )}
      <Part text={goal.signed(inside.overlap)} name="overlap" share={Math.abs(inside.overlap) / most} />
      <Flex borderTopWidth="1px" borderColor="line" pt="1" mt="1" fontWeight="650">
        <Box flex="1">{capital(stepName(inside.cause))}</Box>
        <Box>{goal.signed(inside.change)}</Box>
      </Flex>
    </Box>
  );
}

interface PartProps {
  input?: DriverInput;
  name?: string;
  text: string;
  share: number;
  go?: () => void;
}

const BAR = 72;

function Part({ input, name, text, share, go }: PartProps) {
  return (
    <Flex align="center" gap="2" py="0.5">
      <svg width="12" height="14" aria-hidden="true" style={{ flexShrink: 0 }}>
        {input && <Mark kind={input.mark as MarkKind} x={6} y={7} size={4.6} />}
      </svg>
      {go ? (
        <Button
          flex="1"
          minW="0"
          truncate
          textAlign="left"
          cursor="pointer"
          _hover={{ color: "action" }}
          title={input?.name}
          onClick={go}
        >
          {input?.name}
        </Button>
      ) : (
        <Box flex="1" minW="0" truncate>
          {input?.name ?? name}
        </Box>
      )}
      <Box width={`${BAR}px`} flexShrink="0">
        <Box
          height="9px"
          opacity="0.6"
          style={{
            width: `${Math.min(1, share) * BAR}px`,
            background: input ? colourOf(input.mark) : "var(--chakra-colors-strong-line)",
          }}
        />
      </Box>
      <Box width="66px" flexShrink="0" textAlign="right">
        {text}
      </Box>
    </Flex>
  );
}

/** The steps, and what is in the open one. */
const table = (view: Stairs, inside: StaircaseInside | undefined) => ({
  columns: ["Step", "In it", "Ends at", "Change"],
  rows: [
    ...view.steps.map(({ cause, value, change }) => [
      stepName(cause),
      null,
      value.date?.replace("T", " ") ?? value.amount ?? null,
      change,
    ]),
    ...(inside?.parts ?? []).map(({ input, change }) => [
      stepName(inside?.cause ?? ""),
      `${input.id} ${input.name}`.trim(),
      null,
      change,
    ]),
    ...(inside ? [[stepName(inside.cause), "overlap", null, inside.overlap]] : []),
  ],
});
