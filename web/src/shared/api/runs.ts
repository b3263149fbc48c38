import {
  keepPreviousData,
  type QueryClient,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { type RunRequest, type RunView, answer, http } from "./client";

export const runsKey = (project: string) => ["runs", project];

export function useRuns(project: string) {
  return useQuery({
    queryKey: runsKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/runs", { params: { path: { id: project } } })),
    // The event stream tells of progress; this is for when it is broken.
    refetchInterval: (query) => (query.state.data?.some((run) => run.state === "running") ? 3000 : false),
  });
}

export function useStartRun(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (request: RunRequest) =>
      answer(http.POST("/api/projects/{id}/runs", { params: { path: { id: project } }, body: request })),
    onSuccess: (run) => takeRun(client, project, run, false),
  });
}

type OfRun = { params: { path: { run: string } } };

const ACTIONS = {
  stop: (of: OfRun) => http.POST("/api/runs/{run}/stop", of),
  pause: (of: OfRun) => http.POST("/api/runs/{run}/pause", of),
  resume: (of: OfRun) => http.POST("/api/runs/{run}/resume", of),
  again: (of: OfRun) => http.POST("/api/runs/{run}/again", of),
  restore: (of: OfRun) => http.POST("/api/runs/{run}/restore", of),
};

/** What can be done to a run: to one at work, and to one that is recorded. */
export function useRunAction(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ run, action }: { run: string; action: keyof typeof ACTIONS }) =>
      answer(ACTIONS[action]({ params: { path: { run } } })),
    onSuccess: (run, { action }) => {
      takeRun(client, project, run, action === "resume");
      if (action === "restore") void client.invalidateQueries({ queryKey: runsKey(project) });
    },
  });
}

/** What a run is called, and why it was made. */
export function useCallRun(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, name, note }: Pick<RunView, "id" | "name" | "note">) =>
      answer(http.PATCH("/api/runs/{run}", { params: { path: { run: id } }, body: { name, note } })),
    onSuccess: (run) => takeRun(client, project, run, false),
  });
}

export function useDeleteRun(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (run: string) => answer(http.DELETE("/api/runs/{run}", { params: { path: { run } } })),
    onSuccess: (_, run) =>
      client.setQueryData<RunView[]>(runsKey(project), (runs = []) => runs.filter((one) => one.id !== run)),
  });
}

/** What has changed in the inputs since a run: until another run, or until the plan as of a revision. */
export function useInputChanges(run: string, until: { run: string } | { revision: number }) {
  return useQuery({
    queryKey: ["input changes", run, until],
    queryFn: () =>
      answer(
        http.GET("/api/runs/{run}/changes", {
          params: { path: { run }, query: "run" in until ? { to: until.run } : {} },
        }),
      ),
  });
}

/**
 * Takes over what is now known of a run. What the server tells comes in order; the answer to a question may be older than
 * what has been told since, and never makes a run that has ended run.
 */
export function takeRun(client: QueryClient, project: string, run: RunView, newer = true) {
  client.setQueryData<RunView[]>(runsKey(project), (runs = []) => {
    const known = runs.find((other) => other.id === run.id);
    if (!known) return [run, ...runs];
    const goesBack = !newer && run.state === "running";
    // What is told to everybody does not say whose it is.
    const told = { ...run, own: run.own ?? known.own, by: run.by ?? known.by };
    return goesBack ? runs : runs.map((other) => (other.id === run.id ? told : other));
  });
}

/** When the simulated work of a run, recorded or live, begins and ends. */
export function useSpans(run: string | undefined) {
  return useQuery({
    queryKey: ["spans", run],
    queryFn: () => answer(http.GET("/api/runs/{run}/spans", { params: { path: { run: run ?? "" } } })),
    enabled: run !== undefined,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
}
