import { type FindingView, http } from "../api/client";
import { useEdit } from "../api/edits";

/** What can be done about findings of a check. */
export function useCheckEdits(project: string) {
  const edit = useEdit(project);
  return {
    fix: (check: string, on: string[]) =>
      edit((seen) => http.POST("/api/projects/{id}/check/fix", { ...seen, body: { check, on } })),
    /** Findings said to be no fault, or, without a reason, to be one again. */
    accept: (check: string, found: readonly Pick<FindingView, "on" | "message">[], reason?: string) => {
      const body = {
        check,
        on: found.map((one) => one.on),
        findings: found.map((one) => one.message),
        reason,
      };
      return edit((seen) => http.POST("/api/projects/{id}/check/accept", { ...seen, body }));
    },
  };
}
