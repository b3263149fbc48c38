import type { EffectsView, RiskEffect, RiskMoves, RiskView } from "../../shared/api/client";
import { formatAmount, formatChance, formatDays, formatWhole } from "../../shared/format/numbers";
import type { GridRow } from "../../shared/grid/types";

/** A risk in the register, with what it moves where that is known. */
export type RegisterRow = GridRow & RiskView & { moves?: RiskMoves };

/** What moves most comes first, by days and then by money; then what is not known to move anything, in its own order. */
export function registerRows(risks: RiskView[], effects: EffectsView | undefined): RegisterRow[] {
  const moves = new Map(effects?.rows.map((row) => [row.risk, row]));
  return risks
    .map((risk) => ({ ...risk, depth: 0, soft: !isLive(risk), moves: moves.get(risk.id) }))
    .sort((a, b) => size(b, "days") - size(a, "days") || size(b, "money") - size(a, "money"));
}

const size = ({ moves }: RegisterRow, of: "days" | "money") => Math.abs(moves?.moved[of] ?? 0);

/** Whether it takes part in the simulation. */
export const isLive = ({ state }: RiskView) => state === "open" || state === "occurred";

/** 30 %, or how often a year. */
export function chanceWords({ chance, perYear }: RiskView): string {
  if (perYear === undefined) return formatChance(chance);
  const often = `${formatDays(perYear)} a year`;
  return chance < 1 ? `${formatChance(chance)}, ${often}` : often;
}

/** What it does to time: "10–60 d on S20", "2–15 % on 2"; several one after the other. */
export const timeWords = (risk: RiskView) => words(risk, "Time", "d");

/** What it does to money: "25k–110k on K32", "3–22 % on K22". */
export const moneyWords = (risk: RiskView) => words(risk, "Cost", "");

const words = (risk: RiskView, what: "Time" | "Cost", unit: string) =>
  risk.effects
    .filter(({ effect }) => effect.endsWith(what))
    .map((effect) => `${sizeWords(effect, unit)} on ${targetWords(effect.on)}`)
    .join(", ");

const targetWords = (on: string[]) => (on.length === 1 ? on[0] : formatWhole(on.length));

function sizeWords({ effect, low, high, basis }: RiskEffect, unit: string): string {
  if (effect.startsWith("scale")) return `${span((low - 1) * 100, (high - 1) * 100, percent)} %`;
  if (basis === "money") return span(low, high, formatAmount);
  return `${span(low, high, formatDays)} ${basis === "hours" ? "h" : unit}`;
}

const percent = (value: number) => formatDays(Math.round(value * 10) / 10);

/** From one value to another, as one where they are the same. */
function span(low: number, high: number, format: (value: number) => string): string {
  const told = (value: number) => `${value < 0 ? "−" : ""}${format(Math.abs(value))}`;
  if (low === high) return told(low);
  return low < 0 || high < 0 ? `${told(low)} to ${told(high)}` : `${told(low)}–${told(high)}`;
}

/** How few of them carry four fifths of all the days that threats add. */
export function fewThatCarryMost(rows: RegisterRow[]): number | undefined {
  const days = rows.map(({ moves }) => Math.max(0, moves?.moved.days ?? 0)).sort((a, b) => b - a);
  const all = days.reduce((sum, one) => sum + one, 0);
  if (all === 0) return undefined;
  let sum = 0;
  return 1 + days.findIndex((one) => (sum += one) >= 0.8 * all);
}

/** From where to where the axis of days goes: all that moves, as it is and answered, and nothing at all. */
export function axisOf(rows: RegisterRow[]): [number, number] {
  const days = rows.flatMap(({ moves }) =>
    moves ? [moves.moved.days, moves.moved.days + (moves.response?.days ?? 0)] : [],
  );
  const low = Math.min(0, ...days);
  const high = Math.max(0, ...days);
  return high > low ? [low, high] : [0, 1];
}
