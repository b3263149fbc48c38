import type { ScenarioRow } from "../../shared/api/client";
import { THE_PLAN } from "../../shared/api/scenarios";

/** How a scenario is drawn: by a colour and by a dash, so that either alone tells it. */
export interface Stroke {
  colour: string;
  dash?: string;
}

const COLOURS = 6;
const DASHES = [undefined, "9 4", "2 4", "10 3 2 3", "14 3", "5 5"];

/** The plan is drawn as what was simulated; scenarios have colours of their own, in their order. */
export function strokeOf(rows: readonly ScenarioRow[], id: string): Stroke {
  if (id === THE_PLAN) return { colour: "var(--chakra-colors-simulated)" };
  const at = Math.max(0, rows.findIndex((row) => row.id === id) - 1);
  return {
    colour: `var(--chakra-colors-scenario${(at % COLOURS) + 1})`,
    dash: DASHES[(Math.floor(at / COLOURS) + at) % DASHES.length],
  };
}

const MOST_AT_FIRST = 4;

/** Those that are drawn: as ticked, else the plan and the first few. */
export function tickedOf(rows: readonly ScenarioRow[], ticked: readonly string[] | undefined): string[] {
  const there = rows.filter((row) => !row.putAway);
  return ticked
    ? there.filter((row) => ticked.includes(row.id)).map((row) => row.id)
    : there.slice(0, MOST_AT_FIRST).map((row) => row.id);
}

/** How far what is known of some scenarios goes; empty until all of them are worked out. */
export function markOf(rows: readonly ScenarioRow[], ids: readonly string[], revision: number): string {
  const odds = ids.map((id) => rows.find((row) => row.id === id)?.odds);
  if (ids.length === 0 || odds.some((one) => !one)) return "";
  return `${revision} ${odds.map((one) => one?.iterations).join(" ")}`;
}
