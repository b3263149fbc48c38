import { useGridStore } from "../grid/gridStore";

/** The key under which it is kept what is selected, open and in view in a project's register. */
export const registerKey = (project: string) => `risks ${project}`;

/** Selects a risk in the register of a project. */
export const selectRisk = (project: string, risk: string) =>
  useGridStore.getState().select(registerKey(project), { row: risk, column: "title" });
