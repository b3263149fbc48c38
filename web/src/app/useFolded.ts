import { useEffect } from "react";
import { FEW } from "../features/programme/memberPicks";
import type { PlanView } from "../shared/api/client";
import { useGridStore } from "../shared/grid/gridStore";

const folded = new Set<string>();

/** Of a programme of many projects each is a row at first, which opens. */
export function useFolded(plan: PlanView | undefined) {
  useEffect(() => {
    if (!plan?.project.programme || folded.has(plan.project.id)) return;
    folded.add(plan.project.id);
    const projects = plan.branches.filter(({ parent }) => parent === undefined).map(({ id }) => id);
    if (projects.length > FEW) useGridStore.getState().setClosed(plan.project.id, projects);
  }, [plan]);
}
