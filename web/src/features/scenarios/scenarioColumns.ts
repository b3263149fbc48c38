import type { ScenarioRow, ScenariosView } from "../../shared/api/client";
import type { TakenTable } from "../../shared/charts/takeTable";
import type { SortKey } from "./scenariosStore";
import { differenceWords } from "./scenarioWords";

export interface TableColumn {
  key: SortKey;
  label: string;
  hint?: string;
  left?: boolean;
}

/** What stands beside each scenario, at a level of confidence. */
export function columnsOf(level: number, hasMoney: boolean): TableColumn[] {
  const against = "How far it lies from the base, by the same futures; ± is the error of the difference";
  const time: TableColumn[] = [
    {
      key: "name",
      label: "Scenario",
      left: true,
      hint: "A third click on a header brings back the order in which they were made",
    },
    { key: "finishHalf", label: "P50 finish" },
    { key: "finishLevel", label: `P${level} finish` },
    { key: "days", label: "against", hint: `${against}. In working days.` },
    { key: "target", label: "target", hint: "Chance that the target date is kept" },
  ];
  if (!hasMoney) return time;
  return [
    ...time,
    { key: "costHalf", label: "P50 cost" },
    { key: "costLevel", label: `P${level} cost` },
    { key: "cost", label: "against", hint: against },
    { key: "budget", label: "budget", hint: "Chance that the budget is kept" },
    { key: "both", label: "both", hint: "Chance that target and budget are kept in the same future" },
    {
      key: "now",
      label: "costs now",
      hint: "What is planned to be spent more than in the base, before anything happens",
    },
  ];
}

const VALUES: Record<SortKey, (row: ScenarioRow) => number | string | undefined> = {
  order: () => undefined,
  name: (row) => row.name,
  finishHalf: (row) => row.odds?.finishHalf,
  finishLevel: (row) => row.odds?.finishLevel,
  days: (row) => row.gap?.days ?? 0,
  target: (row) => row.odds?.finishChance,
  costHalf: (row) => row.odds?.costHalf,
  costLevel: (row) => row.odds?.costLevel,
  cost: (row) => row.gap?.cost ?? 0,
  budget: (row) => row.odds?.costChance,
  both: (row) => row.odds?.jointChance,
  now: (row) => row.gap?.now ?? 0,
};

/** Rows in the order of a column; those of which nothing is known last, whichever way. */
export function sortedRows(rows: readonly ScenarioRow[], key: SortKey, down: boolean): ScenarioRow[] {
  if (key === "order") return [...rows];
  const value = VALUES[key];
  return [...rows].sort((one, other) => {
    const [a, b] = [value(one), value(other)];
    if (a === undefined || b === undefined) return Number(a === undefined) - Number(b === undefined);
    const by = typeof a === "string" && typeof b === "string" ? a.localeCompare(b) : Number(a) - Number(b);
    return down ? -by : by;
  });
}

/** The table as it is taken out. */
export function takenScenarios(
  view: ScenariosView,
  rows: readonly ScenarioRow[],
  currency: string,
): TakenTable {
  const level = `P${view.level}`;
  return {
    columns: [
      "Scenario",
      "What is different",
      "Futures",
      "P50 finish",
      `${level} finish`,
      `Working days against base at ${level}`,
      "Error of that",
      "Chance of target",
      `P50 cost ${currency}`,
      `${level} cost ${currency}`,
      `Cost against base at ${level}`,
      "Error of that ",
      "Chance of budget",
      "Chance of both",
      "Costs now",
    ],
    rows: rows.map((row) => [
      row.name,
      differenceWords(row),
      row.odds?.iterations ?? null,
      row.odds?.finishHalf.replace("T", " ") ?? null,
      row.odds?.finishLevel.replace("T", " ") ?? null,
      row.gap?.days ?? null,
      row.gap?.daysError ?? null,
      row.odds?.finishChance ?? null,
      row.odds?.costHalf ?? null,
      row.odds?.costLevel ?? null,
      row.gap?.cost ?? null,
      row.gap?.costError ?? null,
      row.odds?.costChance ?? null,
      row.odds?.jointChance ?? null,
      row.gap?.now ?? null,
    ]),
  };
}
