import { Box, chakra, Flex } from "@chakra-ui/react";
import { History } from "lucide-react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { PlanView, RunView } from "../../shared/api/client";
import { useLiveOdds } from "../../shared/api/live";
import { useRuns } from "../../shared/api/runs";
import { Notice } from "../../shared/ui/Notice";
import { PlanQuality } from "../../shared/ui/PlanQuality";
import { Stage } from "../../shared/stage/Stage";
import { ToolButton } from "../../shared/ui/ToolButton";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { useSubjectOfAddress } from "../../shared/odds/useSubjectOfAddress";
import { AsItMayTurnOut } from "./AsItMayTurnOut";
import { Explorer } from "./Explorer";
import { fading } from "../../shared/ui/fading";
import { FutureReplay } from "./FutureReplay";
import { JointOdds } from "./JointOdds";
import { subjectOf, useOddsStore } from "../../shared/odds/oddsStore";
import { RunControl } from "./RunControl";
import { RunInProgress } from "./RunInProgress";
import { RunsDialog } from "./RunsDialog";
import { LIVE, ofLive, ofRun, type Source, useSource } from "../../shared/odds/source";
import { LIVE_CHOICE, SourcePicker } from "../../shared/odds/SourcePicker";
import { StaleBand } from "../../shared/odds/StaleBand";
import type { Which } from "./useOdds";

const PlanLink = chakra(Link);

type View = "chance" | "timeline" | "joint" | "future";

const VIEWS: { value: View; label: string }[] = [
  { value: "chance", label: "Chance" },
  { value: "timeline", label: "As it may turn out" },
  { value: "joint", label: "Time and money" },
  { value: "future", label: "One future" },
];

/** How sure a date or an amount is, by the live odds or a recorded run, and what makes it so. */
export function OddsStage() {
  const plan = usePlanOfStage();
  useSubjectOfAddress(plan.project.id);
  const runs = useRuns(plan.project.id);
  const all = runs.data ?? [];
  const { source, choose } = useSource(plan, all);
  const [address] = useSearchParams();
  const asked = Number(address.get("future"));
  const [view, setView] = useState<View>(
    asked > 0 ? "future" : address.get("view") === "joint" ? "joint" : "chance",
  );
  const [listed, setListed] = useState(false);
  const [compared, setCompared] = useState("");
  const running = all.find((run) => run.state === "running");
  const views = plan.plannedCost === 0 ? VIEWS.filter((choice) => choice.value !== "joint") : VIEWS;
  const atWork = source.run?.state === "running" ? source.run : undefined;

  return (
    <Stage
      name="Odds"
      views={{ label: "View of the odds", choices: views, value: view, onChange: setView }}
      commands={[{ id: "runs", label: "Recorded runs", run: () => setListed(true) }]}
      tools={
        <>
          {!running && <PlanQuality plan={plan} />}
          <Failure runs={all} />
          <Flex align="center">
            <SourcePicker
              label="Odds by"
              width="13.5rem"
              runs={all}
              value={source.run?.id ?? LIVE}
              first={[LIVE_CHOICE]}
              onChange={choose}
            />
            <ToolButton
              label="Recorded runs"
              hint="All recorded runs: names, notes, what changed since"
              onClick={() => setListed(true)}
            >
              <History size={16} />
            </ToolButton>
          </Flex>
          <RunControl plan={plan} running={running} onStarted={(run) => choose(run.id)} />
        </>
      }
      band={source.run && !atWork && <StaleBand run={source.run} project={plan.project} />}
      over={
        listed && (
          <RunsDialog
            plan={plan}
            runs={all}
            shown={source.run?.id}
            onOpen={(run) => {
              choose(run);
              setListed(false);
            }}
            onCompare={(run) => {
              setCompared(run);
              setView("chance");
              setListed(false);
            }}
            onClose={() => setListed(false)}
          />
        )
      }
    >
      {atWork ? (
        <RunInProgress plan={plan} run={atWork} />
      ) : source.key ? (
        <Shown
          plan={plan}
          runs={all}
          source={source}
          run={source.key}
          view={view}
          future={asked > 0 ? asked : undefined}
          onView={setView}
          compared={compared === (source.run?.id ?? LIVE) ? "" : compared}
          onCompare={setCompared}
        />
      ) : source.refusal ? (
        <Notice alert>
          The plan cannot be simulated: {source.refusal}.{" "}
          <PlanLink color="action" to={`/projects/${plan.project.id}/plan?check`}>
            Look at the plan check
          </PlanLink>
        </Notice>
      ) : (
        <Notice>Simulating the plan…</Notice>
      )}
      {runs.isError && (
        <Notice alert retry={() => void runs.refetch()}>
          The recorded runs cannot be shown: {runs.error.message}
        </Notice>
      )}
    </Stage>
  );
}

/** Why the newest run failed, where it did. */
function Failure({ runs: [newest] }: { runs: RunView[] }) {
  if (!newest?.failure) return null;
  return (
    <Box role="alert" color="risk" truncate maxW="22rem" title={newest.failure}>
      Run {newest.number}: {newest.failure}
    </Box>
  );
}

interface ShownProps {
  plan: PlanView;
  runs: RunView[];
  source: Source;
  run: string;
  view: View;
  /** The future that is looked into first. */
  future?: number;
  onView: (view: View) => void;
  compared: string;
  onCompare: (source: string) => void;
}

/** What a source says, in the view that was chosen; paler while it is not of the plan as it is. */
function Shown({ plan, runs, source, run, view, future, onView, compared, onCompare }: ShownProps) {
  const [which, setWhich] = useState<Which>(
    future === undefined
      ? { by: "chance", chance: plan.project.confidence }
      : { by: "number", number: future },
  );
  const subject = useOddsStore((state) => subjectOf(state, plan.project.id));
  const live = useLiveOdds(plan.project.id, plan.project.revision);
  const other = runs.find((one) => one.id === compared);
  const { currency } = plan.project;
  const lookAt = (of: string) => {
    useOddsStore.getState().look(plan.project.id, { what: "finish", of });
    onView("chance");
  };
  return (
    <Box height="100%" {...fading(!source.current)} data-stale={!source.current}>
      {view === "chance" && (
        <Explorer
          key={`${subject.what} ${subject.of}`}
          plan={plan}
          runs={runs}
          source={source}
          run={run}
          compared={compared}
          beside={other ? ofRun(plan, other) : ofLive(plan, live.view, live.current)}
          onCompare={onCompare}
        />
      )}
      {view === "timeline" && <AsItMayTurnOut plan={plan} run={run} current={source.current} />}
      {view === "joint" && (
        <JointOdds
          run={run}
          currency={currency}
          onFuture={(number) => {
            setWhich({ by: "number", number });
            onView("future");
          }}
        />
      )}
      {view === "future" && (
        <FutureReplay run={run} currency={currency} which={which} onWhich={setWhich} onOdds={lookAt} />
      )}
    </Box>
  );
}
