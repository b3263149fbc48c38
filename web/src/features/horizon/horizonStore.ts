import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { LiveView, Outlook } from "../../shared/api/client";

/** Odds held as the reference: by a short simulation and by a longer one, so that like is compared with like. */
export interface Pinned {
  first: Outlook;
  refined: Outlook;
}

/** What can be pinned of live odds; nothing while they are not refined. */
export function pinnable(view: LiveView | undefined): Pinned | undefined {
  return view?.state === "refined" && view.outlook && view.first
    ? { first: view.first, refined: view.outlook }
    : undefined;
}

/** The pinned odds by as many iterations as what they are compared with. */
export function pinnedLike(pinned: Pinned | undefined, outlook: Outlook): Outlook | undefined {
  return pinned && [pinned.refined, pinned.first].find((one) => one.iterations === outlook.iterations);
}

interface HorizonState {
  collapsed: boolean;
  /** The odds held as the reference, by project. */
  pinned: Record<string, Pinned>;
  setCollapsed: (collapsed: boolean) => void;
  pin: (project: string, odds: Pinned | undefined) => void;
}

/** How the horizon is shown, and what was pinned; kept in this browser. */
export const useHorizonStore = create<HorizonState>()(
  persist(
    (set) => ({
      collapsed: false,
      pinned: {},
      setCollapsed: (collapsed) => set({ collapsed }),
      pin: (project, odds) =>
        set(({ pinned }) => {
          const others = Object.entries(pinned).filter(([id]) => id !== project);
          return { pinned: Object.fromEntries(odds ? [...others, [project, odds]] : others) };
        }),
    }),
    { name: "tychon-horizon", version: 1 },
  ),
);
