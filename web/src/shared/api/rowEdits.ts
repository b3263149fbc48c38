import { useMemo } from "react";
import { type BranchEdit, http, type RowEdit, type RowMove } from "./client";
import { useEdit } from "./edits";

/** The ways to change rows of the plan. */
export function useRowEdits(project: string) {
  const edit = useEdit(project);
  return useMemo(
    () => ({
      rows: (body: RowEdit[]) =>
        edit((seen) => http.PATCH("/api/projects/{id}/rows", { ...seen, body: body as never }), {
          ofRows: true,
        }),
      branches: (body: BranchEdit[]) =>
        edit((seen) => http.PATCH("/api/projects/{id}/branches", { ...seen, body })),
      move: (body: RowMove) => edit((seen) => http.POST("/api/projects/{id}/rows/move", { ...seen, body })),
      /** @param join what came before the rows leads to what came after them */
      remove: (rows: string[], join = false) =>
        edit((seen) => http.POST("/api/projects/{id}/rows/remove", { ...seen, body: { rows, join } })),
    }),
    [edit],
  );
}

export type RowEdits = ReturnType<typeof useRowEdits>;
