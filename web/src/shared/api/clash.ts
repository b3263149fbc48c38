import { create } from "zustand";
import type { Clash } from "./client";

interface Clashes {
  clashes: readonly Clash[];
  decide: (mine: boolean) => void;
}

/** What both somebody else and this window have changed, until it is chosen which of both stays. */
export const useClash = create<Clashes>()(() => ({ clashes: [], decide: () => undefined }));

/** Lets whoever edits choose; answers whether theirs is to stay. */
export function choose(clashes: readonly Clash[]): Promise<boolean> {
  return new Promise((resolve) =>
    useClash.setState({
      clashes,
      decide: (mine) => {
        useClash.setState({ clashes: [] });
        resolve(mine);
      },
    }),
  );
}
