import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { answer, http } from "./client";
import { useEdit } from "./edits";

/** What the last recorded runs said; the mark says how many there are. */
export function useDrift(project: string, mark: string) {
  return useQuery({
    queryKey: ["drift", project, mark],
    queryFn: () => answer(http.GET("/api/projects/{id}/drift", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

/** What moved a percentile from the plan of one simulation to that of another, a kind of change after the other. */
export function usePlanChanges(run: string, from: string, level?: number) {
  return useQuery({
    queryKey: ["changes", run, from, level],
    queryFn: async () => ({
      ...(await answer(
        http.GET("/api/runs/{run}/drivers/changes", { params: { path: { run }, query: { from, level } } }),
      )),
      run,
    }),
    enabled: from !== "" && run !== "",
    staleTime: Infinity,
    retry: false,
    placeholderData: keepPreviousData,
  });
}

/** What was changed from one recorded run to another, or to the plan as of a revision. */
export function useSince(
  project: string,
  from: string | undefined,
  to: string | undefined,
  revision: number,
) {
  return useQuery({
    queryKey: ["since", project, from, to ?? revision],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/since", {
          params: { path: { id: project }, query: { from: from ?? "", ...(to && { to }) } },
        }),
      ),
    enabled: from !== undefined,
  });
}

/** Where what really happened fell in the ranges given for it. */
export function useRecord(project: string, revision: number) {
  return useQuery({
    queryKey: ["record", project, revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/record", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

/** A grade made wider, as a scenario. */
export function useWiden(project: string) {
  const edit = useEdit(project);
  return useMemo(
    () => (grade: string, scenario: string, name: string) =>
      edit((seen) =>
        http.POST("/api/projects/{id}/record/widen", { ...seen, body: { grade, scenario, name } }),
      ),
    [edit],
  );
}
