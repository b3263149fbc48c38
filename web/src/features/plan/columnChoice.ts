import { useState } from "react";
import type { PlanColumn } from "../../shared/planGrid/columns";

const KEY = "tychon.plan.columns";

type Kept = Record<string, boolean>;

function read(): Kept {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? "{}") as Kept;
  } catch {
    return {};
  }
}

export const isShown = (kept: Kept, column: PlanColumn) => kept[column.id] ?? !column.spare;

/** Which columns this person wants to see; kept in their browser. */
export function useColumnChoice() {
  const [kept, setKept] = useState(read);
  const show = (column: string, shown: boolean) => {
    const next = { ...kept, [column]: shown };
    localStorage.setItem(KEY, JSON.stringify(next));
    setKept(next);
  };
  return { kept, show };
}
