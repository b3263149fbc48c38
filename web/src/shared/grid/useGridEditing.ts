import { useState } from "react";
import { ApiError } from "../api/client";
import { choose } from "../api/clash";
import { refusalOf } from "../api/edits";
import { useReads } from "../api/part";
import { usePresence } from "../api/presence";
import type { Place } from "./gridStore";
import type { Column, GridRow } from "./types";

export interface Editing extends Place {
  text: string;
  /** What the cell said when it was opened. */
  opened: string;
  refusal?: string;
}

const READS = "You read this project and change nothing in it; its owners can make you an editor.";

/** An edit of a row says which. */
type Edited = { id: string };

/** The cell being edited, and the way of edits to the server. What is refused stays open with the reason. */
export function useGridEditing<R extends GridRow, E extends Edited>(send: (edits: E[]) => Promise<unknown>) {
  const [editing, setEditing] = useState<Editing>();
  const [refusal, setRefusal] = useState<string>();

  /** Says so where whoever sits here may change nothing. */
  const mayNot = () => {
    const { reads } = useReads.getState();
    setRefusal(reads ? READS : undefined);
    return reads;
  };

  const start = (row: R, column: Column<R, E>, typed?: string) => {
    if (mayNot()) return;
    const text = column.cell?.(row)?.start;
    if (text !== undefined) setEditing({ row: row.id, column: column.id, text: typed ?? text, opened: text });
  };

  const request = async (row: R, column: Column<R, E>, text: string): Promise<string | undefined> => {
    try {
      const typed = column.cell?.(row)?.typed(text);
      if (!typed) return undefined;
      if ("refusal" in typed) return typed.refusal;
      await send([typed.edit]);
      return undefined;
    } catch (error) {
      return refusalOf(error);
    }
  };

  /** Whether the text may take the place of what somebody else has put into the cell since it was opened. */
  const mayReplace = async (row: R, column: Column<R, E>, text: string, now: string): Promise<boolean> => {
    if (!editing || editing.row !== row.id || editing.opened === now) return true;
    const by = usePresence.getState().edited[row.id];
    const at = new Date().toISOString();
    const field = column.title;
    return choose([
      { section: "", key: row.id, field, was: editing.opened, theirs: now, mine: text, by, at },
    ]);
  };

  /** Sends the text of the open cell; tells whether it was accepted. */
  const commit = async (row: R, column: Column<R, E>, text: string): Promise<boolean> => {
    const now = column.cell?.(row)?.start ?? text;
    if (text === now || !(await mayReplace(row, column, text, now))) {
      setEditing(undefined);
      return true;
    }
    const refused = await request(row, column, text);
    setEditing(
      refused === undefined
        ? undefined
        : { row: row.id, column: column.id, text, refusal: refused, opened: now },
    );
    return refused === undefined;
  };

  /** Does something to many rows; what is refused is told beside the grid, and nothing of it is kept. */
  const attempt = async <T>(change: () => Promise<T>): Promise<T | undefined> => {
    if (mayNot()) return undefined;
    try {
      return await change();
    } catch (error) {
      setRefusal(`Nothing was changed. ${refusalOf(error)}`);
      return undefined;
    }
  };

  /** Sends a whole block of edits. */
  const sendBlock = async (block: E[] | { refusal: string }): Promise<boolean> => {
    if ("refusal" in block) {
      setRefusal(`Nothing was changed. ${block.refusal}`);
      return false;
    }
    if (block.length === 0) return true;
    if (mayNot()) return false;
    try {
      await send(block);
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
    start,
    commit,
    attempt,
    sendBlock,
    cancel: () => setEditing(undefined),
    dismiss: () => setRefusal(undefined),
  };
}

export type GridEditing<R extends GridRow, E extends Edited> = ReturnType<typeof useGridEditing<R, E>>;

/** The row of a block that a refusal is about. */
function rowOf(error: unknown, edits: Edited[]): string {
  if (edits.length < 2 || !(error instanceof ApiError)) return "";
  const index = /^\/(\d+)/.exec(error.problems[0]?.pointer ?? "")?.[1];
  if (index === undefined) return "";
  const id = edits[Number(index)]?.id;
  return id ? `${id}: ` : `Row ${Number(index) + 1}: `;
}
