import { Box, chakra } from "@chakra-ui/react";
import type { BriefView, PlanView, RunView } from "../../shared/api/client";
import { formatMoment } from "../../shared/format/dates";
import { isOfPlan } from "../../shared/odds/source";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { AsidePart } from "./AsidePart";
import type { BriefWays } from "./useBriefWays";

const Button = chakra("button");
const LATEST = "";
const PLAN_ITSELF = "";

interface Props {
  plan: PlanView;
  brief: BriefView;
  runs: readonly RunView[];
  ways: BriefWays;
  onUpdate: () => void;
}

/** Where the numbers are from, and whether the plan has moved on since. */
export function NumbersFrom({ plan, brief, runs, ways, onUpdate }: Props) {
  const recorded = runs.filter((run) => run.levelFinish !== undefined);
  const { run, latest } = brief;
  const newer = latest && run && latest.number > run.number;
  const moved = run && !isOfPlan(run, plan.project);
  return (
    <AsidePart title="Numbers from">
      {run ? (
        <>
          <LabelledSelect
            label="Which run"
            width="100%"
            value={brief.asked === undefined ? LATEST : String(brief.asked)}
            choices={[
              { value: LATEST, label: `the latest, run ${latest?.number}` },
              ...recorded.map((one) => ({
                value: String(one.number),
                label: `run ${one.number}${one.name ? `, ${one.name}` : ""}`,
              })),
              ...(brief.asked !== undefined && !recorded.some(({ number }) => number === brief.asked)
                ? [{ value: String(brief.asked), label: `run ${brief.asked}, no longer on record` }]
                : []),
            ]}
            onPick={(number) => void ways.set({ run: number === LATEST ? null : Number(number) })}
          />
          <LabelledSelect
            label="Of the plan or a scenario"
            width="100%"
            value={brief.scenario ?? PLAN_ITSELF}
            choices={[
              { value: PLAN_ITSELF, label: "the plan itself" },
              ...ways.scenarios.map((row) => ({ value: row.id, label: row.name })),
            ]}
            onPick={(scenario) => void ways.set({ scenario: scenario || null })}
          />
          <Box color="softInk">
            {formatMoment(run.startedAt)}, seed {run.seed}
          </Box>
          {moved && !newer && (
            <Box color="risk">
              The plan has been edited since.{" "}
              <Button color="action" textDecoration="underline" onClick={ways.record}>
                Record a new run
              </Button>
            </Box>
          )}
          {newer && (
            <Box color="risk">
              Run {latest.number} is newer.{" "}
              <Button color="action" textDecoration="underline" onClick={onUpdate}>
                Bring up to date
              </Button>
            </Box>
          )}
        </>
      ) : (
        <Box>
          No run is on record yet.{" "}
          <Button color="action" textDecoration="underline" onClick={ways.record}>
            Record one
          </Button>
        </Box>
      )}
      {ways.recording && (
        <Box color="softInk" role="status">
          A run is being recorded…
        </Box>
      )}
    </AsidePart>
  );
}
