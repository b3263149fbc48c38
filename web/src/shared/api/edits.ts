import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { notify } from "../ui/notify";
import { answer, ApiError, type EditResult, http, type PlanView, type Undoing } from "./client";
import { choose } from "./clash";
import { planKey } from "./plan";

/** The plan was changed meanwhile by somebody else. */
const CONFLICT = 409;

/** How the plan was seen that an edit is about: goes along with its request. */
export type Seen = {
  params: { path: { id: string } };
  headers: Record<string, string>;
};

/** The request of an edit. */
export type Send = (seen: Seen) => Promise<{ data?: EditResult }>;

interface Options {
  /** Taking back and doing again look at what they find themselves. */
  anyRevision?: boolean;
  /** Whether rows were edited, so that those who listen to that are told. */
  ofRows?: boolean;
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

/**
 * The way of every edit of a plan: one request after the other, each on the plan as the one before left it. What it has
 * led to is taken over into the plan as it is known here.
 */
export function useEdit(project: string) {
  const client = useQueryClient();
  const { mutateAsync } = useMutation({
    scope: { id: `edit-${project}` },
    mutationFn: async ({ send, anyRevision }: { send: Send } & Options) => {
      const seen = client.getQueryData<PlanView>(planKey(project))?.project.revision;
      const way = { params: { path: { id: project } } };
      const headers: Seen["headers"] = anyRevision || seen === undefined ? {} : { "If-Match": `"${seen}"` };
      try {
        return await answer(send({ ...way, headers }));
      } catch (error) {
        if (!(error instanceof ApiError) || error.clashes.length === 0) throw error;
        if (await choose(error.clashes)) return answer(send({ ...way, headers: {} }));
        throw new ApiError(error.status, "What somebody else has made of it stays.", []);
      }
    },
    onSuccess: (result, { ofRows }) => {
      const plan = client.getQueryData<PlanView>(planKey(project));
      const before = plan?.project.revision ?? result.revision;
      client.setQueryData<PlanView>(planKey(project), (plan) => plan && merged(plan, result));
      // What others have changed in between is not in the answer.
      if (result.revision > before + 1) void client.invalidateQueries({ queryKey: planKey(project) });
      client.setQueryData<Undoing>(undoingKey(project), result.undoing);
      if (result.gone.length > 0)
        notify(`With the rows went ${listed(result.gone)}. Ctrl Z brings all back.`);
      if (plan && ofRows) rowsListeners.forEach((listener) => listener(plan, result));
    },
    onError: (error) => {
      if (error instanceof ApiError && (error.status === CONFLICT || error.unknown)) {
        void client.invalidateQueries({ queryKey: planKey(project) });
        void client.invalidateQueries({ queryKey: undoingKey(project) });
      }
    },
  });
  return useCallback((send: Send, options: Options = {}) => mutateAsync({ send, ...options }), [mutateAsync]);
}

/** Takes the last edit back, or does it again. */
export function useUndo(project: string) {
  const edit = useEdit(project);
  return {
    undo: useCallback(
      () => edit((seen) => http.POST("/api/projects/{id}/undo", seen), { anyRevision: true }),
      [edit],
    ),
    redo: useCallback(
      () => edit((seen) => http.POST("/api/projects/{id}/redo", seen), { anyRevision: true }),
      [edit],
    ),
  };
}

/** What this person could take back and do again now. */
export function useUndoing(project: string) {
  return useQuery({
    queryKey: undoingKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/undoing", { params: { path: { id: project } } })),
  });
}

/** Which edits are listed: those of one person, and those of one object. */
export interface HistoryFilter {
  person?: string;
  key?: string;
}

export function useHistory(project: string, revision: number, filter: HistoryFilter = {}) {
  return useQuery({
    queryKey: ["history", project, revision, filter],
    queryFn: () =>
      answer(http.GET("/api/projects/{id}/edits", { params: { path: { id: project }, query: filter } })),
    placeholderData: keepPreviousData,
  });
}

/** Makes the plan what it was after an edit, as one more edit. */
export function useBackTo(project: string) {
  const edit = useEdit(project);
  const client = useQueryClient();
  return (revision: number) =>
    edit(
      ({ headers }) =>
        http.POST("/api/projects/{id}/edits/{revision}/back", {
          params: { path: { id: project, revision } },
          headers,
        }),
      { anyRevision: true },
    ).finally(() => client.invalidateQueries({ queryKey: planKey(project) }));
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
    ...result.parts,
  };
}
