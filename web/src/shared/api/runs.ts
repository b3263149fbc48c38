import { type QueryClient, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type InputChange, type RunRequest, type RunView, type Spans } from "./client";

const runsKey = (project: string) => ["runs", project];

export function useRuns(project: string) {
  return useQuery({
    queryKey: runsKey(project),
    queryFn: () => api<RunView[]>(`/projects/${project}/runs`),
    // The event stream tells of progress; this is for when it is broken.
    refetchInterval: (query) => (query.state.data?.some((run) => run.state === "running") ? 3000 : false),
  });
}

export function useStartRun(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (request: RunRequest) =>
      api<RunView>(`/projects/${project}/runs`, { method: "POST", body: request }),
    onSuccess: (run) => takeRun(client, project, run, false),
  });
}

/** What can be done to a run: to one at work, and to one that is recorded. */
export function useRunAction(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({
      run,
      action,
    }: {
      run: string;
      action: "stop" | "pause" | "resume" | "again" | "restore";
    }) => api<RunView>(`/runs/${run}/${action}`, { method: "POST" }),
    onSuccess: (run, { action }) => {
      takeRun(client, project, run, false);
      if (action === "restore") void client.invalidateQueries({ queryKey: runsKey(project) });
    },
  });
}

/** What a run is called, and why it was made. */
export function useCallRun(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, name, note }: Pick<RunView, "id" | "name" | "note">) =>
      api<RunView>(`/runs/${id}`, { method: "PATCH", body: { name, note } }),
    onSuccess: (run) => takeRun(client, project, run, false),
  });
}

export function useDeleteRun(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (run: string) => api<void>(`/runs/${run}`, { method: "DELETE" }),
    onSuccess: (_, run) =>
      client.setQueryData<RunView[]>(runsKey(project), (runs = []) => runs.filter((one) => one.id !== run)),
  });
}

/** What has changed in the inputs since a run, as of a revision of the plan. */
export function useInputChanges(run: string, revision: number) {
  return useQuery({
    queryKey: ["input changes", run, revision],
    queryFn: () => api<InputChange[]>(`/runs/${run}/changes`),
  });
}

/** Takes over what is now known of a run; a run that has ended never goes back to running. */
export function takeRun(client: QueryClient, project: string, run: RunView, newer = true) {
  client.setQueryData<RunView[]>(runsKey(project), (runs = []) => {
    const known = runs.find((other) => other.id === run.id);
    if (!known) return [run, ...runs];
    const goesBack = (known.state !== "running" || !newer) && run.state === "running";
    return goesBack ? runs : runs.map((other) => (other.id === run.id ? run : other));
  });
}

/** The last run that has results, and when its simulated work begins and ends; neither where there is none. */
export function useLastSpans(project: string) {
  const run = useRuns(project).data?.find((one) => one.state === "done" || one.state === "stopped");
  const spans = useQuery({
    queryKey: ["spans", run?.id],
    queryFn: () => api<Spans>(`/runs/${run?.id}/spans`),
    enabled: run !== undefined,
    staleTime: Infinity,
  });
  return run && spans.data ? { run, spans: spans.data } : undefined;
}
