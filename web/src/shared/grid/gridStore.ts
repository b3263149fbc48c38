import { create } from "zustand";

export interface Place {
  row: string;
  column: string;
}

/** What is looked for among the rows. */
export interface Search {
  text: string;
  /** The word of a filter that the stage knows; empty where all rows are wanted, absent where none was chosen yet. */
  filter?: string;
  /** Rows that were named one by one, with what they are. */
  rows?: { title: string; ids: ReadonlySet<string> };
}

interface View {
  closed: ReadonlySet<string>;
  active?: Place;
  /** The other corner of the selected block. */
  anchor?: Place;
  /** Rows selected beside the block, one by one. */
  picked: ReadonlySet<string>;
  search: Search;
  /** Below zero until a grid that is not there yet brings the active row into view. */
  scrollTop: number;
  /** Rows that are lit, as what something chosen elsewhere is about, with what that is. */
  lit?: { title: string; ids: ReadonlySet<string> };
}

interface GridState {
  views: Record<string, View>;
  toggle: (grid: string, row: string) => void;
  setClosed: (grid: string, rows: Iterable<string>) => void;
  select: (grid: string, active: Place, extend?: boolean) => void;
  pick: (grid: string, active: Place) => void;
  look: (grid: string, search: Partial<Search>) => void;
  scrolled: (grid: string, scrollTop: number) => void;
  light: (grid: string, lit: View["lit"]) => void;
}

/** Asks the grid that shows next to bring its active row into view. */
export const BRING_INTO_VIEW = -1;

const NOTHING: Search = { text: "" };
const NONE: ReadonlySet<string> = new Set();
const FRESH: View = { closed: NONE, picked: NONE, search: NOTHING, scrollTop: 0 };

/**
 * What is open, selected, looked for and in view in a grid, under the key of that grid. All stages that list the plan's
 * rows share one key, the project's, so that a row one looks at stays where it is from stage to stage.
 */
export const useGridStore = create<GridState>()((set) => {
  const change = (grid: string, next: (view: View) => Partial<View>) =>
    set((state) => {
      const view = state.views[grid] ?? FRESH;
      return { views: { ...state.views, [grid]: { ...view, ...next(view) } } };
    });
  return {
    views: {},
    toggle: (grid, row) => change(grid, ({ closed }) => ({ closed: toggled(closed, row) })),
    setClosed: (grid, rows) => change(grid, () => ({ closed: new Set(rows) })),
    select: (grid, active, extend = false) =>
      change(grid, (view) => ({
        active,
        anchor: extend ? (view.anchor ?? view.active) : active,
        picked: NONE,
      })),
    pick: (grid, active) =>
      change(grid, (view) => {
        const before = view.picked.size === 0 && view.active ? new Set([view.active.row]) : view.picked;
        return { active, anchor: active, picked: toggled(before, active.row) };
      }),
    look: (grid, search) => change(grid, (view) => ({ search: { ...view.search, ...search }, scrollTop: 0 })),
    scrolled: (grid, scrollTop) => change(grid, () => ({ scrollTop })),
    light: (grid, lit) => change(grid, () => ({ lit })),
  };
});

/** A search in which a filter holds until another is chosen or something is looked for. */
export const withFirst = (search: Search, first: string | undefined): Search =>
  first && search.filter === undefined && search.text === "" && !search.rows
    ? { ...search, filter: first }
    : search;

function toggled(set: ReadonlySet<string>, item: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}

export const viewOf = (state: GridState, grid: string): View => state.views[grid] ?? FRESH;
