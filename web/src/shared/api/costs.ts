import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import {
  answer,
  asForm,
  type EscalationWords,
  type FundingWords,
  type HireWords,
  http,
  type ResourceEdit,
} from "./client";
import { useEdit } from "./edits";

/** Of a simulation nothing changes any more; what was shown stays while another is read. */
const lasting = {
  staleTime: Infinity,
  gcTime: 300_000,
  retry: false,
  placeholderData: keepPreviousData,
} as const;

/** What every cost line, row and category costs in a simulation; nothing is asked while there is none. */
export function useMoneyRows(run: string | undefined) {
  return useQuery({
    ...lasting,
    queryKey: ["money rows", run],
    queryFn: () => answer(http.GET("/api/runs/{run}/costs/rows", { params: { path: { run: run ?? "" } } })),
    enabled: run !== undefined,
  });
}

export type Period = "week" | "month" | "quarter";

/** What of the money is looked at: a row or the project, or a category. */
export interface MoneyOf {
  of: string;
  category: string;
}

export function useCashFlow(run: string, period: Period, { of, category }: MoneyOf) {
  const query = { period, of, category };
  return useQuery({
    ...lasting,
    queryKey: ["cash flow", run, query],
    queryFn: () => answer(http.GET("/api/runs/{run}/costs/flow", { params: { path: { run }, query } })),
  });
}

export type GroupedBy = "branch" | "category";

export function useCostCauses(run: string | undefined, by: GroupedBy, depth: number, level?: number) {
  const query = { by, depth, level };
  return useQuery({
    ...lasting,
    queryKey: ["cost causes", run, query],
    queryFn: () =>
      answer(http.GET("/api/runs/{run}/costs/causes", { params: { path: { run: run ?? "" }, query } })),
    enabled: run !== undefined,
  });
}

export function useResourceLoad(run: string | undefined, resource: string, period: Period) {
  const query = { resource, period };
  return useQuery({
    ...lasting,
    queryKey: ["load", run, query],
    queryFn: () =>
      answer(http.GET("/api/runs/{run}/costs/load", { params: { path: { run: run ?? "" }, query } })),
    enabled: run !== undefined && resource !== "",
  });
}

/** Whether the money is worth simulating. */
export function useCostCheck(project: string, revision: number) {
  return useQuery({
    queryKey: ["cost check", project, revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/check/costs", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

/** What cost lines, resources or funding out of a table would change. */
export const previewMoney = (project: string, file: Blob, mended: string) =>
  answer(
    http.POST("/api/projects/{id}/costs/file/preview", {
      params: { path: { id: project }, query: { mended } },
      ...asForm(file),
    }),
  );

/** The ways to change money beside cost lines, which are rows. */
export function useCostEdits(project: string) {
  const edit = useEdit(project);
  return useMemo(
    () => ({
      resources: (body: ResourceEdit[]) =>
        edit((seen) => http.PATCH("/api/projects/{id}/resources", { ...seen, body: body as never })),
      removeResources: (resources: string[]) =>
        edit((seen) => http.POST("/api/projects/{id}/resources/remove", { ...seen, body: { resources } })),
      hire: (body: HireWords) => edit((seen) => http.POST("/api/projects/{id}/hire", { ...seen, body })),
      escalation: (body: EscalationWords[]) =>
        edit((seen) => http.PUT("/api/projects/{id}/escalation", { ...seen, body })),
      funding: (body: FundingWords[]) =>
        edit((seen) => http.PUT("/api/projects/{id}/funding", { ...seen, body })),
      /** Cost lines, resources or funding out of a table, with some cells typed anew. */
      table: (file: Blob, mended: string, removeGone: boolean) =>
        edit((seen) =>
          http.POST("/api/projects/{id}/costs/file", {
            ...seen,
            params: { ...seen.params, query: { mended, removeGone } },
            ...asForm(file),
          }),
        ),
    }),
    [edit],
  );
}

export type CostEdits = ReturnType<typeof useCostEdits>;
