import type { Measure } from "./driversStore";
import type { Goal } from "./goal";
import type { InputRow } from "./measures";
import { rowSentence, valueText } from "./measureWords";

/** The list as a table to be worked with. */
export function inputTable(rows: InputRow[], measure: Measure, goal: Goal) {
  const unit = goal.money ? goal.currency : "days";
  return {
    columns: [
      "Code",
      "Input",
      "Kind",
      `${measure} (${unit})`,
      "± 95 %",
      `lowest tenth (${unit})`,
      `highest tenth (${unit})`,
      "best rank",
      "worst rank",
      "rank correlation",
      "slope",
      "slope per",
      "coefficient",
      "share of variance",
    ],
    rows: rows.map(({ code, name, mark, driver, value, error }) => [
      code,
      name,
      mark ?? "group",
      value ?? null,
      error ?? null,
      driver?.low ?? null,
      driver?.high ?? null,
      driver?.best ?? null,
      driver?.worst ?? null,
      driver?.spearman ?? null,
      driver?.slope ?? null,
      driver?.unit ?? null,
      driver?.coefficient ?? null,
      driver?.contribution ?? null,
    ]),
  };
}

const TOLD = 3;

/** A paragraph: the headline and the first few, each with what it does. */
export function inputLetter(rows: InputRow[], title: string, measure: Measure, goal: Goal): string {
  const told = rows
    .filter((row) => row.value !== undefined)
    .slice(0, TOLD)
    .map((row) => `${row.name} (${row.code || "together"}): ${valueText(row, measure, goal)}.`);
  const first = rows[0] ? rowSentence(rows[0], measure, goal) : "";
  return [title, first, ...told].join(" ");
}
