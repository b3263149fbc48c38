import { type QueryClient, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import type { EffectsView, LiveView, Me, PlanView, RunView } from "./client";
import { undoingKey } from "./edits";
import { refreshLiveOdds, takeLiveOdds } from "./live";
import { ME_KEY } from "./people";
import { person } from "./person";
import { beThereAgain, type Here, nameOf, takeEdited, takePresence, WINDOW } from "./presence";
import { planKey, refreshPlan, takeRevision } from "./plan";
import { effectsKey, takeRiskEffects } from "./risks";
import { runsKey, takeRun } from "./runs";
import { refreshScenarios } from "./scenariosKey";
import { commentsKey, confirmationsKey, INBOX_KEY } from "./together";

const AFTER_OWN_EDITS_MS = 300;
const AGAIN_MS = 3000;
/** How long a window goes on listening that is not seen any more: whoever looks away for a moment misses nothing. */
const UNSEEN_MS = 2000;

/** Keeps plan and runs up to date with what the server tells of the project. */
export function useProjectEvents(project: string) {
  const client = useQueryClient();
  useEffect(() => listen(client, project), [client, project]);
}

/**
 * Listens until what it returns is called, while somebody sees the window. A browser has six ways to a server for all its windows,
 * each stream takes one, and a page that was left may be kept with its own; so a window that is not seen has none. Whatever was
 * read is read anew where something may have been missed.
 */
export function listen(client: QueryClient, project: string): () => void {
  let events: EventSource | undefined;
  let missed = false;
  let timer: number | undefined;
  const open = () => {
    // What was read before, while nobody listened, may be older than what is so by now.
    missed = client.getQueryData(planKey(project)) !== undefined;
    const stream = hear(client, project);
    events = stream;
    stream.addEventListener("standing", (event: MessageEvent<string>) => {
      const { revision } = JSON.parse(event.data) as { revision: number };
      if (missed) readAnew(client, project, revision);
      missed = false;
    });
    stream.onerror = () => {
      missed = true;
      // The browser tries again by itself, unless the server answered with an error.
      if (stream.readyState !== EventSource.CLOSED) return;
      events = undefined;
      timer = window.setTimeout(look, AGAIN_MS);
    };
  };
  const close = () => {
    window.clearTimeout(timer);
    events?.close();
    events = undefined;
  };
  const look = () => {
    window.clearTimeout(timer);
    if (document.visibilityState === "hidden") timer = window.setTimeout(close, UNSEEN_MS);
    else if (!events) open();
  };
  document.addEventListener("visibilitychange", look);
  window.addEventListener("pagehide", close);
  window.addEventListener("pageshow", look);
  look();
  return () => {
    document.removeEventListener("visibilitychange", look);
    window.removeEventListener("pagehide", close);
    window.removeEventListener("pageshow", look);
    close();
    takePresence([], undefined);
  };
}

/** A stream of what happens to a project, of which everything is taken over. */
function hear(client: QueryClient, project: string): EventSource {
  const events = new EventSource(`/api/projects/${project}/events?window=${WINDOW}`);
  events.addEventListener("plan", (event: MessageEvent<string>) => {
    const { revision, simulated } = JSON.parse(event.data) as { revision: number; simulated: boolean };
    window.setTimeout(() => {
      if (!simulated) takeRevision(client, project, revision);
      refreshPlan(client, project, revision);
      // What was confirmed may be no longer what is there.
      void client.invalidateQueries({ queryKey: confirmationsKey(project) });
    }, AFTER_OWN_EDITS_MS);
  });
  events.addEventListener("presence", (event: MessageEvent<string>) => {
    takePresence(JSON.parse(event.data) as Here[], client.getQueryData<Me>(ME_KEY)?.id);
  });
  events.addEventListener("edit", (event: MessageEvent<string>) => {
    const edit = JSON.parse(event.data) as { person: string; name: string; touched: [string, string][] };
    const me = client.getQueryData<Me>(ME_KEY)?.id ?? person();
    if (edit.person !== me)
      takeEdited(
        nameOf(edit),
        edit.touched.map(([, key]) => key),
      );
  });
  for (const [name, key] of [
    ["comments", commentsKey(project)],
    ["confirmations", confirmationsKey(project)],
  ] as const)
    events.addEventListener(name, () => {
      void client.invalidateQueries({ queryKey: key });
      void client.invalidateQueries({ queryKey: INBOX_KEY });
    });
  events.addEventListener("run", (event: MessageEvent<string>) => {
    takeRun(client, project, JSON.parse(event.data) as RunView);
  });
  events.addEventListener("odds", (event: MessageEvent<string>) => {
    takeLiveOdds(client, project, JSON.parse(event.data) as LiveView);
  });
  events.addEventListener("scenarios", () => refreshScenarios(client, project));
  events.addEventListener("effects", (event: MessageEvent<string>) => {
    takeRiskEffects(client, project, JSON.parse(event.data) as EffectsView);
  });
  return events;
}

/** What may have changed while nobody listened; a plan that is as it was is not read again. */
function readAnew(client: QueryClient, project: string, revision: number) {
  if (client.getQueryData<PlanView>(planKey(project))?.project.revision !== revision)
    void client.invalidateQueries({ queryKey: planKey(project) });
  for (const queryKey of [
    undoingKey(project),
    runsKey(project),
    commentsKey(project),
    confirmationsKey(project),
    effectsKey(project),
    INBOX_KEY,
  ])
    void client.invalidateQueries({ queryKey });
  refreshLiveOdds(client);
  refreshScenarios(client, project);
  beThereAgain(project);
}
