import type { ScenarioRow } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import type { ScenarioEdit, ScenarioEdits } from "../../shared/api/scenarios";
import { freeCode } from "../../shared/format/freeCode";
import { notify } from "../../shared/ui/notify";
import { tickedOf } from "./scenarioLook";
import type { ScenariosLook } from "./scenariosStore";

export const refused = (error: unknown) => notify(`That cannot be: ${refusalOf(error)}`);

/** The first code that no scenario has. */
export const freeId = (rows: readonly Pick<ScenarioRow, "id">[]) =>
  freeCode(
    "V",
    rows.map(({ id }) => id),
  );

/** Makes a scenario, draws it and explains it. */
export async function made(
  edits: ScenarioEdits,
  rows: readonly ScenarioRow[],
  look: ScenariosLook,
  edit: Omit<ScenarioEdit, "id">,
) {
  const id = freeId(rows);
  try {
    await edits.change([{ ...edit, id, add: true }]);
    look.set({ chosen: id, ticked: [...tickedOf(rows, look.ticked), id] });
  } catch (error) {
    refused(error);
  }
}
