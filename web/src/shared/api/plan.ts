import { type QueryClient, useQuery } from "@tanstack/react-query";
import { type PlanView, answer, http } from "./client";

export const planKey = (project: string) => ["plan", project];

/** The plan as it was read, unless what is known by then is newer: an answer that was long on its way changes nothing. */
export async function newest(
  read: () => Promise<PlanView>,
  known: () => PlanView | undefined,
): Promise<PlanView> {
  const answer = await read();
  const here = known();
  return here && here.project.revision > answer.project.revision ? here : answer;
}

export function usePlan(project: string) {
  return useQuery({
    queryKey: planKey(project),
    enabled: project !== "",
    queryFn: ({ client }) =>
      newest(
        () => answer(http.GET("/api/projects/{id}/plan", { params: { path: { id: project } } })),
        () => client.getQueryData<PlanView>(planKey(project)),
      ),
    // Edits are merged row by row; comparing thousands of rows once more would only take time.
    structuralSharing: false,
  });
}

/** What hangs together with an activity, as of a revision of the plan. */
export function useActivitySheet(project: string, activity: string, revision: number) {
  return useQuery({
    queryKey: ["sheet", project, activity, revision],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/activities/{activity}", { params: { path: { id: project, activity } } }),
      ),
    placeholderData: (last, query) => (query?.queryKey[2] === activity ? last : undefined),
  });
}

/** Whether the plan is fit to be simulated, as of a revision. */
export function useCheck(project: string, revision: number) {
  return useQuery({
    queryKey: ["check", project, revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/check", { params: { path: { id: project } } })),
    placeholderData: (last) => last,
  });
}

/** Somebody has edited scenarios and nothing of the plan itself: it is the same at the next revision. */
export function takeRevision(client: QueryClient, project: string, revision: number) {
  client.setQueryData<PlanView>(planKey(project), (plan) =>
    plan?.project.revision === revision - 1 ? { ...plan, project: { ...plan.project, revision } } : plan,
  );
}

/** Reads the plan again if it is older than a revision that is known to exist. */
export function refreshPlan(client: QueryClient, project: string, revision: number) {
  const known = client.getQueryData<PlanView>(planKey(project))?.project.revision ?? 0;
  if (known < revision && client.isMutating() === 0)
    void client.invalidateQueries({ queryKey: planKey(project) });
}
