import { type QueryClient, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ActivityEdit, api, ApiError, type EditResult, type PlanView } from "./client";

/** The plan was changed meanwhile by somebody else. */
const CONFLICT = 409;

export const planKey = (project: string) => ["plan", project];

export function usePlan(project: string) {
  return useQuery({ queryKey: planKey(project), queryFn: () => api<PlanView>(`/projects/${project}/plan`) });
}

/** Edits activities, one request after the other, each on the plan as the one before left it. */
export function useEditActivities(project: string) {
  const client = useQueryClient();
  return useMutation({
    scope: { id: `edit-${project}` },
    mutationFn: (edits: ActivityEdit[]) =>
      api<EditResult>(`/projects/${project}/activities`, {
        method: "PATCH",
        body: edits,
        ifMatch: client.getQueryData<PlanView>(planKey(project))?.project.revision,
      }),
    onSuccess: (result) =>
      client.setQueryData<PlanView>(planKey(project), (plan) => plan && merged(plan, result)),
    onError: (error) => {
      if (error instanceof ApiError && error.status === CONFLICT) {
        void client.invalidateQueries({ queryKey: planKey(project) });
      }
    },
  });
}

function merged(plan: PlanView, result: EditResult): PlanView {
  const changed = new Map(result.activities.map((activity) => [activity.id, activity]));
  return {
    ...plan,
    project: { ...plan.project, revision: result.revision },
    finish: result.finish,
    plannedCost: result.plannedCost,
    links: plan.links
      .filter((link) => !(link.to in result.predecessors))
      .concat(Object.values(result.predecessors).flat()),
    branches: result.branches,
    activities: plan.activities.map((activity) => changed.get(activity.id) ?? activity),
  };
}

/** Reads the plan again if it is older than a revision that is known to exist. */
export function refreshPlan(client: QueryClient, project: string, revision: number) {
  const known = client.getQueryData<PlanView>(planKey(project))?.project.revision ?? 0;
  if (known < revision && client.isMutating() === 0)
    void client.invalidateQueries({ queryKey: planKey(project) });
}
