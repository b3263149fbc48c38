import { type QueryClient, useQuery } from "@tanstack/react-query";
import { type LiveView, answer, http } from "./client";
import { useSpans } from "./runs";

const ALL_LIVE = "live odds";
const liveKey = (project: string) => [ALL_LIVE, project];
const ASK_AGAIN_MS = 2000;

/**
 * Live odds of a project, and whether they are of the plan as it is seen here: what is older is being worked out anew.
 */
export function useLiveOdds(project: string, revision: number) {
  const query = useQuery({
    queryKey: liveKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/odds", { params: { path: { id: project } } })),
    // The event stream tells of newer ones; this is for when it is broken.
    refetchInterval: ({ state }) => (isCurrent(state.data, revision) ? false : ASK_AGAIN_MS),
  });
  return { view: query.data, current: isCurrent(query.data, revision), error: query.error };
}

const OTHERS_AGAIN_MS = 5000;

/** Live odds of a project that is looked at from elsewhere, of which no events come. */
export function useLiveOddsOf(project: string | undefined): LiveView | undefined {
  return useQuery({
    queryKey: liveKey(project ?? ""),
    queryFn: () => answer(http.GET("/api/projects/{id}/odds", { params: { path: { id: project ?? "" } } })),
    enabled: project !== undefined,
    staleTime: 0,
    refetchInterval: OTHERS_AGAIN_MS,
  }).data;
}

/** When simulated work begins and ends, by the live odds once they are refined, and whether that is of the plan as it is. */
export function useLiveSpans(project: string, revision: number) {
  const { view, current } = useLiveOdds(project, revision);
  const refined = view?.state === "live" ? undefined : view?.run;
  const spans = useSpans(refined);
  const isNewest = current && view?.state === "refined" && !spans.isPlaceholderData;
  return { spans: view?.state === "refused" ? undefined : spans.data, current: isNewest };
}

const isCurrent = (view: LiveView | undefined, revision: number) =>
  view !== undefined && view.revision >= revision && view.state !== "updating";

/** Takes over odds that the server tells of; older ones never replace newer. */
export function takeLiveOdds(client: QueryClient, project: string, view: LiveView) {
  client.setQueryData<LiveView>(liveKey(project), (known) =>
    known && known.state !== "updating" && known.revision > view.revision ? known : view,
  );
}

export const isLiveOdds = ([what]: readonly unknown[]) => what === ALL_LIVE;

/** Asks for live odds again, of whatever project is open. */
export const refreshLiveOdds = (client: QueryClient) =>
  void client.invalidateQueries({ queryKey: [ALL_LIVE] });
