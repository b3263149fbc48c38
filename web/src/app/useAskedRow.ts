import { useEffect } from "react";
import { useMatch, useSearchParams } from "react-router";
import type { PlanView } from "../shared/api/client";
import { reveal } from "../shared/planGrid/reveal";
import { chooseScenario } from "../features/scenarios/scenariosStore";
import { selectRisk } from "../shared/risks/registerKey";
import { useSheetStore } from "../shared/sheet/sheetStore";

/** An address may name a row, as what leads to where somebody is or what somebody said: it is shown with its sheet. */
export function useAskedRow(plan: PlanView | undefined) {
  const stage = useMatch("/projects/:projectId/:stage")?.params.stage;
  const [address, setAddress] = useSearchParams();
  const row = address.get("row");
  useEffect(() => {
    if (!plan || !row) return;
    if (stage === "risks") selectRisk(plan.project.id, row);
    else if (stage === "scenarios") chooseScenario(plan.project.id, row);
    else reveal(plan, row);
    const sheet = useSheetStore.getState();
    if (!sheet.open) sheet.toggle();
    setAddress(
      (known) => {
        known.delete("row");
        return known;
      },
      { replace: true },
    );
  }, [plan, row, stage, setAddress]);
}
