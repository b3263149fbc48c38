import { keepPreviousData, useQuery } from "@tanstack/react-query";
import {
  answer,
  asForm,
  asIs,
  type CorrelationView,
  type CorrelationWords,
  type EstimateWords,
  http,
} from "./client";

/** What an estimate that is not kept yet would say of a row, as of a revision of the plan. */
export function useRangeLook(project: string, row: string, estimate: EstimateWords, revision: number) {
  return useQuery({
    queryKey: ["range look", project, row, revision, estimate],
    queryFn: () =>
      answer(
        http.POST("/api/projects/{id}/ranges/{row}/look", {
          params: { path: { id: project, row } },
          body: estimate,
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** What the size of an effect would say. */
export function useEffectLook(size: EstimateWords) {
  return useQuery({
    queryKey: ["effect look", size],
    queryFn: () => answer(http.POST("/api/effects/look", { body: size })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
}

/** What an estimate would do to finish and cost; nothing is asked while there is none. */
export function useRangeEffect(
  project: string,
  row: string,
  estimate: EstimateWords | undefined,
  revision: number,
) {
  return useQuery({
    queryKey: ["range effect", project, row, revision, estimate],
    queryFn: () =>
      answer(
        http.POST("/api/projects/{id}/ranges/{row}/effect", {
          params: { path: { id: project, row } },
          body: estimate as EstimateWords,
        }),
      ),
    enabled: estimate !== undefined,
    retry: false,
  });
}

export function useRangeCheck(project: string, revision: number) {
  return useQuery({
    queryKey: ["range check", project, revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/check/ranges", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

export const starterGrades = () => answer(http.GET("/api/grades/starter"));

/** Past work with the shapes that fit it: a pasted text, or a file. */
export const lookAtEvidence = (table: Blob) =>
  answer(http.POST("/api/evidence/look", asIs(table, /sheet|zip/.test(table.type) ? SHEET : "text/csv")));

const SHEET = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

export const lookAtCorrelation = (correlation: CorrelationView) =>
  answer(http.POST("/api/correlations/look", { body: correlationWords(correlation) }));

/** A correlation in the words of the project file, which has either one coefficient or a matrix. */
export function correlationWords({
  id,
  name,
  members,
  coefficient,
  matrix,
}: CorrelationView): CorrelationWords {
  return { id, name, members, ...(matrix.length > 0 ? { matrix } : { coefficient }) };
}

export function useCorrelatedPoints(coefficient: number) {
  return useQuery({
    queryKey: ["correlated points", coefficient],
    queryFn: () => answer(http.GET("/api/correlations/points", { params: { query: { coefficient } } })),
    enabled: Math.abs(coefficient) <= 1,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
}

/** The odds with and without correlation, as of a revision of the plan. */
export function useCorrelationEffect(project: string, revision: number) {
  return useQuery({
    queryKey: ["correlation effect", project, revision],
    queryFn: () =>
      answer(http.GET("/api/projects/{id}/correlations/effect", { params: { path: { id: project } } })),
    retry: false,
  });
}

export function previewRanges(project: string, file: File) {
  return answer(
    http.POST("/api/projects/{id}/ranges/file/preview", {
      params: { path: { id: project } },
      ...asForm(file),
    }),
  );
}
