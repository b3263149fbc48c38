import type { EffectsView, RiskMoves, RiskView } from "../../shared/api/client";
import type { GridRow } from "../../shared/grid/types";
import { isLive, STATES } from "./riskWords";

/** A risk in the register, with what it moves where that is known; the head of a group; or the row a new one is written in. */
export type RegisterRow = GridRow & {
  risk?: RiskView;
  moves?: RiskMoves;
  group?: { title: string; count: number; days: number; money: number };
};

/** In what order risks stand, and what they are grouped by. */
export const ARRANGEMENTS = [
  { value: "effect", label: "By effect" },
  { value: "score", label: "By score" },
  { value: "code", label: "By code" },
  { value: "category", label: "By category" },
  { value: "owner", label: "By owner" },
  { value: "state", label: "By state" },
] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number]["value"];

/** What risks can be looked for by, beside their text. */
export const RISK_FILTERS = [
  { value: "", label: "All risks" },
  { value: "live", label: "Open and occurred" },
  { value: "threat", label: "Threats" },
  { value: "opportunity", label: "Opportunities" },
  { value: "answered", label: "With a response" },
  { value: "undecided", label: "Response not decided" },
  { value: "unanswered", label: "Without a response" },
  { value: "beyond", label: "Beyond what is tolerated" },
  { value: "unquantified", label: "Without an effect" },
  { value: "unowned", label: "Without an owner" },
] as const;

const FITS: Record<string, (risk: RiskView) => boolean> = {
  live: isLive,
  threat: (risk) => risk.kind === "threat",
  opportunity: (risk) => risk.kind === "opportunity",
  answered: (risk) => risk.response !== undefined,
  undecided: (risk) => risk.response !== undefined && !risk.response.decided,
  unanswered: (risk) => risk.response === undefined,
  beyond: (risk) => risk.score?.beyond === true,
  unquantified: (risk) => risk.effects.length === 0,
  unowned: (risk) => risk.owner === "",
};

export interface RiskSearch {
  text: string;
  filter?: string;
  rows?: { ids: ReadonlySet<string> };
}

/** Whether a risk is one of those looked for. */
export function fits(risk: RiskView, { text, filter, rows }: RiskSearch): boolean {
  const said = `${risk.id} ${risk.title} ${risk.category} ${risk.owner} ${risk.cause} ${risk.event}`;
  return (
    (!rows || rows.ids.has(risk.id)) &&
    (FITS[filter ?? ""]?.(risk) ?? true) &&
    said.toLowerCase().includes(text.trim().toLowerCase())
  );
}

/** Risks with what they move, in the order of an arrangement: what moves most first, by days and then by money. */
export function registerRows(
  risks: readonly RiskView[],
  effects: EffectsView | undefined,
  arrangement: Arrangement = "effect",
): RegisterRow[] {
  const moves = new Map(effects?.rows.map((row) => [row.risk, row]));
  const rows = risks.map((risk) => ({
    id: risk.id,
    depth: 0,
    soft: !isLive(risk),
    risk,
    moves: moves.get(risk.id),
  }));
  if (arrangement === "code") return rows;
  if (arrangement === "score")
    return rows.sort((a, b) => (b.risk.score?.product ?? 0) - (a.risk.score?.product ?? 0));
  return rows.sort((a, b) => size(b, "days") - size(a, "days") || size(b, "money") - size(a, "money"));
}

const size = ({ moves }: RegisterRow, of: "days" | "money") => Math.abs(moves?.moved[of] ?? 0);

/** Rows under the heads of their groups, groups with what moves most first; groups that are closed show their head alone. */
export function groupedRows(
  rows: readonly RegisterRow[],
  arrangement: Arrangement,
  closed: ReadonlySet<string>,
): RegisterRow[] {
  const titles = GROUPS[arrangement];
  if (!titles) return [...rows];
  const heads = new Map<string, Head>();
  const top: Head[] = [];
  for (const row of rows) {
    if (!row.risk) continue;
    let beneath = top;
    let path = "";
    let head: Head | undefined;
    for (const title of titles(row.risk)) {
      path = `${path}/${title}`;
      head = heads.get(path);
      if (!head) {
        head = { path, title, rows: [], heads: [] };
        heads.set(path, head);
        beneath.push(head);
      }
      beneath = head.heads;
    }
    head?.rows.push(row);
  }
  return top.flatMap((head) => shown(head, 0, closed));
}

interface Head {
  path: string;
  title: string;
  rows: RegisterRow[];
  heads: Head[];
}

function shown(head: Head, depth: number, closed: ReadonlySet<string>): RegisterRow[] {
  const id = `group ${head.path}`;
  const open = !closed.has(id);
  const all = allIn(head);
  const sum = (of: "days" | "money") => all.reduce((total, row) => total + (row.moves?.moved[of] ?? 0), 0);
  const group = { title: head.title, count: all.length, days: sum("days"), money: sum("money") };
  const beneath = [
    ...head.heads.flatMap((one) => shown(one, depth + 1, closed)),
    ...head.rows.map((row) => ({ ...row, depth: depth + 1 })),
  ];
  return [{ id, depth, strong: true, open, group }, ...(open ? beneath : [])];
}

const allIn = (head: Head): RegisterRow[] => [...head.rows, ...head.heads.flatMap(allIn)];

const GROUPS: Partial<Record<Arrangement, (risk: RiskView) => string[]>> = {
  category: ({ category }) => (category === "" ? ["Without a category"] : category.split("/")),
  owner: ({ owner }) => [owner || "Without an owner"],
  state: ({ state }) => [STATES.find((one) => one.value === state)?.label ?? state],
};

/** The code a new risk gets: after the manner of the last one. */
export function nextCode(risks: readonly RiskView[]): string {
  const [, letters = "R", digits = "00"] = /^(.*?)(\d*)$/.exec(risks.at(-1)?.id ?? "R00") ?? [];
  const taken = new Set(risks.map((risk) => risk.id));
  let number = Number(digits);
  let code: string;
  do code = letters + String(++number).padStart(digits.length, "0");
  while (taken.has(code));
  return code;
}

/** How few of them carry four fifths of all the days that threats add. */
export function fewThatCarryMost(rows: readonly RegisterRow[]): number | undefined {
  const days = rows.map(({ moves }) => Math.max(0, moves?.moved.days ?? 0)).sort((a, b) => b - a);
  const all = days.reduce((sum, one) => sum + one, 0);
  if (all === 0) return undefined;
  let sum = 0;
  return 1 + days.findIndex((one) => (sum += one) >= 0.8 * all);
}

/** From where to where the axis of days goes: all that moves, as it is and otherwise, and nothing at all. */
export function axisOf(rows: readonly RegisterRow[]): [number, number] {
  const days = rows.flatMap((row) => {
    const places = placesOf(row);
    return places ? [places.now, places.other ?? 0] : [];
  });
  const low = Math.min(0, ...days);
  const high = Math.max(0, ...days);
  return high > low ? [low, high] : [0, 1];
}

/** Days that a risk moves as the plan has it, and with its response, or without the one decided on. */
export function placesOf({ risk, moves }: RegisterRow): { now: number; other?: number } | undefined {
  if (!moves) return undefined;
  const { moved, response } = moves;
  if (!response) return { now: moved.days };
  const decided = risk?.response?.decided === true;
  return { now: moved.days, other: decided ? moved.days - response.days : moved.days + response.days };
}
