import type {
  ConfirmedShare,
  ProjectSummary,
  Standing,
  StandingPart,
  StandingView,
} from "../../shared/api/client";
import { civil, DAY_MS } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";

/** A line of the list: a project or programme by itself, or a project within a programme. */
export interface SteeringRow {
  key: string;
  /** Of a project within a programme: its code there. */
  code?: string;
  name: string;
  /** Absent where whoever looks may not read it. */
  summary?: ProjectSummary;
  programme?: string;
  standing?: Standing;
  /** Of a project within a programme: where it stands by itself. */
  alone?: Standing;
  /** Being worked out anew. */
  pending: boolean;
  problem?: string;
  /** How much was confirmed by those who answer for it; absent where nobody was ever asked. */
  confirmed?: ConfirmedShare;
  /** Of a programme of which whoever looks may not read all projects. */
  partly?: boolean;
}

/** How lines are put together: projects beneath their programme, as they come out within it; or each by itself. */
export type Grouping = "programme" | "none";

/** Programmes first, each with its projects beneath it; then what is part of none. */
export function steeringRows(
  projects: readonly ProjectSummary[],
  standings: readonly StandingView[],
  grouping: Grouping = "programme",
): SteeringRow[] {
  const byId = new Map(projects.map((one) => [one.project.id, one]));
  const known = new Map(standings.map((one) => [one.project, one]));
  const within = new Set(
    standings.flatMap((one) => (byId.has(one.project) ? one.parts.map((part) => part.project) : [])),
  );
  const row = (summary: ProjectSummary): SteeringRow => {
    const one = known.get(summary.project.id);
    return {
      key: summary.project.id,
      name: summary.project.name,
      summary,
      standing: one?.standing,
      pending: one !== undefined && !one.fresh && one.problem === undefined,
      problem: one?.problem,
      confirmed: one?.confirmed,
      partly: one?.parts.some((part) => part.project === undefined),
    };
  };
  const part = (programme: ProjectSummary, pending: boolean, one: StandingPart): SteeringRow => ({
    key: `${programme.project.id} ${one.code}`,
    code: one.code,
    name: one.name ?? "A project that lets nothing out to you",
    summary: one.project === undefined ? undefined : byId.get(one.project),
    programme: programme.project.id,
    standing: one.standing,
    pending,
    alone: known.get(one.project ?? "")?.standing,
    confirmed: known.get(one.project ?? "")?.confirmed,
  });
  if (grouping === "none") return projects.map(row);
  const programmes = projects.filter(({ project }) => project.programme);
  return [
    ...programmes.flatMap((summary) => {
      const whole = row(summary);
      const parts = known.get(summary.project.id)?.parts ?? [];
      return [whole, ...parts.map((one) => part(summary, whole.pending, one))];
    }),
    ...projects.filter(({ project }) => !project.programme && !within.has(project.id)).map(row),
  ];
}

/** Those whose name, or whose driver, has a text in it; of a programme all where its own has. */
export function named(rows: readonly SteeringRow[], text: string): SteeringRow[] {
  const wanted = text.trim().toLowerCase();
  if (!wanted) return [...rows];
  const has = (row: SteeringRow) =>
    row.name.toLowerCase().includes(wanted) ||
    (row.standing?.driver?.toLowerCase().includes(wanted) ?? false);
  const whole = new Set(rows.filter((row) => row.code === undefined && has(row)).map(({ key }) => key));
  const partly = new Set(rows.filter(has).map(({ programme }) => programme));
  return rows.filter(
    (row) => has(row) || partly.has(row.key) || (row.programme !== undefined && whole.has(row.programme)),
  );
}

/** Which lines are wanted. */
export type Wanted = "all" | "unlikely" | "later" | "findings";

/** Those that are wanted; a programme where one of its projects is. What was recorded and found is a project's own. */
export function wantedRows(rows: readonly SteeringRow[], wanted: Wanted): SteeringRow[] {
  const is = (row: SteeringRow) => {
    const own = row.code === undefined ? row : { ...row, code: undefined, standing: row.alone };
    switch (wanted) {
      case "all":
        return true;
      case "unlikely":
        return (row.standing?.finish.chance ?? 1) < 0.5;
      case "later":
        return (drift(own) ?? 0) > 0;
      case "findings":
        return (own.standing?.findings ?? 0) > 0;
    }
  };
  const partly = new Set(rows.filter(is).map(({ programme }) => programme));
  return rows.filter((row) => is(row) || partly.has(row.key));
}

