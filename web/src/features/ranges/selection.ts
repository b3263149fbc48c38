import type { PlanView } from "../../shared/api/client";
import { canBeUncertain } from "../../shared/range/estimates";

/** What can have a range among some rows: of a branch, everything beneath it that can. */
export function rangedBeneath(plan: PlanView, rows: readonly string[]): string[] {
  const within = new Set(rows);
  for (let more = true; more;) {
    const before = within.size;
    for (const branch of plan.branches) if (within.has(branch.parent ?? "")) within.add(branch.id);
    more = within.size > before;
  }
  const branches = new Set(plan.branches.map((branch) => branch.id));
  const activities = plan.activities.filter(
    (one) => canBeUncertain(one) && (within.has(one.id) || (branches.has(one.wbs) && within.has(one.wbs))),
  );
  const costs = plan.costs.filter((one) => rows.includes(one.id));
  return [...activities, ...costs].map((one) => one.id);
}

/** All rows that can have a range: activities, then cost lines. */
export const rangedRows = (plan: PlanView) => [...plan.activities.filter(canBeUncertain), ...plan.costs];

/** The name of an activity or cost line, by its code. */
export function nameOf(plan: PlanView, id: string): string {
  return [...plan.activities, ...plan.costs].find((one) => one.id === id)?.name ?? id;
}
