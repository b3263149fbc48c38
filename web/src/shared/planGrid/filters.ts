import type { ActivityView, PlanView } from "../api/client";
import type { Search } from "../grid/gridStore";
import type { Sieve } from "./rows";

/** What rows can be looked for by, beside their text. */
export const FILTERS = [
  { value: "", label: "All rows" },
  { value: "longest", label: "On the longest path" },
  { value: "float", label: "Less than a week of float" },
  { value: "certain", label: "Without a range" },
  { value: "own", label: "With a range of its own" },
  { value: "noPredecessor", label: "Without predecessor" },
  { value: "noSuccessor", label: "Without successor" },
  { value: "held", label: "Held to a date" },
  { value: "milestones", label: "Milestones" },
  { value: "underWay", label: "Under way" },
  { value: "ahead", label: "Not started" },
] as const;

/** Of a programme what is seen first: its projects by their milestones, with the work that waits for another project. */
export const FIRST_OF_A_PROGRAMME = "across";

/** Those of a plan; of a programme with what goes across its projects. */
export const filtersOf = (plan: PlanView): { value: string; label: string }[] =>
  plan.project.programme
    ? [...FILTERS, { value: FIRST_OF_A_PROGRAMME, label: "Across projects" }]
    : [...FILTERS];

/** Whether it ties work of one project of a programme to that of another: codes begin with the project's. */
export const isAcross = ({ from, to }: { from: string; to: string }) =>
  from.includes(":") && to.includes(":") && from.split(":", 1)[0] !== to.split(":", 1)[0];

function filterOf(plan: PlanView, filter: string): (activity: ActivityView) => boolean {
  const into = new Set(plan.links.map((link) => link.to));
  const outOf = new Set(plan.links.map((link) => link.from));
  switch (filter) {
    case "longest":
      return (activity) => activity.onLongestPath;
    case "float":
      return (activity) => activity.kind !== "hammock" && activity.totalFloatDays < 5;
    case "certain":
      return (activity) => activity.kind === "task" && activity.range.shape === "certain";
    case "own":
      return (activity) => activity.estimate !== undefined;
    case "noPredecessor":
      return (activity) => !into.has(activity.id);
    case "noSuccessor":
      return (activity) => !outOf.has(activity.id);
    case "held":
      return (activity) => activity.constraint !== undefined;
    case "milestones":
      return (activity) => activity.kind === "milestone";
    case FIRST_OF_A_PROGRAMME: {
      const tied = new Set(plan.links.filter(isAcross).flatMap(({ from, to }) => [from, to]));
      return (activity) => activity.kind === "milestone" || tied.has(activity.id);
    }
    case "underWay":
      return (activity) => activity.actualStart !== undefined && activity.actualFinish === undefined;
    case "ahead":
      return (activity) => activity.actualStart === undefined;
    default:
      return () => true;
  }
}

/** What a search lets through; undefined where nothing is looked for. */
export function sieveOf(plan: PlanView, search: Search): Sieve | undefined {
  const text = search.text.trim().toLowerCase();
  if (text === "" && !search.filter && !search.rows) return undefined;
  const fits = filterOf(plan, search.filter ?? "");
  const named = search.rows?.ids;
  const says = (id: string, name: string) => `${id} ${name}`.toLowerCase().includes(text);
  return {
    keepsClosed: text === "" && !named && search.filter === FIRST_OF_A_PROGRAMME,
    activity: (activity) =>
      (!named || named.has(activity.id)) &&
      fits(activity) &&
      (text === "" || says(activity.id, activity.name)),
    branch: named
      ? (branch) => named.has(branch.id)
      : text === "" || search.filter
        ? undefined
        : (branch) => says(branch.code, branch.name),
    cost: named
      ? (cost) => named.has(cost.id)
      : (cost) => text !== "" && !search.filter && says(cost.id, cost.name),
  };
}
