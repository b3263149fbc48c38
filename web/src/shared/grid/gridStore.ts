import { create } from "zustand";

export interface Place {
  row: string;
  column: string;
}

/** What is looked for among the rows. */
export interface Search {
  text: string;
  /** The word of a filter that the stage knows. */
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
  scrollTop: number;
}

interface GridState {
  views: Record<string, View>;
  toggle: (project: string, branch: string) => void;
  setClosed: (project: string, branches: Iterable<string>) => void;
  select: (project: string, active: Place, extend?: boolean) => void;
  pick: (project: string, active: Place) => void;
  look: (project: string, search: Partial<Search>) => void;
  scrolled: (project: string, scrollTop: number) => void;
}

const NOTHING: Search = { text: "" };
const NONE: ReadonlySet<string> = new Set();
const FRESH: View = { closed: NONE, picked: NONE, search: NOTHING, scrollTop: 0 };

/**
 * What is open, selected, looked for and in view in the plan's grid. All stages that list the plan's rows share it, so
 * that a row one looks at stays where it is from stage to stage.
 */
export const useGridStore = create<GridState>()((set) => {
  const change = (project: string, next: (view: View) => Partial<View>) =>
    set((state) => {
      const view = state.views[project] ?? FRESH;
      return { views: { ...state.views, [project]: { ...view, ...next(view) } } };
    });
  return {
    views: {},
    toggle: (project, branch) => change(project, ({ closed }) => ({ closed: toggled(closed, branch) })),
    setClosed: (project, branches) => change(project, () => ({ closed: new Set(branches) })),
    select: (project, active, extend = false) =>
      change(project, (view) => ({
        active,
        anchor: extend ? (view.anchor ?? view.active) : active,
        picked: NONE,
      })),
    pick: (project, active) =>
      change(project, (view) => {
        const before = view.picked.size === 0 && view.active ? new Set([view.active.row]) : view.picked;
        return { active, anchor: active, picked: toggled(before, active.row) };
      }),
    look: (project, search) =>
      change(project, (view) => ({ search: { ...view.search, ...search }, scrollTop: 0 })),
    scrolled: (project, scrollTop) => change(project, () => ({ scrollTop })),
  };
});

function toggled(set: ReadonlySet<string>, item: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}

export const viewOf = (state: GridState, project: string): View => state.views[project] ?? FRESH;
