import { create } from "zustand";

export interface Place {
  row: string;
  column: string;
}

interface View {
  closed: ReadonlySet<string>;
  active?: Place;
  /** The other corner of the selected block. */
  anchor?: Place;
  scrollTop: number;
}

interface GridState {
  views: Record<string, View>;
  toggle: (project: string, branch: string) => void;
  setClosed: (project: string, branches: Iterable<string>) => void;
  select: (project: string, active: Place, extend?: boolean) => void;
  scrolled: (project: string, scrollTop: number) => void;
}

const FRESH: View = { closed: new Set(), scrollTop: 0 };

/**
 * What is open, selected and in view in the plan's grid. All stages that list the plan's rows share it, so that a row
 * one looks at stays where it is from stage to stage.
 */
export const useGridStore = create<GridState>()((set) => {
  const change = (project: string, next: (view: View) => Partial<View>) =>
    set((state) => {
      const view = state.views[project] ?? FRESH;
      return { views: { ...state.views, [project]: { ...view, ...next(view) } } };
    });
  return {
    views: {},
    toggle: (project, branch) =>
      change(project, ({ closed }) => {
        const next = new Set(closed);
        if (!next.delete(branch)) next.add(branch);
        return { closed: next };
      }),
    setClosed: (project, branches) => change(project, () => ({ closed: new Set(branches) })),
    select: (project, active, extend = false) =>
      change(project, (view) => ({ active, anchor: extend ? (view.anchor ?? view.active) : active })),
    scrolled: (project, scrollTop) => change(project, () => ({ scrollTop })),
  };
});

export const viewOf = (state: GridState, project: string): View => state.views[project] ?? FRESH;
