import type { EditResult, PlanView } from "../../shared/api/client";
import { useGridStore } from "../../shared/grid/gridStore";

/** Goes to the cost line that an edit of a plan has added. */
export function goToFreshLine(before: PlanView, result: EditResult) {
  const known = new Set(before.costs.map((cost) => cost.id));
  const fresh = result.parts.costs?.find((cost) => !known.has(cost.id));
  if (fresh) useGridStore.getState().select(before.project.id, { row: fresh.id, column: "name" });
}
