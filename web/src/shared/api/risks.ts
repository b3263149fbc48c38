import { keepPreviousData, type QueryClient, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import {
  answer,
  asForm,
  type EditResult,
  type EffectsView,
  http,
  type PastWords,
  type RiskEdit,
  type SchemeView,
} from "./client";
import { useEdit } from "./edits";

const ASK_AGAIN_MS = 2000;
export const effectsKey = (project: string) => ["risk effects", project];

const register = (project: string, revision: number) => ({
  queryKey: ["risks", project, revision],
  queryFn: () => answer(http.GET("/api/projects/{id}/risks", { params: { path: { id: project } } })),
});

/** The register, as of a revision of the plan. */
export function useRegister(project: string, revision: number) {
  return useQuery({
    ...register(project, revision),
    enabled: project !== "",
    placeholderData: keepPreviousData,
  });
}

/** The ways to change the register; each is done once the register is known as it is afterwards. */
export function useRiskEdits(project: string) {
  const client = useQueryClient();
  const edit = useEdit(project);
  return useMemo(() => {
    const known = async (result: Promise<EditResult>) => {
      const { revision } = await result;
      await client.fetchQuery({ ...register(project, revision), staleTime: Infinity });
      return result;
    };
    return {
      risks: (body: RiskEdit[]) =>
        known(edit((seen) => http.PATCH("/api/projects/{id}/risks", { ...seen, body: body as never }))),
      remove: (risks: string[]) =>
        known(edit((seen) => http.POST("/api/projects/{id}/risks/remove", { ...seen, body: { risks } }))),
      scheme: (body: SchemeView) =>
        known(edit((seen) => http.PUT("/api/projects/{id}/scheme", { ...seen, body }))),
      /** A register out of a table, with some cells typed anew. */
      table: (file: Blob, mended: string, removeGone: boolean) =>
        known(
          edit((seen) =>
            http.POST("/api/projects/{id}/risks/file", {
              ...seen,
              params: { ...seen.params, query: { mended, removeGone } },
              ...asForm(file),
            }),
          ),
        ),
      removeScheme: () => known(edit((seen) => http.DELETE("/api/projects/{id}/scheme", seen))),
    };
  }, [client, edit, project]);
}

export type RiskEdits = ReturnType<typeof useRiskEdits>;

/** What was changed of a risk, newest first. */
export function useRiskHistory(project: string, risk: string, revision: number) {
  return useQuery({
    queryKey: ["risk history", project, risk, revision],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/risks/{risk}/history", { params: { path: { id: project, risk } } }),
      ),
    placeholderData: (last, query) => (query?.queryKey[2] === risk ? last : undefined),
  });
}

/** Whether the risks are worth simulating; asked anew once it is known what responses are worth. */
export function useRiskCheck(project: string, revision: number, known: boolean) {
  return useQuery({
    queryKey: ["risk check", project, revision, known],
    queryFn: () => answer(http.GET("/api/projects/{id}/check/risks", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

/** What a register out of a table would change. */
export const previewRegister = (project: string, file: Blob, mended: string) =>
  answer(
    http.POST("/api/projects/{id}/risks/file/preview", {
      params: { path: { id: project }, query: { mended } },
      ...asForm(file),
    }),
  );

/** Which losses are looked at: of a category, empty for all, with or without the money of time. */
export interface LossOf {
  category: string;
  time: boolean;
}

/** What risks cost together, as of a revision of the plan. */
export function useLosses(project: string, revision: number, of: LossOf, levels: number[]) {
  return useQuery({
    queryKey: ["losses", project, revision, of, levels],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/risks/losses", {
          params: { path: { id: project }, query: { ...of, levels } },
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** The loss at a chance in percent, or the chance of a loss. */
export function useLossReading(
  project: string,
  revision: number,
  of: LossOf,
  at: { chance: number } | { value: number },
) {
  return useQuery({
    queryKey: ["loss reading", project, revision, of, at],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/risks/losses/reading", {
          params: { path: { id: project }, query: { ...of, ...at } },
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** How the exposure falls over time; of one risk, or of all where it is empty. */
export function useExposure(project: string, revision: number, risk: string) {
  return useQuery({
    queryKey: ["exposure", project, revision, risk],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/risks/exposure", {
          params: { path: { id: project }, query: { risk } },
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** What past events say; nothing is asked while there are none. */
export function usePastLook(project: string, past: PastWords | undefined) {
  return useQuery({
    queryKey: ["past look", project, past],
    queryFn: () =>
      answer(
        http.POST("/api/projects/{id}/risks/past/look", {
          params: { path: { id: project } },
          body: past as PastWords,
        }),
      ),
    enabled: past !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** A scheme with limits that suit the project's duration and budget. */
export const scaledScheme = (project: string) =>
  answer(http.GET("/api/projects/{id}/scheme/scaled", { params: { path: { id: project } } }));

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
