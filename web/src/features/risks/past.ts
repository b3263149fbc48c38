import type { PastWords } from "../../shared/api/client";
import { formatDay, parseDay, toCivilText } from "../../shared/format/dates";
import { editedNumber, parseMoney, parseNumber } from "../../shared/format/numbers";

type Event = NonNullable<PastWords["events"]>[number];

/** Events as lines to be changed: the day, where it is known, and what it took. */
export const eventsText = (events: readonly Event[]) =>
  events
    .map(({ on, amount }) => [on && formatDay(on), editedNumber(amount)].filter(Boolean).join("  "))
    .join("\n");

/** Lines as they are typed or pasted: a day and an amount, or an amount alone; a line of titles is passed over. */
export function parsedEvents(text: string): { events: Event[] } | { refusal: string } {
  const events: Event[] = [];
  for (const [i, line] of text.split("\n").entries()) {
    const said = line.trim();
    if (said === "") continue;
    const [, first = "", amount = ""] = /^(.*?)[\s;\t]*([-\d.,km\u2212]+)$/i.exec(said) ?? [];
    const value = parseNumber(amount) ?? parseMoney(amount);
    const day = first.trim() === "" ? undefined : parseDay(first.trim().replace(/[;,]$/, ""));
    if (value === undefined || (first.trim() !== "" && day === undefined)) {
      if (i === 0 && !/\d/.test(said)) continue;
      return { refusal: `“${said}” should be a day and what it took, such as 2024-02-11  1.5.` };
    }
    events.push({ ...(day !== undefined && { on: toCivilText(day).slice(0, 10) }), amount: value });
  }
  return { events };
}

export function pastNumbers(text: string): { value: number } | { refusal: string } {
  const value = parseNumber(text) ?? parseMoney(text);
  return value === undefined ? { refusal: `A number is needed, not “${text}”.` } : { value };
}

/** How many events each year had, from the first to the last. */
export function byYear(events: readonly Event[]): { year: number; count: number }[] {
  const years = events.flatMap(({ on }) => (on ? [Number(on.slice(0, 4))] : []));
  if (years.length === 0) return [];
  const first = Math.min(...years);
  return Array.from({ length: Math.max(...years) - first + 1 }, (_, i) => ({
    year: first + i,
    count: years.filter((year) => year === first + i).length,
  }));
}
