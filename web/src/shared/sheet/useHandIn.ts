import { refusalOf } from "../api/edits";
import { useRowEdits } from "../api/rowEdits";
import type { RowEdit, EditResult } from "../api/client";

/** Sends an edit out of a sheet; answers with the reason where it is refused. */
export async function handedIn(change: () => Promise<EditResult>): Promise<string | undefined> {
  try {
    await change();
    return undefined;
  } catch (error) {
    return refusalOf(error);
  }
}

/** The way to change one activity field by field; null takes away what can be absent. */
export function useActivityHandIn(project: string, id: string) {
  const edits = useRowEdits(project);
  return (fields: Omit<RowEdit, "id">) => handedIn(() => edits.rows([{ ...fields, id }]));
}
