import type { ActivityView, BranchView, PlanView } from "../api/client";

/** A visible row of the plan: a WBS branch, or an activity beneath it. */
export type Row =
  | { kind: "branch"; id: string; depth: number; branch: BranchView; open: boolean }
  | { kind: "activity"; id: string; depth: number; activity: ActivityView };

/** What rows are looked for: those shown, with the branches above them; none closes a branch. */
export interface Sieve {
  activity: (activity: ActivityView) => boolean;
  /** Of a branch that is meant itself, everything beneath is shown. */
  branch?: (branch: BranchView) => boolean;
}

const TOP = "";

function grouped<T>(items: T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const group = groups.get(key(item));
    if (group) group.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

/** The rows of a plan from top to bottom: each branch, its activities, then the branches beneath it. */
export function visibleRows(plan: PlanView, closed: ReadonlySet<string>, sieve?: Sieve): Row[] {
  const children = grouped(plan.branches, (branch) => branch.parent ?? TOP);
  const activities = grouped(plan.activities, (activity) => activity.wbs);
  const add = (branch: BranchView, depth: number, whole: boolean): Row[] => {
    const open = sieve !== undefined || !closed.has(branch.id);
    const rows: Row[] = [{ kind: "branch", id: branch.id, depth, branch, open }];
    if (!open) return rows;
    const all = whole || !sieve || sieve.branch?.(branch) === true;
    for (const activity of activities.get(branch.id) ?? []) {
      if (all || sieve.activity(activity))
        rows.push({ kind: "activity", id: activity.id, depth: depth + 1, activity });
    }
    for (const child of children.get(branch.id) ?? []) rows.push(...add(child, depth + 1, all && !!sieve));
    return all || rows.length > 1 ? rows : [];
  };
  return (children.get(TOP) ?? []).flatMap((branch) => add(branch, 0, false));
}
