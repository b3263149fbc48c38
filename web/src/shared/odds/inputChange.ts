import type { InputChange } from "../api/client";
import { formatDay } from "../format/dates";

type ChangedField = InputChange["details"][number];

/** "Activity S20, Access permit: duration 80d → 90d, estimate changed." */
export function inWords({ section, title, key, name, what, details }: InputChange): string {
  const named = section === "project" ? title : `${title} ${key}${name ? `, ${name}` : ""}`;
  return `${named}: ${details.length > 0 ? `${details.map(fieldSaid).join(", ")} ` : ""}${what}.`;
}

/** "actual start" for actualStart. */
export const fieldWord = (name: string) => name.replace(/([A-Z])/g, " $1").toLowerCase();

/** A field that differs, with what it said before and says now where that is a word or a number. */
export function fieldSaid({ name, before, after }: ChangedField): string {
  if (before === undefined && after === undefined) return fieldWord(name);
  if (before === undefined) return `${fieldWord(name)} ${valueSaid(after)}`;
  return `${fieldWord(name)} ${valueSaid(before)} → ${valueSaid(after)}`;
}

const ISO = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2})?)?$/;

const valueSaid = (value: string | undefined) =>
  value === undefined ? "none" : ISO.test(value) ? formatDay(value) : value;
