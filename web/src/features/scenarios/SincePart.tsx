import { Box, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import type { DriftPoint, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRuns } from "../../shared/api/runs";
import { useDrift, usePlanChanges, useSince } from "../../shared/api/since";
import { landing } from "../../shared/charts/landing";
import { SizedSteps } from "../../shared/charts/SizedSteps";
import type { StepDrawn } from "../../shared/charts/Steps";
import { formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { Notice } from "../../shared/ui/Notice";
import { DriftChart } from "./DriftChart";
import { daysSigned, moneySigned } from "./scenarioWords";
import { driftSentence, KINDS, levelOf, sinceSaid, type SinceWhat, stepChange, touchSaid } from "./since";

const MOST_ROWS = 60;

interface Props {
  plan: PlanView;
  what: SinceWhat;
}

/** How the forecast has drifted over recorded runs, and what moved it between two of them, down to the edits. */
export function SincePart({ plan, what }: Props) {
  const { id, revision, currency } = plan.project;
  const chart = useRef<HTMLDivElement>(null);
  const runs = useRuns(id).data ?? [];
  const mark = runs.map((run) => `${run.number}:${run.done}:${run.state}`).join(" ");
  const drift = useDrift(id, mark);
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [step, setStep] = useState<string>();
  if (drift.isError) return <Notice alert>{refusalOf(drift.error)}</Notice>;
  if (!drift.data) return <Notice>Reading what was recorded…</Notice>;
  const { points, level } = drift.data;
  const title = driftSentence(points, what, level, currency);
  if (points.length === 0) return <Notice>{title}</Notice>;
  const [from, to] = endsOf(points, picked);
  return (
    <Flex height="100%">
      <Flex ref={chart} direction="column" flex="1" minW="0" pl="5" pr="3" pt="3" pb="2">
        <ViewHeading
          name={`drift of the ${what}`}
          title={title}
          chart={chart}
          table={() => ({
            columns: ["Run", "Made", "Data date", "Plan", "P10", "P50", `P${level}`, "P90", "Target"],
            rows: points.map((one) => [
              one.number,
              one.at,
              one.dataDate ?? null,
              ...(what === "finish"
                ? [
                    one.planFinish,
                    one.finishLow,
                    one.finishHalf,
                    one.finishLevel,
                    one.finishHigh,
                    one.target ?? null,
                  ]
                : [one.planCost, one.costLow, one.costHalf, one.costLevel, one.costHigh, one.budget].map(
                    (value) => value ?? null,
                  )),
            ]),
          })}
          letter={title}
        >
          Above: what was known at each recorded run.{" "}
          {points.length > 1 && "Beneath: what moved it between the two that are picked; the steps add up."}
        </ViewHeading>
        <Box flex="1" minH="150px">
          <DriftChart
            points={points}
            what={what}
            level={level}
            currency={currency}
            from={from?.run}
            to={to?.run}
            onPick={(run) => {
              setPicked([...picked.filter((one) => one !== run), run].slice(-2));
              setStep(undefined);
            }}
          />
        </Box>
        {from && to && (
          <Between {...{ from, to, what, level, currency, step }} onStep={(kind) => setStep(kind)} />
        )}
      </Flex>
      <Aside label="What was changed">
        {from && to ? (
          <Inside {...{ project: id, revision, from, to, step }} />
        ) : (
          <Box color="softInk">
            When the next run is recorded, what was changed between the two is listed here, with who did it
            and when.
          </Box>
        )}
      </Aside>
    </Flex>
  );
}

/** The two that are picked, the older one first; at first the last two. */
function endsOf(points: readonly DriftPoint[], picked: readonly string[]): (DriftPoint | undefined)[] {
  const chosen = points.filter((one) => picked.includes(one.run));
  return chosen.length === 2 ? chosen : points.length > 1 ? points.slice(-2) : [];
}

interface BetweenProps {
  from: DriftPoint;
  to: DriftPoint;
  what: SinceWhat;
  level: number;
  currency: string;
  step: string | undefined;
  onStep: (kind: string) => void;
}

/** What moved the percentile between two runs, a kind of change after the other. */
function Between({ from, to, what, level, currency, step, onStep }: BetweenProps) {
  const changes = usePlanChanges(to.run, from.run, level / 100);
  if (changes.isError) return <Notice alert>{refusalOf(changes.error)}</Notice>;
  if (!changes.data) return <Notice>Simulating one kind of change after the other…</Notice>;
  const tell = (value: number | undefined) =>
    value === undefined ? "" : what === "finish" ? formatDay(value) : formatMoney(value, currency);
  const signed = what === "finish" ? daysSigned : (value: number) => moneySigned(value, currency);
  const moving = changes.data.steps.slice(1).filter((one) => stepChange(one, what) !== 0);
  const ends = moving.map((_, i) =>
    moving.slice(0, i + 1).reduce((sum, one) => sum + stepChange(one, what), 0),
  );
  const end = ends.at(-1) ?? 0;
  const steps: StepDrawn[] = [
    landing("before", `P${level}, run ${from.number}`, 0, tell(levelOf(from, what))),
    ...moving.map((one, i) => ({
      id: one.kind,
      name: KINDS[one.kind] ?? one.kind,
      at: ends[i] ?? 0,
      change: stepChange(one, what),
      label: signed(stepChange(one, what)),
      colour: COLOURS[one.kind] ?? "var(--chakra-colors-soft-ink)",
      opens: true,
    })),
    landing("after", `P${level}, run ${to.number}`, end, tell(levelOf(to, what))),
  ];
  return (
    <>
      <Box fontWeight="650" pt="1" borderTopWidth="1px" borderColor="line" data-testid="between">
        From run {from.number} to run {to.number}: {signed(end)}
        {what === "finish" && (
          <Box as="span" fontWeight="400">
            {" "}
            (working days)
          </Box>
        )}
        {moving.length === 0 && (
          <Box as="span" fontWeight="400">
            {" "}
            · nothing that is simulated has moved it
          </Box>
        )}
      </Box>
      <Box flex="1" minH="150px">
        <SizedSteps steps={steps} chosen={step} tick={signed} onOpen={onStep} />
      </Box>
    </>
  );
}

const COLOURS: Record<string, string> = {
  progress: "var(--chakra-colors-plan)",
  logic: "var(--chakra-colors-plan)",
  calendars: "var(--chakra-colors-plan)",
  ranges: "var(--chakra-colors-action)",
  responses: "var(--chakra-colors-action)",
  risks: "var(--chakra-colors-risk)",
};

interface InsideProps {
  project: string;
  revision: number;
  from: DriftPoint;
  to: DriftPoint;
  step: string | undefined;
}

/** The edits of a kind between two runs, with who made them and when. */
function Inside({ project, revision, from, to, step }: InsideProps) {
  const since = useSince(project, from.run, to.run, revision);
  if (since.isError) return <Box role="alert">{refusalOf(since.error)}</Box>;
  if (!since.data) return <Box color="softInk">Comparing…</Box>;
  const rows = since.data.filter((row) => step === undefined || row.kind === step);
  return (
    <Box data-testid="since">
      <Box as="h2" fontSize="16px" fontWeight="650">
        {step
          ? `Inside “${KINDS[step] ?? step}”`
          : `What was changed from run ${from.number} to run ${to.number}`}
      </Box>
      <Box color="softInk" mb="2">
        {rows.length === 0
          ? "Nothing."
          : step
            ? "Edits of this kind between the two runs."
            : "Open a step to see its own."}
      </Box>
      {rows.slice(0, MOST_ROWS).map((row) => (
        <Box key={`${row.kind} ${row.section} ${row.key}`} py="1" borderTopWidth="1px" borderColor="line">
          <Box>{sinceSaid(row)}</Box>
          <Box color="softInk" fontSize="12.5px">
            {[row.name, touchSaid(row)].filter((one) => one !== "").join(" · ")}
          </Box>
        </Box>
      ))}
      {rows.length > MOST_ROWS && <Box color="softInk">and {rows.length - MOST_ROWS} more</Box>}
    </Box>
  );
}
