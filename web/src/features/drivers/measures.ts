import type { DriverRow, DriversView, GroupRow, MovesView } from "../../shared/api/client";
import type { GridRow } from "../../shared/grid/types";
import type { Measure } from "./driversStore";

export const MEASURES: { value: Measure; label: string }[] = [
  { value: "swing", label: "swing" },
  { value: "removal", label: "removal" },
  { value: "day", label: "a day less" },
  { value: "tenth", label: "a tenth less" },
  { value: "contribution", label: "share of variance" },
  { value: "rank", label: "rank correlation" },
  { value: "slope", label: "slope" },
  { value: "coefficient", label: "coefficient" },
];

export const GATHERINGS: { value: string; label: string }[] = [
  { value: "", label: "one by one" },
  { value: "branch 1", label: "by branch" },
  { value: "branch 2", label: "by branch, two levels" },
  { value: "branch 3", label: "by branch, three levels" },
  { value: "category 1", label: "by risk category" },
  { value: "category 2", label: "by risk category, two levels" },
  { value: "owner 1", label: "by risk owner" },
  { value: "resource 1", label: "by resource" },
  { value: "kind 1", label: "by kind" },
];

/** A row of the list: an input with what it does, or inputs that belong together. */
export interface InputRow extends GridRow {
  name: string;
  code: string;
  mark?: string;
  driver?: DriverRow;
  group?: GroupRow;
  /** By the measure that is chosen; what has none comes last. */
  value?: number;
  /** Half-width of its interval. */
  error?: number;
  /** Ends of what is drawn. */
  from?: number;
  to?: number;
  /** The last row above the line of four fifths. */
  last?: boolean;
}

/** Measures of which sums mean something. */
export const addsUp = (measure: Measure) =>
  measure === "swing" || measure === "contribution" || measure === "removal";

const read: Record<Measure, (row: DriverRow) => number | undefined> = {
  swing: ({ low, high }) => (low === undefined || high === undefined ? undefined : high - low),
  contribution: (row) => row.contribution,
  rank: (row) => row.spearman,
  slope: (row) => row.slope,
  coefficient: (row) => row.coefficient,
  removal: () => undefined,
  day: () => undefined,
  tenth: () => undefined,
};

/** The share of the variance under whose line no more than a fifth lies. */
const FOUR_FIFTHS = 0.8;

/** Rows of the list by a measure, the strongest first; in groups, those that belong together beneath their sum. */
export function rowsOf(
  view: DriversView,
  moves: MovesView | undefined,
  measure: Measure,
  closed: ReadonlySet<string>,
): InputRow[] {
  const shares = new Map(view.rows.map((row) => [row.input.key, row]));
  const single = moves
    ? moves.rows.map((move): InputRow => {
        const driver = shares.get(move.input.key);
        return {
          ...nameRow(move.input),
          driver,
          value: move.change,
          error: move.error,
          from: 0,
          to: move.change,
        };
      })
    : view.rows.map((driver): InputRow => {
        const value = read[measure](driver);
        const swing = measure === "swing";
        return {
          ...nameRow(driver.input),
          driver,
          value,
          error: swing ? driver.error : undefined,
          from: swing ? driver.low : 0,
          to: swing ? driver.high : value,
        };
      });
  const sorted = single.sort((a, b) => Math.abs(b.value ?? 0) - Math.abs(a.value ?? 0));
  const groups = moves ? moves.groups : view.groups;
  if (groups.length > 0 && addsUp(measure)) return gathered(sorted, groups, closed);
  const last = fourFifths(sorted);
  return sorted.map((row, i) => (i === last ? { ...row, last: true } : row));
}

const nameRow = (input: DriverRow["input"]) => ({
  id: input.key,
  depth: 0,
  name: input.name,
  code: input.id,
  mark: input.mark,
});

function gathered(rows: InputRow[], groups: GroupRow[], closed: ReadonlySet<string>): InputRow[] {
  const byKey = new Map(rows.map((row) => [row.id, row]));
  return groups.flatMap((group) => {
    const id = `group ${group.id}`;
    // Closed is how they begin: what is kept is which were opened.
    const open = closed.has(id);
    const head: InputRow = {
      id,
      depth: 0,
      open,
      strong: true,
      name: group.name,
      code: "",
      group,
      value: group.value,
      from: 0,
      to: group.value,
    };
    const beneath = group.keys.flatMap((key) => {
      const row = byKey.get(key);
      return row ? [{ ...row, depth: 1 }] : [];
    });
    return open ? [head, ...beneath] : [head];
  });
}

/** The index of the last row that is needed for four fifths of what is explained; none where nothing is. */
export function fourFifths(rows: InputRow[]): number | undefined {
  const shares = rows.map((row) => Math.max(0, row.driver?.contribution ?? 0));
  const whole = shares.reduce((sum, share) => sum + share, 0);
  if (whole <= 0) return undefined;
  let sum = 0;
  const last = shares.findIndex((share) => (sum += share) >= FOUR_FIFTHS * whole);
  return last < 0 ? undefined : last;
}

/** Those that belong to a group, the largest first, as rows of their own. */
export function membersOf(row: InputRow, view: DriversView, moves: MovesView | undefined, measure: Measure) {
  const all = new Map(
    rowsOf({ ...view, groups: [] }, moves && { ...moves, groups: [] }, measure, NONE).map((one) => [
      one.id,
      one,
    ]),
  );
  return (row.group?.keys ?? []).flatMap((key) => all.get(key) ?? []);
}

const NONE: ReadonlySet<string> = new Set();
