import { create } from "zustand";

interface Note {
  text: string;
  action?: { label: string; run: () => void };
}

interface Notes {
  note?: Note;
  show: (note: Note) => void;
  dismiss: () => void;
}

/** The one short message that stands at the foot of the window until it is read or replaced. */
export const useNotes = create<Notes>()((set) => ({
  show: (note) => set({ note }),
  dismiss: () => set({ note: undefined }),
}));

export const notify = (text: string, action?: Note["action"]) => useNotes.getState().show({ text, action });
