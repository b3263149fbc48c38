import type { PlanView } from "../api/client";

export type QuantityName = "finish" | "start" | "cost" | "duration";

/** What odds are read of: which of four quantities, of the project or of one of its activities or branches. */
export interface Subject {
  what: QuantityName;
  /** The code of an activity or branch, or "project". */
  of: string;
}

export const PROJECT = "project";
export const PROJECT_FINISH: Subject = { what: "finish", of: PROJECT };

export const QUANTITIES: { value: QuantityName; label: string }[] = [
  { value: "finish", label: "Finish" },
  { value: "cost", label: "Cost" },
  { value: "duration", label: "Duration" },
  { value: "start", label: "Start" },
];

export const isDate = (what: QuantityName) => what === "finish" || what === "start";

/** Something odds can be read of, as it is chosen from a list. */
export interface Item {
  id: string;
  name: string;
  kind: "project" | "branch" | "milestone" | "activity";
}

/** All of them: the project, branches, milestones, then the other activities. */
export function itemsOf(plan: PlanView): Item[] {
  const activities = plan.activities.map(({ id, name, kind }): Item => ({
    id,
    name,
    kind: kind === "milestone" ? "milestone" : "activity",
  }));
  return [
    { id: PROJECT, name: "The project", kind: "project" },
    ...plan.branches.map(({ id, name }): Item => ({ id, name, kind: "branch" })),
    ...activities.filter((item) => item.kind === "milestone"),
    ...activities.filter((item) => item.kind === "activity"),
  ];
}

/** Those whose code begins with, or whose name holds, what is typed. */
export function found(items: Item[], text: string): Item[] {
  const looked = text.trim().toLowerCase();
  return items.filter(
    (item) =>
      looked === "" ||
      (item.kind !== "project" && item.id.toLowerCase().startsWith(looked)) ||
      item.name.toLowerCase().includes(looked),
  );
}

/** What a subject is called in a sentence; undefined for the project, which needs no name. */
export function nameOf(plan: PlanView, { of }: Subject): string | undefined {
  if (of === PROJECT) return undefined;
  const one = plan.activities.find((row) => row.id === of) ?? plan.branches.find((row) => row.id === of);
  return one?.name ?? of;
}
