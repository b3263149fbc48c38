import { create } from "zustand";

/** A way on from a note. */
interface NoteAction {
  label: string;
  /** The letter that, with Alt, does the same. */
  key?: string;
  run: () => void;
}

interface Note {
  text: string;
  actions: NoteAction[];
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

export const notify = (text: string, ...actions: NoteAction[]) => useNotes.getState().show({ text, actions });

/** For what is asked of the server and has no place of its own where a refusal could stand. */
export const tellRefusal = { onError: (error: Error) => notify(error.message) };
