import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { Outlook } from "../../shared/api/client";

interface HorizonState {
  collapsed: boolean;
  /** The odds held as the reference, by project. */
  pinned: Record<string, Outlook>;
  setCollapsed: (collapsed: boolean) => void;
  pin: (project: string, outlook: Outlook | undefined) => void;
}

/** How the horizon is shown, and what was pinned; kept in this browser. */
export const useHorizonStore = create<HorizonState>()(
  persist(
    (set) => ({
      collapsed: false,
      pinned: {},
      setCollapsed: (collapsed) => set({ collapsed }),
      pin: (project, outlook) =>
        set(({ pinned }) => {
          const others = Object.entries(pinned).filter(([id]) => id !== project);
          return { pinned: Object.fromEntries(outlook ? [...others, [project, outlook]] : others) };
        }),
    }),
    { name: "tychon-horizon" },
  ),
);
