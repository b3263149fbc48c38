import { Box, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { useRuns } from "../../shared/api/runs";
import { Choice } from "../../shared/ui/Choice";
import { Notice } from "../../shared/ui/Notice";
import { PlanQuality } from "../../shared/ui/PlanQuality";
import { StageRow } from "../../shared/ui/StageRow";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { CriticalityTable } from "./CriticalityTable";
import { NoRunYet } from "./NoRunYet";
import type { QuantityName } from "./quantity";
import { QuantityOdds } from "./QuantityOdds";
import { RunControl } from "./RunControl";
import { hasResults, RunPicker } from "./RunPicker";
import { StaleBand } from "./StaleBand";

type View = QuantityName | "drives";

const VIEWS: { value: View; label: string }[] = [
  { value: "finish", label: "Project finish" },
  { value: "cost", label: "Project cost" },
  { value: "drives", label: "What drives the finish" },
];

/** What the recorded runs say: how sure a date or an amount is, and which activities make it so. */
export function OddsStage() {
  const plan = usePlanOfStage();
  const runs = useRuns(plan.project.id);
  const [view, setView] = useState<View>("finish");
  const [picked, setPicked] = useState<string>();
  const all = runs.data ?? [];
  const running = all.find((run) => run.state === "running");
  const shown = all.find((run) => run.id === picked && hasResults(run)) ?? all.find(hasResults);
  const views = plan.plannedCost === 0 ? VIEWS.filter((choice) => choice.value !== "cost") : VIEWS;
  const newest = all[0];
  const failure = newest?.failure && newest.id !== shown?.id ? newest.failure : undefined;

  return (
    <Box height="100%" display="flex" flexDirection="column">
      <StageRow>
        <Choice label="Odds of" choices={views} value={view} onChange={setView} />
        <PlanQuality plan={plan} />
        <Box flex="1" />
        {failure && (
          <Box role="alert" color="risk">
            Run {newest?.number}: {failure}
          </Box>
        )}
        {shown && !running && <RunPicker runs={all} value={shown.id} onChange={setPicked} />}
        <RunControl project={plan.project.id} running={running} />
      </StageRow>
      {shown && <StaleBand run={shown} revision={plan.project.revision} />}
      <Flex flex="1" minHeight="0" position="relative">
        {runs.isPending && <Notice>Reading the recorded runs…</Notice>}
        {runs.isError && (
          <Notice alert retry={() => void runs.refetch()}>
            The recorded runs cannot be shown: {runs.error.message}
          </Notice>
        )}
        {runs.data && !shown && <NoRunYet running={running !== undefined} />}
        {shown && (
          <Box
            flex="1"
            minW="0"
            opacity={shown.revision === plan.project.revision ? 1 : 0.55}
            data-stale={shown.revision !== plan.project.revision}
          >
            {view === "drives" ? (
              <CriticalityTable run={shown.id} />
            ) : (
              <QuantityOdds run={shown.id} name={view} currency={plan.project.currency} key={view} />
            )}
          </Box>
        )}
      </Flex>
    </Box>
  );
}
