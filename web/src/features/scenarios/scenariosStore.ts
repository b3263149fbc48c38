import { create } from "zustand";
import type { FundGoal } from "../../shared/api/fund";
import { THE_PLAN } from "../../shared/api/scenarios";
import type { QuantityName } from "../../shared/odds/subject";

export type View = "side" | "story" | "fund" | "since" | "record";
export type Drawing = "curves" | "rails" | "drivers";
export type SortKey =
  | "order"
  | "name"
  | "finishHalf"
  | "finishLevel"
  | "days"
  | "target"
  | "costHalf"
  | "costLevel"
  | "cost"
  | "budget"
  | "both"
  | "now";

/** How the scenarios of a project are looked at. */
export interface Look {
  view: View;
  /** What is drawn of those ticked. */
  drawing: Drawing;
  /** Ids of those drawn; the first few where nothing was ticked yet. */
  ticked?: readonly string[];
  /** The one that is explained. */
  chosen?: string;
  base: string;
  /** Percent; the project's own where nothing is said. */
  level?: number;
  what: QuantityName;
  of: string;
  sort: SortKey;
  down: boolean;
  /** Whether those put away are shown too. */
  all: boolean;
  /** How the plan is drawn row by row. */
  rails: "rails" | "mist";
  /** What is to get better by what is funded. */
  goal: FundGoal;
  /** The order in which options are told. */
  order?: readonly string[];
}

const FRESH: Look = {
  view: "side",
  drawing: "curves",
  base: THE_PLAN,
  what: "finish",
  of: "project",
  sort: "order",
  down: false,
  all: false,
  rails: "rails",
  goal: "finish",
};

interface ScenariosState {
  looks: Record<string, Look>;
  look: (project: string, look: Partial<Look>) => void;
}

/** Kept while the window is open, so that one comes back to the same place. */
const useScenariosStore = create<ScenariosState>()((set) => ({
  looks: {},
  look: (project, look) =>
    set(({ looks }) => ({ looks: { ...looks, [project]: { ...(looks[project] ?? FRESH), ...look } } })),
}));

/** Chooses a scenario, so that it is explained. */
export const chooseScenario = (project: string, chosen: string) =>
  useScenariosStore.getState().look(project, { chosen });

/** How a project's scenarios are looked at, and how to look otherwise. */
export function useLook(project: string) {
  const look = useScenariosStore((state) => state.looks[project] ?? FRESH);
  const set = useScenariosStore((state) => state.look);
  return { ...look, set: (next: Partial<Look>) => set(project, next) };
}

export type ScenariosLook = ReturnType<typeof useLook>;
