import type { ActivityView, PlanView } from "../shared/api/client";

/** A plan for tests with as much as registers look at: a branch, activities in it, a cost line on one. */
export function aPlan(activities: readonly string[] = ["A10", "A20"]): PlanView {
  const activity = (id: string) => ({ id, wbs: "S", name: `Work ${id}`, kind: "task" }) as ActivityView;
  return {
    project: {
      id: "p",
      code: "p",
      name: "Plan",
      currency: "EUR",
      start: "2027-03-01T08:00:00",
      confidence: 80,
      revision: 1,
      inputsRevision: 1,
    },
    finish: "2028-03-01T17:00:00",
    plannedCost: 100_000,
    branches: [{ id: "S", code: "1", name: "Site" }],
    activities: activities.map(activity),
    links: [],
    calendars: [],
    grades: [],
    costs: [{ id: "K1", on: "A10", name: "Crane", amount: 1000 }],
    correlations: [],
    evidence: [],
    resources: [],
    assignments: [],
    escalation: [],
    funding: [],
    figures: [],
  } as unknown as PlanView;
}
