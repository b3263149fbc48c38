import { Box, chakra } from "@chakra-ui/react";
import { useCallback } from "react";
import { Link, useNavigate } from "react-router";
import type { RunView } from "../../shared/api/client";
import { useRuns } from "../../shared/api/runs";
import { Stage } from "../../shared/stage/Stage";
import { LIVE, useSource } from "../../shared/odds/source";
import { LIVE_CHOICE, SourcePicker } from "../../shared/odds/SourcePicker";
import { StaleBand } from "../../shared/odds/StaleBand";
import { subjectOf, useOddsStore } from "../../shared/odds/oddsStore";
import type { QuantityName, Subject } from "../../shared/odds/subject";
import { useSubjectOfAddress } from "../../shared/odds/useSubjectOfAddress";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { CriticalityView } from "./CriticalityView";
import { useLook, type View } from "./driversStore";
import { goalOf } from "./goal";
import { GoalTools } from "./GoalTools";
import { LateView } from "./LateView";
import { MovesView, type ViewProps } from "./MovesView";
import { PathsView } from "./PathsView";
import { ScatterView } from "./ScatterView";
import { SpareView } from "./SpareView";
import { StaircaseView } from "./StaircaseView";

const PlanLink = chakra(Link);

const VIEWS: { value: View; label: string }[] = [
  { value: "moves", label: "What moves it" },
  { value: "paths", label: "Paths" },
  { value: "staircase", label: "Staircase" },
  { value: "criticality", label: "Criticality" },
  { value: "late", label: "Late futures" },
  { value: "scatter", label: "Scatter" },
  { value: "spare", label: "Too much time" },
];

const ALL: readonly QuantityName[] = ["finish", "cost", "duration", "start"];
const NONE: readonly QuantityName[] = [];

/** Which quantities each view can be asked of; where it is dates alone, there is nothing to choose. */
const ASKED: Record<View, readonly QuantityName[]> = {
  moves: ALL,
  staircase: ALL,
  late: ALL,
  scatter: NONE,
  paths: NONE,
  criticality: NONE,
  spare: NONE,
};

/** What makes the date and the cost uncertain, in days and in money, by the live odds or a recorded run. */
export function DriversStage() {
  const plan = usePlanOfStage();
  const { id } = plan.project;
  useSubjectOfAddress(id);
  const runs = useRuns(id).data ?? [];
  const { source, choose } = useSource(plan, runs);
  const look = useLook(id);
  const navigate = useNavigate();
  const chosen = useOddsStore((state) => subjectOf(state, id));
  const subject: Subject = ASKED[look.view].length > 0 ? chosen : { what: "finish", of: chosen.of };
  const goal = goalOf(plan, subject, look.level);
  const recorded = source.run?.id;
  const onFuture = useCallback(
    (number: number) => {
      const address = new URLSearchParams({ future: String(number), ...(recorded && { run: recorded }) });
      void navigate(`/projects/${id}/odds?${address.toString()}`);
    },
    [navigate, id, recorded],
  );
  const isAsked = look.view !== "scatter" && look.view !== "spare";
  return (
    <Stage
      name="Drivers"
      views={{
        label: "View of the drivers",
        choices: VIEWS,
        value: look.view,
        onChange: (view) => look.set({ view }),
      }}
      tools={
        <>
          {isAsked && <GoalTools plan={plan} subject={subject} quantities={ASKED[look.view]} />}
          <SourcePicker
            label="Drivers by"
            width="8rem"
            runs={runs}
            value={source.run?.id ?? LIVE}
            first={[LIVE_CHOICE]}
            onChange={choose}
          />
        </>
      }
      band={source.run && <StaleBand run={source.run} project={plan.project} />}
    >
      {source.key ? (
        <Box height="100%" {...fading(!source.current)} data-stale={!source.current}>
          <Shown plan={plan} run={source.key} runs={runs} goal={goal} look={look} onFuture={onFuture} />
        </Box>
      ) : source.refusal ? (
        <Notice alert>
          The plan cannot be simulated: {source.refusal}.{" "}
          <PlanLink color="action" to={`/projects/${id}/plan?check`}>
            Look at the plan check
          </PlanLink>
        </Notice>
      ) : (
        <Notice>Simulating the plan…</Notice>
      )}
    </Stage>
  );
}

/** The view that was chosen. */
function Shown(props: ViewProps & { runs: RunView[] }) {
  const { runs, ...view } = props;
  switch (props.look.view) {
    case "moves":
      return <MovesView {...view} />;
    case "paths":
      return <PathsView {...view} />;
    case "staircase":
      return <StaircaseView {...view} runs={runs} />;
    case "criticality":
      return <CriticalityView {...view} />;
    case "late":
      return <LateView {...view} />;
    case "scatter":
      return <ScatterView {...view} />;
    case "spare":
      return <SpareView {...view} />;
  }
}
