import type { RiskView, ScenarioRow } from "../../shared/api/client";
import type { ScenarioEdit } from "../../shared/api/scenarios";

type Switched = Pick<ScenarioRow, "risks" | "categories" | "otherRisks">;

/** How a scenario has a risk: by its own switch, by that of the nearest category, else as the others. */
export function settingOf(
  { risks, categories, otherRisks }: Switched,
  { id, category }: Pick<RiskView, "id" | "category">,
): string {
  const own = risks[id];
  if (own) return own;
  for (let at = category; at !== ""; at = at.includes("/") ? at.slice(0, at.lastIndexOf("/")) : "") {
    const all = categories[at];
    if (all) return all;
  }
  return otherRisks;
}

export interface SwitchGroup {
  category: string;
  risks: RiskView[];
}

const mainOf = (category: string) => category.split("/")[0] ?? "";
const ORDER = ["open", "occurred", "proposed", "closed"];

/** Risks by the first level of their category: categories with something switched or a response first. */
export function arranged(risks: readonly RiskView[], row: Switched): SwitchGroup[] {
  const groups = new Map<string, RiskView[]>();
  for (const risk of risks) {
    const main = mainOf(risk.category);
    groups.set(main, [...(groups.get(main) ?? []), risk]);
  }
  const weight = (risk: RiskView) =>
    (settingOf(row, risk) !== "now" ? 0 : 2) +
    (risk.response && risk.state === "open" ? 0 : 1) +
    4 * ORDER.indexOf(risk.state);
  return [...groups.entries()]
    .map(([category, all]) => ({ category, risks: [...all].sort((a, b) => weight(a) - weight(b)) }))
    .sort((a, b) => least(a.risks, weight) - least(b.risks, weight));
}

const least = (risks: RiskView[], weight: (risk: RiskView) => number) => Math.min(...risks.map(weight));

/** The edit that switches a risk; the one that would be so anyhow needs no switch of its own. */
export function riskEdit(row: ScenarioRow, risk: RiskView, how: string): ScenarioEdit {
  const without = settingOf({ ...row, risks: {} }, risk);
  return { id: row.id, risks: { [risk.id]: how === without ? null : how } };
}

/** The edit that switches a category as a whole: switches of its risks give way to it. */
export function categoryEdit(
  row: ScenarioRow,
  risks: readonly RiskView[],
  category: string,
  how: string,
): ScenarioEdit {
  const within = risks.filter(
    (risk) =>
      risk.id in row.risks && (risk.category === category || risk.category.startsWith(`${category}/`)),
  );
  return {
    id: row.id,
    categories: { [category]: row.categories[category] === how || how === "now" ? null : how },
    risks: Object.fromEntries(within.map((risk) => [risk.id, null])),
  };
}

/** A name that no other scenario has. */
export function freeName(wanted: string, rows: readonly Pick<ScenarioRow, "name">[]): string {
  const taken = new Set(rows.map((row) => row.name));
  if (!taken.has(wanted)) return wanted;
  for (let i = 2; ; i++) if (!taken.has(`${wanted} ${i}`)) return `${wanted} ${i}`;
}
