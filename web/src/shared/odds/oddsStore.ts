import { create } from "zustand";
import { persist } from "zustand/middleware";
import { PROJECT_FINISH, type Subject } from "./subject";

interface OddsState {
  /** What is looked at, by project. */
  subjects: Record<string, Subject>;
  /** The levels the analyst wants in the table; the usual ones where none were chosen. */
  levels?: number[];
  /** Dates and amounts whose chance is kept in the table, by project and subject. */
  values: Record<string, number[]>;
  /** Most bars of the histogram; what suits the range where nothing was chosen. */
  bins?: number;
  look: (project: string, subject: Subject) => void;
  setLevels: (levels: number[]) => void;
  setValues: (project: string, subject: Subject, values: number[]) => void;
  setBins: (bins: number | undefined) => void;
}

/** How odds are looked at; kept in this browser. */
export const useOddsStore = create<OddsState>()(
  persist(
    (set) => ({
      subjects: {},
      values: {},
      look: (project, subject) => set(({ subjects }) => ({ subjects: { ...subjects, [project]: subject } })),
      setLevels: (levels) => set({ levels }),
      setValues: (project, subject, values) =>
        set((state) => ({ values: { ...state.values, [valuesKey(project, subject)]: values } })),
      setBins: (bins) => set({ bins }),
    }),
    { name: "tychon-odds", version: 1 },
  ),
);

const valuesKey = (project: string, { what, of }: Subject) => `${project} ${what} ${of}`;
const NO_VALUES: number[] = [];

/** The values of a subject whose chance is kept in the table. */
export const valuesOf = (state: OddsState, project: string, subject: Subject) =>
  state.values[valuesKey(project, subject)] ?? NO_VALUES;

export const subjectOf = (state: OddsState, project: string) => state.subjects[project] ?? PROJECT_FINISH;

const USUAL_LEVELS = [10, 25, 50, 70, 80, 90, 95];

/** The levels of the table: those that were chosen, or the usual ones with the one that matters to the project. */
export const levelsOf = (state: OddsState, confidence: number) =>
  state.levels ?? [...new Set([...USUAL_LEVELS, confidence])].sort((a, b) => a - b);
