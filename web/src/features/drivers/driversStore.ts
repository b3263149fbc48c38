import { create } from "zustand";

export type View = "moves" | "scatter" | "paths" | "staircase" | "criticality" | "late" | "spare";
export type Measure =
  | "swing"
  | "removal"
  | "day"
  | "tenth"
  | "contribution"
  | "rank"
  | "slope"
  | "coefficient";

/** How the drivers of a project are looked at. */
export interface Look {
  view: View;
  measure: Measure;
  /** By what inputs are gathered; empty for one by one. */
  by: string;
  depth: number;
  /** Whether a risk's chance and sizes stand by themselves, and groups of correlation as one. */
  apart: boolean;
  groups: boolean;
  /** What is held against each other; what the tornado has selected, and what it is asked about, where nothing is said. */
  x?: string;
  y?: string;
  /** Where the scatter is cut, by its axes. */
  cuts: Record<string, number>;
  /** Beyond which date or amount futures are late; the target where nothing is said. */
  beyond: Record<string, string>;
  /** Which path is looked at, from 1. */
  path: number;
  /** Percent of the staircase; the project's own where nothing is said. */
  level?: number;
  /** Which of its steps is open. */
  step?: string;
  /** From which run changes are told; none for the staircase of causes. */
  from: string;
  /** Days of float within which something is nearly critical. */
  near: number;
}

const FRESH: Look = {
  view: "moves",
  measure: "swing",
  by: "",
  depth: 1,
  apart: false,
  groups: false,
  cuts: {},
  beyond: {},
  path: 1,
  from: "",
  near: 5,
};

interface DriversState {
  looks: Record<string, Look>;
  look: (project: string, look: Partial<Look>) => void;
}

/** Kept while the window is open, so that one comes back to the same place. */
export const useDriversStore = create<DriversState>()((set) => ({
  looks: {},
  look: (project, look) =>
    set(({ looks }) => ({ looks: { ...looks, [project]: { ...(looks[project] ?? FRESH), ...look } } })),
}));

/** How a project is looked at, and how to look otherwise. */
export function useLook(project: string) {
  const look = useDriversStore((state) => state.looks[project] ?? FRESH);
  const set = useDriversStore((state) => state.look);
  return { ...look, set: (next: Partial<Look>) => set(project, next) };
}

/** The key under which it is kept which input is selected. */
export const inputsKey = (project: string) => `drivers ${project}`;
