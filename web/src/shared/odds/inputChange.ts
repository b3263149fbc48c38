import type { InputChange } from "../api/client";

/** "Activity S20, Access permit: duration, estimate changed." */
export function inWords({ section, title, key, name, what, fields }: InputChange): string {
  const named = section === "project" ? title : `${title} ${key}${name ? `, ${name}` : ""}`;
  const spelled = fields.map((field) => field.replace(/([A-Z])/g, " $1").toLowerCase());
  return `${named}: ${spelled.length > 0 ? `${spelled.join(", ")} ` : ""}${what}.`;
}
