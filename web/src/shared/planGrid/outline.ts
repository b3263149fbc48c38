import type { PlanView, RowMove } from "../api/client";

/** Where Alt and an arrow put rows; undefined where they cannot go there. */
export type Direction = "up" | "down" | "in" | "out";

/** The move that takes neighbouring rows of one kind and one parent a step up, down, in or out. */
export function moveOf(plan: PlanView, rows: string[], direction: Direction): RowMove | undefined {
  const first = rows[0];
  if (first === undefined) return undefined;
  const activity = plan.activities.find((one) => one.id === first);
  return activity ? moveActivities(plan, rows, activity.wbs, direction) : moveBranches(plan, rows, direction);
}

function moveActivities(plan: PlanView, rows: string[], wbs: string, direction: Direction) {
  const siblings = plan.activities.filter((one) => one.wbs === wbs).map((one) => one.id);
  if (direction === "up" || direction === "down") return stepped(siblings, rows, wbs, direction);
  const branch = plan.branches.find((one) => one.id === wbs);
  if (direction === "out") {
    if (!branch?.parent) return undefined;
    const above = plan.activities.filter((one) => one.wbs === branch.parent).at(-1)?.id;
    return { rows, into: branch.parent, after: above };
  }
  const child = plan.branches.find((one) => one.parent === wbs);
  if (!child) return undefined;
  return { rows, into: child.id, after: plan.activities.filter((one) => one.wbs === child.id).at(-1)?.id };
}

function moveBranches(plan: PlanView, rows: string[], direction: Direction): RowMove | undefined {
  const branch = plan.branches.find((one) => one.id === rows[0]);
  if (!branch) return undefined;
  const own = rows.filter((id) => plan.branches.some((one) => one.id === id && one.parent === branch.parent));
  const siblings = plan.branches.filter((one) => one.parent === branch.parent).map((one) => one.id);
  if (direction === "up" || direction === "down") return stepped(siblings, own, branch.parent, direction);
  if (direction === "out") {
    const parent = plan.branches.find((one) => one.id === branch.parent);
    return parent && { rows: own, into: parent.parent, after: parent.id };
  }
  const previous = siblings[siblings.indexOf(branch.id) - 1];
  if (previous === undefined) return undefined;
  const last = plan.branches.filter((one) => one.parent === previous).at(-1)?.id;
  return { rows: own, into: previous, after: last ?? previous };
}

function stepped(
  siblings: string[],
  rows: string[],
  into: string | undefined,
  direction: "up" | "down",
): RowMove | undefined {
  const moving = new Set(rows);
  const places = siblings.flatMap((id, i) => (moving.has(id) ? [i] : []));
  const [top = -1, bottom = -1] = [places[0], places.at(-1)];
  if (top < 0) return undefined;
  if (direction === "down") {
    const next = siblings[bottom + 1];
    return next === undefined ? undefined : { rows, into, after: next };
  }
  if (top === 0) return undefined;
  return { rows, into, after: siblings[top - 2] };
}
