import type { ProgrammePart, ProgrammeView, TieWorth } from "../../shared/api/client";
import type { Tie } from "../../shared/api/programmes";
import { civil, formatDay, formatMonth } from "../../shared/format/dates";
import { formatChance, formatDays, formatSigned } from "../../shared/format/numbers";

/** "KR:S50 Culverts and road surface". */
const named = (id: string, names: ProgrammeView["names"]) => (names[id] ? `${id} ${names[id]}` : id);

/** What a tie binds, in a line. */
export function tieSaid(tie: Tie, names: ProgrammeView["names"]): string {
  switch (tie.kind) {
    case "logic": {
      const how = [tie.type === "FS" ? "" : tie.type, tie.lag.startsWith("0") ? "" : tie.lag]
        .filter(Boolean)
        .join(" ");
      return `${named(tie.from, names)} → ${named(tie.to, names)}${how ? ` (${how})` : ""}`;
    }
    case "risk":
      return `${named(tie.risk, names)}: one event, also as ${tie.others.join(", ")}`;
    case "together":
      return `${tie.name || "Estimates that move together"}: ${tie.members.map((one) => named(one, names)).join("; ")}, at ${tie.coefficient}`;
    case "resource":
      return `${tie.name || "A resource"}, shared: ${tie.resources.join(", ")}, at most ${tie.limit}`;
  }
}

/** What it costs: by how much it moves whom, or how often there is too little of what is shared. */
export function worthSaid(worth: TieWorth, projects: ProgrammeView["projects"], confidence: number): string {
  if (worth.overbooked !== undefined) {
    if (worth.overbooked <= 0) return "never wanted by more than there are";
    const months = (worth.months ?? []).map((month) => formatMonth(civil(`${month}T00:00`)));
    return `overbooked in ${formatChance(worth.overbooked)} of futures${months.length ? `, most in ${months.join(", ")}` : ""}`;
  }
  const days = Math.round(worth.days ?? 0);
  if (days === 0) return "moves no project by a day";
  const whom = projects.find((one) => one.code === worth.moves)?.name ?? worth.moves;
  return `moves ${whom} by ${formatSigned(days)} working ${Math.abs(days) === 1 ? "day" : "days"} at P${confidence}`;
}

/** The next free name of a tie. */
export function freeTie(taken: readonly string[]): string {
  for (let n = 1; ; n++) if (!taken.includes(`T${n}`)) return `T${n}`;
}

/** Ids as somebody types them, apart by commas or semicolons. */
export const idsOf = (text: string) =>
  text
    .split(/[;,\n]/)
    .map((one) => one.trim())
    .filter(Boolean);

/** After so long somebody should look whether a currency is still worth what it was. */
const OLD_DAYS = 30;
const DAY_MS = 86_400_000;

/** "KR: 1.05 EUR for one of its own money, as of 1 Nov 2026." @param today as time */
export function rateSaid(member: ProgrammePart, currency: string, today: number): string | undefined {
  const { code, worth, worthOn } = member;
  if (worth === undefined) return undefined;
  const said = `${code}: ${formatDays(worth)} ${currency} for one of its own money`;
  if (worthOn === undefined) return `${said}.`;
  const days = Math.floor((today - civil(`${worthOn}T00:00`)) / DAY_MS);
  const age =
    days > OLD_DAYS
      ? `, ${days} days ago: is it still right? Take the project out and in again with the rate of today`
      : "";
  return `${said}, as of ${formatDay(`${worthOn}T00:00`)}${age}.`;
}
