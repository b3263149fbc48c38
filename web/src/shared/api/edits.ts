import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { notify } from "../ui/notify";
import {
  type RowEdit,
  api,
  ApiError,
  type BranchEdit,
  type EditResult,
  type EditView,
  type FindingView,
  type PlanView,
  type RowMove,
  type Undoing,
} from "./client";
import { planKey } from "./plan";
import type { correlationWords } from "./ranges";

/** The plan was changed meanwhile by somebody else. */
const CONFLICT = 409;

interface Change {
  path: string;
  method: "PATCH" | "POST" | "PUT" | "DELETE";
  body?: unknown;
  /** Taking back and doing again look at what they find themselves. */
  anyRevision?: boolean;
}

/** Told of each edit of rows that was kept: the plan before it, and what it led to. */
type RowsListener = (before: PlanView, result: EditResult) => void;
const rowsListeners = new Set<RowsListener>();

/** Listens to edits of rows until what it returns is called. */
export function onRowsEdited(listener: RowsListener): () => void {
  rowsListeners.add(listener);
  return () => void rowsListeners.delete(listener);
}

export const undoingKey = (project: string) => ["undoing", project];

/** Fields of the project itself; null takes away what can be absent. */
export interface Settings {
  name?: string;
  currency?: string;
  start?: string;
  dataDate?: string | null;
  calendar?: string;
  lagCalendar?: string;
  targetFinish?: string | null;
  targetCost?: number | null;
  confidence?: number;
}

/** The ways to change a plan, one request after the other, each on the plan as the one before left it. */
export function useEdits(project: string) {
  const client = useQueryClient();
  const { mutateAsync } = useMutation({
    scope: { id: `edit-${project}` },
    mutationFn: ({ path, method, body, anyRevision }: Change) =>
      api<EditResult>(`/projects/${project}${path}`, {
        method,
        body,
        ifMatch: anyRevision ? undefined : client.getQueryData<PlanView>(planKey(project))?.project.revision,
      }),
    onSuccess: (result, { path }) => {
      const plan = client.getQueryData<PlanView>(planKey(project));
      const before = plan?.project.revision ?? result.revision;
      client.setQueryData<PlanView>(planKey(project), (plan) => plan && merged(plan, result));
      // What others have changed in between is not in the answer.
      if (result.revision > before + 1) void client.invalidateQueries({ queryKey: planKey(project) });
      client.setQueryData<Undoing>(undoingKey(project), result.undoing);
      if (result.gone.length > 0)
        notify(`With the rows went ${listed(result.gone)}. Ctrl Z brings all back.`);
      if (plan && path === "/rows") rowsListeners.forEach((listener) => listener(plan, result));
    },
    onError: (error) => {
      if (error instanceof ApiError && (error.status === CONFLICT || error.unknown)) {
        void client.invalidateQueries({ queryKey: planKey(project) });
        void client.invalidateQueries({ queryKey: undoingKey(project) });
      }
    },
  });
  return useMemo(
    () => ({
      rows: (body: RowEdit[]) => mutateAsync({ path: "/rows", method: "PATCH", body }),
      branches: (body: BranchEdit[]) => mutateAsync({ path: "/branches", method: "PATCH", body }),
      move: (body: RowMove) => mutateAsync({ path: "/rows/move", method: "POST", body }),
      /** @param join what came before the rows leads to what came after them */
      remove: (rows: string[], join = false) =>
        mutateAsync({ path: "/rows/remove", method: "POST", body: { rows, join } }),
      settings: (body: Settings) => mutateAsync({ path: "/settings", method: "PATCH", body }),
      calendar: (body: unknown) => mutateAsync({ path: "/calendars", method: "PUT", body }),
      removeCalendar: (id: string) =>
        mutateAsync({ path: `/calendars/${encodeURIComponent(id)}`, method: "DELETE" }),
      grades: (body: unknown[]) => mutateAsync({ path: "/grades", method: "PUT", body }),
      correlation: (body: ReturnType<typeof correlationWords>) =>
        mutateAsync({ path: "/correlations", method: "PUT", body }),
      removeCorrelation: (id: string) =>
        mutateAsync({ path: `/correlations/${encodeURIComponent(id)}`, method: "DELETE" }),
      evidence: (body: unknown) => mutateAsync({ path: "/evidence", method: "POST", body }),
      removeEvidence: (id: string) =>
        mutateAsync({ path: `/evidence/${encodeURIComponent(id)}`, method: "DELETE" }),
      rangeTable: (file: Blob) => {
        const body = new FormData();
        body.append("file", file);
        return mutateAsync({ path: "/ranges/file", method: "POST", body });
      },
      fix: (check: string, on: string[]) =>
        mutateAsync({ path: "/check/fix", method: "POST", body: { check, on } }),
      /** Findings of a check said to be no fault, or, without a reason, to be one again. */
      accept: (check: string, findings: readonly Pick<FindingView, "on" | "message">[], reason?: string) =>
        mutateAsync({
          path: "/check/accept",
          method: "POST",
          body: {
            check,
            on: findings.map((one) => one.on),
            findings: findings.map((one) => one.message),
            reason,
          },
        }),
      undo: () => mutateAsync({ path: "/undo", method: "POST", anyRevision: true }),
      redo: () => mutateAsync({ path: "/redo", method: "POST", anyRevision: true }),
    }),
    [mutateAsync],
  );
}

export type Edits = ReturnType<typeof useEdits>;

/** What this person could take back and do again now. */
export function useUndoing(project: string) {
  return useQuery({
    queryKey: undoingKey(project),
    queryFn: () => api<Undoing>(`/projects/${project}/undoing`),
  });
}

export function useHistory(project: string, revision: number) {
  return useQuery({
    queryKey: ["history", project, revision],
    queryFn: () => api<EditView[]>(`/projects/${project}/edits`),
  });
}

/** Why an edit was refused, as a sentence. */
export function refusalOf(error: unknown): string {
  if (!(error instanceof ApiError)) return "The edit could not be sent.";
  const first = error.problems[0]?.message ?? error.message;
  const sentence = first.charAt(0).toUpperCase() + first.slice(1);
  return /[.!?]$/.test(sentence) ? sentence : `${sentence}.`;
}

function listed(things: readonly string[]): string {
  const shown = things.slice(0, 4).join(", ");
  return things.length > 4 ? `${shown} and ${things.length - 4} more` : shown;
}

/** The plan with what an edit has changed of it. */
export function merged(plan: PlanView, result: EditResult): PlanView {
  const changed = new Map(result.activities.map((activity) => [activity.id, activity]));
  const known = new Map(plan.activities.map((activity) => [activity.id, activity]));
  const order = result.order ?? plan.activities.map((activity) => activity.id);
  const activities = order.flatMap((id) => changed.get(id) ?? known.get(id) ?? []);
  const there = result.order && new Set(result.order);
  return {
    ...plan,
    project: { ...result.project, revision: result.revision },
    finish: result.finish,
    plannedCost: result.plannedCost,
    links: plan.links
      .filter((link) => !(link.to in result.predecessors) && (!there || there.has(link.from)))
      .concat(Object.values(result.predecessors).flat()),
    branches: result.branches,
    activities,
    calendars: result.calendars ?? plan.calendars,
    grades: result.grades ?? plan.grades,
    costs: result.costs ?? plan.costs,
    correlations: result.correlations ?? plan.correlations,
    evidence: result.evidence ?? plan.evidence,
  };
}
