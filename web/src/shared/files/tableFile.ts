import type { TablePreview } from "../api/client";

type BadCell = TablePreview["problems"][number];

/** What a cell of a table is known by. */
export const keyOf = ({ row, column }: Pick<BadCell, "row" | "column">) => `${row}:${column}`;

/** Cells typed anew as the server takes them, a line each. */
export const mendedLines = (cells: ReadonlyMap<string, string>) =>
  [...cells].map(([key, text]) => `${key}:${text.replace(/\s*\n\s*/g, " ")}`).join("\n");

/** How many rows are new, changed and as they are. */
export function countsOf({ rows }: TablePreview) {
  const count = (what: string) => rows.filter((row) => row.what === what).length;
  return { fresh: count("new"), changed: count("changed"), same: count("same") };
}
