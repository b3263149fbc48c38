import { asIs, http } from "../api/client";
import { keepFile } from "./picture";

/** A table as it is taken out: numbers as numbers, so that they can be worked with. */
export interface TakenTable {
  columns: string[];
  rows: (string | number | null)[][];
}

/** A table on screen as a file of text or a spreadsheet. */
export async function takeTable(kind: "csv" | "xlsx", title: string, table: TakenTable) {
  const sent = {
    ...asIs(new Blob([JSON.stringify({ title, ...table })]), "application/json"),
    parseAs: "blob" as const,
  };
  const { data } =
    kind === "csv" ? await http.POST("/api/tables/csv", sent) : await http.POST("/api/tables/xlsx", sent);
  keepFile(data as unknown as Blob, `${title}.${kind}`);
}
