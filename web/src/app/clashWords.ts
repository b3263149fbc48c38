import type { Clash } from "../shared/api/client";

/** Fields of the project file whose names are no words of the interface. */
const WORDS: Record<string, string> = {
  estimate: "range",
  wbs: "branch",
  all: "what it comes after",
  impacts: "effects",
  from: "strikes from",
  to: "strikes until",
};

/** What of an object two have changed. */
export function fieldWord({ field }: Pick<Clash, "field">): string {
  if (field === "") return "as a whole";
  return WORDS[field] ?? field.replaceAll(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** A value of the project file as a person reads it. */
export function valueWord(value: unknown): string {
  if (value === undefined || value === null || value === "") return "nothing";
  if (Array.isArray(value)) return value.map(valueWord).join("; ");
  if (typeof value === "object")
    return Object.entries(value)
      .map(([name, one]) => `${fieldWord({ field: name })} ${valueWord(one)}`)
      .join(", ");
  return typeof value === "string" ? value : JSON.stringify(value);
}
