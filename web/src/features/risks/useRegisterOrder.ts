import { useEffect, useMemo, useState } from "react";
import type { PlanView, RiskView } from "../../shared/api/client";
import { useGridStore } from "../../shared/grid/gridStore";
import { hitBy } from "./assign";
import type { RegisterRow } from "./register";

/** Brings the first row that the selected risk strikes into view, unless rows are being chosen there. */
export function useShownHits(plan: PlanView, selected: RiskView | undefined, withPlan: boolean) {
  const hit = hitBy(plan, selected);
  const first = [...plan.branches, ...plan.activities].find((row) => hit.has(row.id))?.id;
  const project = plan.project.id;
  const risk = selected?.id;
  useEffect(() => {
    const { views, select } = useGridStore.getState();
    const choosing = (views[project]?.picked.size ?? 0) > 0;
    if (withPlan && risk && first && !choosing) select(project, { row: first, column: "name" });
  }, [withPlan, risk, first, project]);
}

/** The rows with their newest content, in the order that they had before a cell was opened or something was taken up, so that none runs away. */
export function useHeldOrder(rows: RegisterRow[], hold: boolean): RegisterRow[] {
  const [before, setBefore] = useState(rows);
  if (!hold && before !== rows) setBefore(rows);
  return useMemo(() => {
    if (!hold) return rows;
    const places = new Map(before.map(({ id }, i) => [id, i]));
    const place = ({ id }: RegisterRow) => places.get(id) ?? places.size;
    return [...rows].sort((a, b) => place(a) - place(b));
  }, [rows, before, hold]);
}
