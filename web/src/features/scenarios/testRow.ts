import type { ScenarioRow } from "../../shared/api/client";

/** A scenario that differs in nothing, for tests. */
export const row = (id: string, more: Partial<ScenarioRow> = {}): ScenarioRow => ({
  id,
  name: id === "" ? "As it stands" : `Scenario ${id}`,
  note: "",
  putAway: false,
  risks: {},
  categories: {},
  otherRisks: "now",
  estimates: true,
  correlation: true,
  edits: [],
  editCount: 0,
  misfits: [],
  ...more,
});
