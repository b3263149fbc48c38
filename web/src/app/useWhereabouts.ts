import { useEffect } from "react";
import { useMatch } from "react-router";
import { beAt } from "../shared/api/presence";
import { useGridStore, viewOf } from "../shared/grid/gridStore";
import { registerKey } from "../shared/risks/registerKey";

const SETTLED_MS = 400;

/** Tells the others in which stage and at which row this window is, once it has stayed there for a moment. */
export function useWhereabouts(project: string) {
  const stage = useMatch("/projects/:projectId/:stage")?.params.stage ?? "";
  const grid = stage === "risks" ? registerKey(project) : project;
  const row = useGridStore((state) => viewOf(state, grid).active?.row) ?? "";
  useEffect(() => {
    if (!stage) return;
    const timer = window.setTimeout(() => beAt(project, stage, row), SETTLED_MS);
    return () => window.clearTimeout(timer);
  }, [project, stage, row]);
}
