import { create } from "zustand";

/** How the briefs of a project are looked at. */
export interface Look {
  /** The brief that is open; the first where nothing was chosen yet. */
  brief?: string;
  /** The block that is chosen. */
  block?: string;
  /** Whether its words are being typed. */
  typing: boolean;
  /** What stands at the right: what was issued, or everything that can be taken out. */
  panel?: "issues" | "exports";
}

const FRESH: Look = { typing: false };

interface BriefState {
  looks: Record<string, Look>;
  look: (project: string, look: Partial<Look>) => void;
}

const useBriefStore = create<BriefState>()((set) => ({
  looks: {},
  look: (project, look) =>
    set(({ looks }) => ({ looks: { ...looks, [project]: { ...(looks[project] ?? FRESH), ...look } } })),
}));

/** How a project's briefs are looked at, and how to look otherwise. */
export function useLook(project: string) {
  const look = useBriefStore((state) => state.looks[project] ?? FRESH);
  const set = useBriefStore((state) => state.look);
  return { ...look, set: (next: Partial<Look>) => set(project, next) };
}

export type BriefLook = ReturnType<typeof useLook>;
