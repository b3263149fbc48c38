import type { PlanView, RiskView } from "../api/client";

/** Risks that a row of the plan is hit by itself, or as part of what lies above it. */
export function hitting(plan: PlanView, risks: readonly RiskView[], row: string): RiskView[] {
  const parents = new Map(plan.branches.map((branch) => [branch.id, branch.parent]));
  const chain = new Set([row, "project"]);
  let at = plan.activities.find((one) => one.id === row)?.wbs ?? parents.get(row);
  while (at) {
    chain.add(at);
    at = parents.get(at);
  }
  return risks.filter((risk) => risk.effects.some((effect) => effect.on.some((on) => chain.has(on))));
}
