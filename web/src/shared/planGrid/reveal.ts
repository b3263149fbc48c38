import type { PlanView } from "../api/client";
import { BRING_INTO_VIEW, useGridStore, viewOf } from "../grid/gridStore";

/** Selects a row of the plan and opens what it lies in, so that every grid of the plan shows it. */
export function reveal(plan: PlanView, id: string) {
  const parents = new Map(plan.branches.map((branch) => [branch.id, branch.parent]));
  const on = plan.costs.find((cost) => cost.id === id)?.on ?? id;
  const above = new Set<string>();
  let at = plan.activities.find((activity) => activity.id === on)?.wbs ?? parents.get(on);
  for (; at !== undefined && !above.has(at); at = parents.get(at)) above.add(at);
  if (on !== id && parents.has(on)) above.add(on);
  const { select, setClosed, look, scrolled } = useGridStore.getState();
  const project = plan.project.id;
  const { closed } = viewOf(useGridStore.getState(), project);
  setClosed(
    project,
    [...closed].filter((branch) => !above.has(branch)),
  );
  look(project, { text: "", filter: "", rows: undefined });
  select(project, { row: id, column: "name" });
  scrolled(project, BRING_INTO_VIEW);
}