/** How much was confirmed in few words, and in all; nothing where nobody was ever asked. */
export function confirmedWords({
  confirmed,
  partly,
}: SteeringRow): { short: string; long: string } | undefined {
  if (!confirmed) return undefined;
  const { confirmedRisks, risks, confirmedRanges, ranges } = confirmed;
  const all = risks + ranges;
  return {
    short: `${all === 0 ? 0 : Math.round((100 * (confirmedRisks + confirmedRanges)) / all)} % confirmed`,
    long: `Confirmed by their owners: ${confirmedRisks} of ${risks} risks and ${confirmedRanges} of ${ranges} ranges${
      partly ? ", of the projects you may read" : ""
    }`,
  };
}

/** By which rows are ordered; projects stay beneath their programme. */
export type SteeringSort = "name" | "level" | "chance" | "drift";

export function sorted(rows: readonly SteeringRow[], by: SteeringSort | undefined): SteeringRow[] {
  if (!by) return [...rows];
  const groups: SteeringRow[][] = [];
  for (const row of rows) {
    if (row.code === undefined) groups.push([row]);
    else groups.at(-1)?.push(row);
  }
  const compare = (one: SteeringRow, other: SteeringRow) => measure(one, by) - measure(other, by);
  const order = (some: SteeringRow[]) =>
    by === "name"
      ? some.toSorted((one, other) => one.name.localeCompare(other.name))
      : some.toSorted(compare);
  const heads = order(groups.flatMap(([head]) => (head ? [head] : [])));
  return heads.flatMap((head) => [head, ...order(groups.find(([first]) => first === head)?.slice(1) ?? [])]);
}

/** The least likely, the latest and the one that drifted most come first; what is not known comes last. */
function measure(row: SteeringRow, by: SteeringSort): number {
  switch (by) {
    case "chance":
      return row.standing?.finish.chance ?? 2;
    case "drift":
      return -(drift(row) ?? -Infinity);
    default:
      return row.standing ? -civil(row.standing.finish.level) : Infinity;
  }
}

/** Days by which the finish kept at the level has moved since the last recorded run; nothing without one at that level. */
export function drift({ summary, standing, code }: SteeringRow): number | undefined {
  const kept = summary?.kept;
  if (!kept || !standing || code !== undefined || kept.level !== standing.confidence) return undefined;
  return Math.round((civil(standing.finish.level) - civil(kept.finish)) / DAY_MS);
}

const COUNTS = ["None", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten"];
const counted = (count: number) => COUNTS[count] ?? String(count);

/** The answer of the list in a sentence; nothing where no target was ever set. */
export function steeringSentence(rows: readonly SteeringRow[]): string | undefined {
  const single = rows.filter(
    (row) => row.summary && !row.summary.project.programme && row.standing?.finish.chance !== undefined,
  );
  if (single.length === 0) return undefined;
  const poor = single.filter((row) => (row.standing?.finish.chance ?? 1) < 0.5).length;
  const all =
    single.length === 1
      ? "The project has"
      : single.length === 2
        ? "Both projects have"
        : `All ${counted(single.length).toLowerCase()} projects have`;
  const first =
    poor === 0
      ? `${all} at least an even chance of ${single.length === 1 ? "its date" : "their dates"}`
      : `${counted(poor)} of ${counted(single.length).toLowerCase()} ${single.length === 1 ? "project" : "projects"} ${
          poor === 1 ? "has" : "have"
        } less than an even chance of ${poor === 1 ? "its date" : "their dates"}`;
  const needs = rows.flatMap(({ summary, standing }) => {
    const cost = standing?.cost;
    if (!summary?.project.programme || cost?.target === undefined) return [];
    const gap = cost.level - cost.target;
    return gap > 0
      ? [
          `${summary.project.name} needs ${formatMoney(gap, standing?.currency ?? "EUR")} more to be ${standing?.confidence} % sure of its budget`,
        ]
      : [];
  });
  return [first, ...needs].join("; ") + ".";
}
