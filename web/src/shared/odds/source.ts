import { useSearchParams } from "react-router";
import type { LiveView, PlanView, ProjectView, RunView } from "../api/client";
import { useLiveOdds } from "../api/live";
import { formatMoment } from "../format/dates";
import { formatWhole } from "../format/numbers";

/** Whose odds are looked at: the live ones, or those of a recorded run. */
export interface Source {
  /** The recorded run; none for the live odds. */
  run?: RunView;
  /** The key its odds are read with; none while there are none. */
  key?: string;
  /** Whether they are of the plan as it is. */
  current: boolean;
  /** Why there are none. */
  refusal?: string;
}

export const LIVE = "live";

/** Results are kept of every run that has simulated something and is not at work now. */
export const hasResults = (run: RunView) => run.state !== "running" && run.done > 0;

/** Whether a run ended before it was through, so that it can go on. */
export const isCutShort = (run: RunView) => run.state === "stopped" || run.state === "interrupted";

/** The source that the address names; the live odds where it names none, or one that is gone. */
export function useSource(plan: PlanView, runs: RunView[]) {
  const [address, setAddress] = useSearchParams();
  const live = useLiveOdds(plan.project.id, plan.project.revision);
  const named = address.get("run");
  const run = runs.find((one) => one.id === named && (hasResults(one) || one.state === "running"));
  const choose = (id: string) =>
    setAddress(
      (before) => {
        const next = new URLSearchParams(before);
        if (id === LIVE) next.delete("run");
        else next.set("run", id);
        return next;
      },
      { replace: true },
    );
  return { source: run ? ofRun(plan, run) : ofLive(plan, live.view, live.current), choose };
}

/** Whether nothing that is simulated was changed since a run; scenarios may have been. */
export const isOfPlan = (run: RunView, project: ProjectView) => run.revision >= project.inputsRevision;

export const ofRun = (plan: PlanView, run: RunView): Source => ({
  run,
  key: hasResults(run) ? run.id : undefined,
  current: isOfPlan(run, plan.project),
});

/** The simulation behind live odds follows them: until they are refined it is of an older plan. */
export const ofLive = (plan: PlanView, view: LiveView | undefined, current: boolean): Source => ({
  key: view?.run,
  current: current && (view?.runRevision ?? -1) >= plan.project.revision,
  refusal: current && view?.state === "refused" ? view.refusal : undefined,
});

const STATES: Record<string, string> = {
  running: "at work",
  stopped: "stopped early",
  interrupted: "interrupted",
  failed: "failed",
};

/** "Run 3, for the board · 23 Nov, 17:18 · 10,000 futures · seed 4711". */
export function runWords(run: RunView): string {
  const parts = [
    `Run ${run.number}${run.name ? `, ${run.name}` : ""}`,
    formatMoment(run.startedAt),
    `${formatWhole(run.done)} futures`,
    `seed ${run.seed}`,
    STATES[run.state],
  ];
  return parts.filter(Boolean).join(" · ");
}
