import { useCallback } from "react";
import { http, type SettingsWords } from "./client";
import { useEdit } from "./edits";

/** The way to change what holds for the project as a whole. */
export function useSettingsEdit(project: string) {
  const edit = useEdit(project);
  return useCallback(
    (body: SettingsWords) =>
      edit((seen) => http.PATCH("/api/projects/{id}/settings", { ...seen, body: body as never })),
    [edit],
  );
}
