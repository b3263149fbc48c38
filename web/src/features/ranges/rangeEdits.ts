import { asForm, type CorrelationWords, type FitWords, type GradeWords, http } from "../../shared/api/client";
import { useEdit } from "../../shared/api/edits";

/** The ways to change how ranges are said: grades, correlations, past work, and ranges out of a file. */
export function useRangeEdits(project: string) {
  const edit = useEdit(project);
  return {
    grades: (body: GradeWords[]) => edit((seen) => http.PUT("/api/projects/{id}/grades", { ...seen, body })),
    correlation: (body: CorrelationWords) =>
      edit((seen) => http.PUT("/api/projects/{id}/correlations", { ...seen, body })),
    removeCorrelation: (correlation: string) =>
      edit(({ headers }) =>
        http.DELETE("/api/projects/{id}/correlations/{correlation}", {
          headers,
          params: { path: { id: project, correlation } },
        }),
      ),
    fit: (body: FitWords) => edit((seen) => http.POST("/api/projects/{id}/evidence", { ...seen, body })),
    removeEvidence: (evidence: string) =>
      edit(({ headers }) =>
        http.DELETE("/api/projects/{id}/evidence/{evidence}", {
          headers,
          params: { path: { id: project, evidence } },
        }),
      ),
    table: (file: Blob) =>
      edit((seen) => http.POST("/api/projects/{id}/ranges/file", { ...seen, ...asForm(file) })),
  };
}
