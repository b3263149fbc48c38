import type { ActivityView, BranchView, PlanView } from "../api/client";

/** A visible row of the plan: a WBS branch, or an activity beneath it. */
export type Row =
  | { kind: "branch"; id: string; depth: number; branch: BranchView; open: boolean }
  | { kind: "activity"; id: string; depth: number; activity: ActivityView };

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
export function visibleRows(plan: PlanView, closed: ReadonlySet<string>): Row[] {
  const children = grouped(plan.branches, (branch) => branch.parent ?? TOP);
  const activities = grouped(plan.activities, (activity) => activity.wbs);
  const rows: Row[] = [];
  const add = (branch: BranchView, depth: number) => {
    const open = !closed.has(branch.id);
    rows.push({ kind: "branch", id: branch.id, depth, branch, open });
    if (!open) return;
    for (const activity of activities.get(branch.id) ?? []) {
      rows.push({ kind: "activity", id: activity.id, depth: depth + 1, activity });
    }
    for (const child of children.get(branch.id) ?? []) add(child, depth + 1);
  };
  for (const branch of children.get(TOP) ?? []) add(branch, 0);
  return rows;
}
