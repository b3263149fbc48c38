import { create } from "zustand";
import type { GroupedBy, Period } from "../../shared/api/costs";

export type CostsView = "lines" | "resources" | "flow" | "causes";

/** How the money of a project is looked at. */
export interface Look {
  view: CostsView;
  /** Whether lines stand under the plan's rows, or under categories. */
  under: "plan" | "category";
  period: Period;
  /** The row or the category whose cash flow is shown; the project where neither is said. */
  of: string;
  category: string;
  /** First day of the period that is explained. */
  day?: string;
  by: GroupedBy;
  depth: number;
  /** Percent; the project's own where nothing is said. */
  level?: number;
  /** The resource whose load is shown. */
  resource?: string;
}

const FRESH: Look = {
  view: "lines",
  under: "plan",
  period: "month",
  of: "project",
  category: "",
  by: "branch",
  depth: 1,
};

interface CostsState {
  looks: Record<string, Look>;
  look: (project: string, look: Partial<Look>) => void;
}

/** Kept while the window is open, so that one comes back to the same place. */
const useCostsStore = create<CostsState>()((set) => ({
  looks: {},
  look: (project, look) =>
    set(({ looks }) => ({ looks: { ...looks, [project]: { ...(looks[project] ?? FRESH), ...look } } })),
}));

/** How a project's money is looked at, and how to look otherwise. */
export function useLook(project: string) {
  const look = useCostsStore((state) => state.looks[project] ?? FRESH);
  const set = useCostsStore((state) => state.look);
  return { ...look, set: (next: Partial<Look>) => set(project, next) };
}

export type CostsLook = ReturnType<typeof useLook>;
