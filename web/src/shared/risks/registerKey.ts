import { BRING_INTO_VIEW, useGridStore } from "../grid/gridStore";

/** The key under which it is kept what is selected, open and in view in a project's register. */
export const registerKey = (project: string) => `risks ${project}`;

/** Selects a risk in the register of a project. */
export function selectRisk(project: string, risk: string) {
  const { select, scrolled } = useGridStore.getState();
  select(registerKey(project), { row: risk, column: "title" });
  scrolled(registerKey(project), BRING_INTO_VIEW);
}
