import { useState } from "react";

/** A column that somebody may want to see or not. */
export interface Spared {
  id: string;
  title: string;
  /** Whether it is shown only where somebody has asked for it. */
  spare?: boolean;
}

type Kept = Record<string, boolean>;

const keyOf = (grid: string) => `tychon.${grid}.columns`;

function read(grid: string): Kept {
  try {
    return JSON.parse(localStorage.getItem(keyOf(grid)) ?? "{}") as Kept;
  } catch {
    return {};
  }
}

export const isShown = (kept: Kept, column: Spared) => kept[column.id] ?? !column.spare;

/** Which columns of a grid this person wants to see; kept in their browser. */
export function useColumnChoice(grid: string) {
  const [kept, setKept] = useState(() => read(grid));
  const show = (column: string, shown: boolean) => {
    const next = { ...kept, [column]: shown };
    localStorage.setItem(keyOf(grid), JSON.stringify(next));
    setKept(next);
  };
  return { kept, show };
}
