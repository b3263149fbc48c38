import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answer, type FundView, http } from "./client";
import { useEdit } from "./edits";

const ASK_AGAIN_MS = 400;

export type FundGoal = "finish" | "cost" | "both";

interface Asked {
  goal: FundGoal;
  level: number;
  /** Scenarios that are options, too. */
  scenarios: string[];
}

const key = (project: string, revision: number, asked: Asked) => ["fund", project, revision, asked];

/** What to fund, as far as it is worked out; asked again while it is. */
export function useFund(project: string, revision: number, asked: Asked) {
  return useQuery({
    queryKey: key(project, revision, asked),
    queryFn: () =>
      answer(http.GET("/api/projects/{id}/fund", { params: { path: { id: project }, query: asked } })),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.state === "working" ? ASK_AGAIN_MS : false),
  });
}

export function useStopFund(project: string, revision: number, asked: Asked) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () =>
      answer(http.POST("/api/projects/{id}/fund/stop", { params: { path: { id: project }, query: asked } })),
    onSuccess: (view) => client.setQueryData<FundView>(key(project, revision, asked), view),
  });
}

/** Responses and scenarios decided on together, in one edit. */
export function useDecide(project: string) {
  const edit = useEdit(project);
  return (body: { risks: string[]; scenarios: string[] }) =>
    edit((seen) => http.POST("/api/projects/{id}/fund/decide", { ...seen, body }));
}
