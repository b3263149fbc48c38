import { useState } from "react";
import { type RowEdit, ApiError, type EditResult } from "../api/client";
import { refusalOf, useEdits } from "../api/edits";
import { cellOf } from "./cells";
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
  const edits = useEdits(project);

  const start = (row: Row, column: Column, typed?: string) => {
    setRefusal(undefined);
    const text = cellOf(column, row)?.start;
    if (text !== undefined) setEditing({ row: row.id, column: column.id, text: typed ?? text });
  };

  const request = async (row: Row, column: Column, text: string): Promise<string | undefined> => {
    try {
      const typed = cellOf(column, row)?.typed(text);
      if (!typed) return undefined;
      if ("refusal" in typed) return typed.refusal;
      await edits.rows([typed.edit]);
      return undefined;
    } catch (error) {
      return refusalOf(error);
    }
  };

  /** Sends the text of the open cell; tells whether it was accepted. */
  const commit = async (row: Row, column: Column, text: string): Promise<boolean> => {
    if (text === cellOf(column, row)?.start) {
      setEditing(undefined);
      return true;
    }
    const refused = await request(row, column, text);
    setEditing(
      refused === undefined ? undefined : { row: row.id, column: column.id, text, refusal: refused },
    );
    return refused === undefined;
  };

  /** Does something to many rows; what is refused is told beside the grid, and nothing of it is kept. */
  const attempt = async (change: () => Promise<EditResult>): Promise<EditResult | undefined> => {
    setRefusal(undefined);
    try {
      return await change();
    } catch (error) {
      setRefusal(`Nothing was changed. ${refusalOf(error)}`);
      return undefined;
    }
  };

  /** Sends a whole block of edits. */
  const sendBlock = async (block: RowEdit[] | { refusal: string }): Promise<boolean> => {
    if ("refusal" in block) {
      setRefusal(`Nothing was changed. ${block.refusal}`);
      return false;
    }
    if (block.length === 0) return true;
    try {
      await edits.rows(block);
      setRefusal(undefined);
      return true;
    } catch (error) {
      setRefusal(`Nothing was changed. ${rowOf(error, block)}${refusalOf(error)}`);
      return false;
    }
  };

  return {
    editing,
    refusal,
    edits,
    start,
    commit,
    attempt,
    sendBlock,
    cancel: () => setEditing(undefined),
    dismiss: () => setRefusal(undefined),
  };
}

/** The row of a block that a refusal is about. */
function rowOf(error: unknown, edits: RowEdit[]): string {
  if (edits.length < 2 || !(error instanceof ApiError)) return "";
  const index = /^\/(\d+)/.exec(error.problems[0]?.pointer ?? "")?.[1];
  if (index === undefined) return "";
  const id = edits[Number(index)]?.id;
  return id ? `${id}: ` : `Row ${Number(index) + 1}: `;
}
