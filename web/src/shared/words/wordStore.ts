import { create } from "zustand";

interface Explained {
  word?: string;
  explain: (word: string) => void;
  close: () => void;
}

/** The word that is being explained, where one is. */
export const useExplained = create<Explained>()((set) => ({
  explain: (word) => set({ word }),
  close: () => set({ word: undefined }),
}));

export const explain = (word: string) => useExplained.getState().explain(word);
