import { useState } from "react";
import { type ActivityEdit, ApiError } from "../api/client";
import { useEditActivities } from "../api/plan";
import type { Column } from "./columns";
import type { Place } from "./gridStore";
import type { Row } from "./rows";

export interface Editing extends Place {
  text: string;
  refusal?: string;
}

/** The cell being edited, and the way of edits to the server. What is refused stays open with the reason. */
export function useGridEditing(project: string) {
  const [editing, setEditing] = useState<Editing>();
  const [refusal, setRefusal] = useState<string>();
  const { mutateAsync } = useEditActivities(project);

  const send = async (edits: ActivityEdit[]): Promise<string | undefined> => {
    if (edits.length === 0) return undefined;
    try {
      await mutateAsync(edits);
      return undefined;
    } catch (error) {
      return error instanceof ApiError ? reason(error, edits) : "The edit could not be sent.";
    }
  };

  const start = (row: Row, column: Column, typed?: string) => {
    setRefusal(undefined);
    if (row.kind !== "activity" || !column.edit) return;
    const text = column.edit.start(row.activity);
    if (text !== undefined) setEditing({ row: row.id, column: column.id, text: typed ?? text });
  };

  /** Sends the text of the open cell; tells whether it was accepted. */
  const commit = async (row: Row, column: Column, text: string): Promise<boolean> => {
    if (row.kind !== "activity" || !column.edit) return false;
    if (text === column.edit.start(row.activity)) {
      setEditing(undefined);
      return true;
    }
    const typed = column.edit.typed(row.activity, text);
    const refused = "refusal" in typed ? typed.refusal : await send([typed.edit]);
    setEditing(
      refused === undefined ? undefined : { row: row.id, column: column.id, text, refusal: refused },
    );
    return refused === undefined;
  };

  /** Sends a whole block; what is refused is told beside the grid, and nothing of the block is kept. */
  const sendBlock = async (edits: ActivityEdit[] | { refusal: string }) => {
    const refused = "refusal" in edits ? edits.refusal : await send(edits);
    setRefusal(refused && `Nothing was changed. ${refused}`);
  };

  return {
    editing,
    refusal,
    start,
    commit,
    sendBlock,
    cancel: () => setEditing(undefined),
    dismiss: () => setRefusal(undefined),
  };
}

function reason(error: ApiError, edits: ActivityEdit[]): string {
  const first = error.problems[0];
  if (!first) return error.message;
  const index = Number(/^\/(\d+)/.exec(first.pointer)?.[1] ?? 0);
  const sentence = first.message.charAt(0).toUpperCase() + first.message.slice(1);
  return edits.length > 1 ? `${edits[index]?.id}: ${sentence}.` : `${sentence}.`;
}
