import { keepPreviousData, type QueryClient, useQuery } from "@tanstack/react-query";
import { answer, type EffectsView, http } from "./client";

const ASK_AGAIN_MS = 2000;
const effectsKey = (project: string) => ["risk effects", project];

/** The register, as of a revision of the plan. */
export function useRisks(project: string, revision: number) {
  return useQuery({
    queryKey: ["risks", project, revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/risks", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

/** What each risk moves, as far as it is worked out, and whether that is of the plan as it is seen here. */
export function useRiskEffects(project: string, revision: number) {
  const query = useQuery({
    queryKey: effectsKey(project),
    queryFn: () =>
      answer(http.GET("/api/projects/{id}/risks/effects", { params: { path: { id: project } } })),
    // The event stream tells of more; asking begins the work for a newer plan.
    refetchInterval: ({ state }) =>
      state.data && state.data.revision >= revision && state.data.state !== "working" ? false : ASK_AGAIN_MS,
  });
  const view = query.data;
  return { view, current: view !== undefined && view.revision >= revision, error: query.error };
}

/** Takes over effects that the server tells of; older ones never replace newer. */
export function takeRiskEffects(client: QueryClient, project: string, view: EffectsView) {
  client.setQueryData<EffectsView>(effectsKey(project), (known) =>
    known && (known.revision > view.revision || isFurther(known, view)) ? known : view,
  );
}

const isFurther = (known: EffectsView, view: EffectsView) =>
  known.revision === view.revision && known.iterations > view.iterations;
