import type { ActivityView, BranchView, CostView, PlanView } from "../api/client";
import type { GridRow } from "../grid/types";

/** A visible row of the plan: a WBS branch, an activity beneath it, or a cost line on one of them. */
export type Row = GridRow &
  (
    | { kind: "branch"; branch: BranchView; open: boolean }
    | { kind: "activity"; activity: ActivityView }
    | { kind: "cost"; cost: CostView }
    | { kind: "work"; work: WorkView }
  );

/** A resource at work on an activity, with its name. */
export interface WorkView {
  /** As {@link workId} makes it. */
  id: string;
  activity: string;
  resource: string;
  units: number;
  name: string;
}

/** What a resource at work on an activity is known by. */
export const workId = (activity: string, resource: string) => `${activity}/${resource}`;

/** What a row is about. */
export function subjectOf(row: Row): BranchView | ActivityView | CostView | WorkView {
  switch (row.kind) {
    case "branch":
      return row.branch;
    case "activity":
      return row.activity;
    case "cost":
      return row.cost;
    case "work":
      return row.work;
  }
}

/** The row of the plan that one belongs to: what money stands on. */
export const placeOf = (row: Row) =>
  row.kind === "cost" ? row.cost.on : row.kind === "work" ? row.work.activity : row.id;

/** What rows are looked for: those shown, with the branches above them. */
export interface Sieve {
  /** Whether branches that are closed stay so; else what is found is shown wherever it lies. */
  keepsClosed?: boolean;
  activity: (activity: ActivityView) => boolean;
  /** Of a branch that is meant itself, everything beneath is shown. */
  branch?: (branch: BranchView) => boolean;
  /** A cost line that is meant is shown with what it stands on. */
  cost?: (cost: CostView) => boolean;
}

/** Where the odds of a row are shown; those of money are those of what it stands on. */
export const oddsOf = (project: string, row: Row) =>
  `/projects/${project}/odds?of=${encodeURIComponent(placeOf(row))}`;

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

interface Options {
  sieve?: Sieve;
  /** Whether cost lines are rows of their own, each beneath what it stands on. */
  costs?: boolean;
  /** Whether resources at work are. */
  crews?: boolean;
}

/** The rows of a plan from top to bottom: each branch, its activities, then the branches beneath it. */
export function visibleRows(
  plan: PlanView,
  closed: ReadonlySet<string>,
  { sieve, costs = false, crews = false }: Options = {},
): Row[] {
  const children = grouped(plan.branches, (branch) => branch.parent ?? TOP);
  const activities = grouped(plan.activities, (activity) => activity.wbs);
  const lines = grouped(costs ? plan.costs : [], (cost) => cost.on);
  const costsOn = (id: string, depth: number): Row[] =>
    (lines.get(id) ?? []).map((cost) => ({ kind: "cost", id: cost.id, depth, soft: true, cost }));
  const works = grouped(crews ? plan.assignments : [], (one) => one.activity);
  const names = new Map(crews ? plan.resources.map((one) => [one.id, one.name]) : []);
  const worksOn = (id: string, depth: number): Row[] =>
    (works.get(id) ?? []).map((one) => {
      const key = workId(one.activity, one.resource);
      const name = names.get(one.resource) ?? one.resource;
      return { kind: "work", id: key, depth, soft: true, work: { ...one, id: key, name } };
    });
  const add = (branch: BranchView, depth: number, whole: boolean): Row[] => {
    const open = (sieve !== undefined && !sieve.keepsClosed) || !closed.has(branch.id);
    const rows: Row[] = [{ kind: "branch", id: branch.id, depth, strong: true, branch, open }];
    if (!open) return rows;
    const all = whole || !sieve || sieve.branch?.(branch) === true;
    if (all || lines.get(branch.id)?.some((cost) => sieve.cost?.(cost)))
      rows.push(...costsOn(branch.id, depth + 1));
    for (const activity of activities.get(branch.id) ?? []) {
      if (all || sieve.activity(activity) || lines.get(activity.id)?.some((cost) => sieve.cost?.(cost))) {
        rows.push({ kind: "activity", id: activity.id, depth: depth + 1, activity });
        rows.push(...costsOn(activity.id, depth + 2), ...worksOn(activity.id, depth + 2));
      }
    }
    for (const child of children.get(branch.id) ?? []) rows.push(...add(child, depth + 1, all && !!sieve));
    return all || rows.length > 1 ? rows : [];
  };
  const ofProject = sieve ? [] : costsOn("project", 0);
  return (children.get(TOP) ?? []).flatMap((branch) => add(branch, 0, false)).concat(ofProject);
}
