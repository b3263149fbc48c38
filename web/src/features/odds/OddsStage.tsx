import { Box, Flex } from "@chakra-ui/react";
import { History } from "lucide-react";
import { useState } from "react";
import { useRuns } from "../../shared/api/runs";
import { Choice } from "../../shared/ui/Choice";
import { Notice } from "../../shared/ui/Notice";
import { PlanQuality } from "../../shared/ui/PlanQuality";
import { StageRow } from "../../shared/ui/StageRow";
import { ToolButton } from "../../shared/ui/ToolButton";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { CriticalityTable } from "./CriticalityTable";
import { FutureReplay } from "./FutureReplay";
import { JointOdds } from "./JointOdds";
import { NoRunYet } from "./NoRunYet";
import type { QuantityName } from "./quantity";
import { QuantityOdds } from "./QuantityOdds";
import { RunControl } from "./RunControl";
import { RunsDialog } from "./RunsDialog";
import { hasResults, RunPicker } from "./RunPicker";
import { StaleBand } from "./StaleBand";
import type { Which } from "./useOdds";

type View = QuantityName | "joint" | "drives" | "future";

const VIEWS: { value: View; label: string }[] = [
  { value: "finish", label: "Finish" },
  { value: "cost", label: "Cost" },
  { value: "joint", label: "Time and money" },
  { value: "drives", label: "What drives it" },
  { value: "future", label: "One future" },
];
const OF_MONEY: View[] = ["cost", "joint"];

/** What the recorded runs say: how sure a date or an amount is, and which activities make it so. */
export function OddsStage() {
  const plan = usePlanOfStage();
  const runs = useRuns(plan.project.id);
  const [view, setView] = useState<View>("finish");
  const [which, setWhich] = useState<Which>({ by: "chance", chance: 80 });
  const [listed, setListed] = useState(false);
  const [picked, setPicked] = useState<string>();
  const all = runs.data ?? [];
  const running = all.find((run) => run.state === "running");
  const shown = all.find((run) => run.id === picked && hasResults(run)) ?? all.find(hasResults);
  const views = plan.plannedCost === 0 ? VIEWS.filter((choice) => !OF_MONEY.includes(choice.value)) : VIEWS;
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
        {shown && !running && (
          <Flex align="center">
            <RunPicker runs={all} value={shown.id} onChange={setPicked} />
            <ToolButton
              label="Recorded runs"
              hint="All recorded runs: names, notes, what changed since"
              onClick={() => setListed(true)}
            >
              <History size={16} />
            </ToolButton>
          </Flex>
        )}
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
            {view === "drives" && <CriticalityTable run={shown.id} />}
            {view === "future" && (
              <FutureReplay
                run={shown.id}
                currency={plan.project.currency}
                which={which}
                onWhich={setWhich}
                key={shown.id}
              />
            )}
            {view === "joint" && (
              <JointOdds
                run={shown.id}
                currency={plan.project.currency}
                onFuture={(number) => {
                  setWhich({ by: "number", number });
                  setView("future");
                }}
                key={shown.id}
              />
            )}
            {(view === "finish" || view === "cost") && (
              <QuantityOdds run={shown.id} name={view} currency={plan.project.currency} key={view} />
            )}
          </Box>
        )}
      </Flex>
      {listed && (
        <RunsDialog
          plan={plan}
          runs={all}
          shown={shown?.id}
          onOpen={(run) => {
            setPicked(run);
            setListed(false);
          }}
          onClose={() => setListed(false)}
        />
      )}
    </Box>
  );
}
