import { keepPreviousData, useQuery } from "@tanstack/react-query";
import {
  api,
  type CheckView,
  type CorrelationEffect,
  type CorrelationView,
  type EstimateWords,
  type EvidenceLook,
  type GradeView,
  type MatrixLook,
  type RangeEffect,
  type RangeLook,
  type RangePreview,
} from "./client";

const rangePath = (project: string, row: string) => `/projects/${project}/ranges/${encodeURIComponent(row)}`;

/** What an estimate that is not kept yet would say of a row, as of a revision of the plan. */
export function useRangeLook(project: string, row: string, estimate: EstimateWords, revision: number) {
  return useQuery({
    queryKey: ["range look", project, row, revision, estimate],
    queryFn: () => api<RangeLook>(`${rangePath(project, row)}/look`, { method: "POST", body: estimate }),
    placeholderData: keepPreviousData,
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
    queryFn: () => api<RangeEffect>(`${rangePath(project, row)}/effect`, { method: "POST", body: estimate }),
    enabled: estimate !== undefined,
    retry: false,
  });
}

export function useRangeCheck(project: string, revision: number) {
  return useQuery({
    queryKey: ["range check", project, revision],
    queryFn: () => api<CheckView>(`/projects/${project}/check/ranges`),
    placeholderData: keepPreviousData,
  });
}

export const starterGrades = () => api<GradeView[]>("/grades/starter");

/** Past work with the shapes that fit it: a pasted text, or a file. */
export const lookAtEvidence = (table: Blob) =>
  api<EvidenceLook>("/evidence/look", {
    method: "POST",
    body: table,
    contentType: /sheet|zip/.test(table.type) ? SHEET : "text/csv",
  });

const SHEET = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

export const lookAtCorrelation = (correlation: CorrelationView) =>
  api<MatrixLook>("/correlations/look", { method: "POST", body: correlationWords(correlation) });

/** A correlation in the words of the project file, which has either one coefficient or a matrix. */
export function correlationWords({ id, name, members, coefficient, matrix }: CorrelationView) {
  return { id, name, members, ...(matrix.length > 0 ? { matrix } : { coefficient }) };
}

export function useCorrelatedPoints(coefficient: number) {
  return useQuery({
    queryKey: ["correlated points", coefficient],
    queryFn: () => api<number[][]>(`/correlations/points?coefficient=${coefficient}`),
    enabled: Math.abs(coefficient) <= 1,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
}

/** The odds with and without correlation, as of a revision of the plan. */
export function useCorrelationEffect(project: string, revision: number) {
  return useQuery({
    queryKey: ["correlation effect", project, revision],
    queryFn: () => api<CorrelationEffect>(`/projects/${project}/correlations/effect`),
    retry: false,
  });
}

export function previewRanges(project: string, file: File) {
  const body = new FormData();
  body.append("file", file);
  return api<RangePreview>(`/projects/${project}/ranges/file/preview`, { method: "POST", body });
}
