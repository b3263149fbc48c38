import type { RiskView } from "../../shared/api/client";
import { formatAmount, formatChance, formatDays, formatWhole } from "../../shared/format/numbers";

type Effect = RiskView["effects"][number];

/** 30 %, or how often a year. */
export function chanceWords({ chance, perYear }: Pick<RiskView, "chance" | "perYear">): string {
  if (perYear === undefined) return formatChance(chance);
  const often = `${formatDays(perYear)} a year`;
  return chance < 1 ? `${formatChance(chance)}, ${often}` : often;
}

/** What it does to time: "10–60 d on S20", "2–15 % on 2"; several one after the other. */
export const timeWords = (effects: readonly Effect[]) => words(effects, "Time", "d");

/** What it does to money: "25k–110k on K32", "3–22 % on K22". */
export const moneyWords = (effects: readonly Effect[]) => words(effects, "Cost", "");

const words = (effects: readonly Effect[], what: "Time" | "Cost", unit: string) =>
  effects
    .filter(({ effect }) => effect.endsWith(what))
    .map((effect) => `${sizeWords(effect, unit)} on ${targetWords(effect.on)}`)
    .join(", ");

const targetWords = (on: string[]) => (on.length === 1 ? on[0] : formatWhole(on.length));

function sizeWords({ effect, low, high, basis }: Effect, unit: string): string {
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
