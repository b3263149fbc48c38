import { type QueryClient, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import type { EffectsView, LiveView, Me, RunView } from "./client";
import { undoingKey } from "./edits";
import { refreshLiveOdds, takeLiveOdds } from "./live";
import { ME_KEY } from "./people";
import { person } from "./person";
import { type Here, nameOf, takeEdited, takePresence, WINDOW } from "./presence";
import { planKey, refreshPlan, takeRevision } from "./plan";
import { takeRiskEffects } from "./risks";
import { runsKey, takeRun } from "./runs";
import { refreshScenarios } from "./scenariosKey";
import { commentsKey, confirmationsKey, INBOX_KEY } from "./together";

const AFTER_OWN_EDITS_MS = 300;
const AGAIN_MS = 3000;

/** Keeps plan and runs up to date with what the server tells of the project. */
export function useProjectEvents(project: string) {
  const client = useQueryClient();
  useEffect(() => listen(client, project), [client, project]);
}

/** Listens until what it returns is called. Where the connection was lost, all is read anew once it is back. */
export function listen(client: QueryClient, project: string): () => void {
  let events: EventSource;
  // What was read before, while nobody listened, may be older than what is so by now.
  let lost = client.getQueryData(planKey(project)) !== undefined;
  let timer: number | undefined;
  const open = () => {
    events = new EventSource(`/api/projects/${project}/events?window=${WINDOW}`);
    events.onopen = () => {
      if (lost) readAnew(client, project);
      lost = false;
    };
    events.onerror = () => {
      lost = true;
      // The browser tries again by itself, unless the server answered with an error.
      if (events.readyState === EventSource.CLOSED) timer = window.setTimeout(open, AGAIN_MS);
    };
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
  };
  open();
  return () => {
    window.clearTimeout(timer);
    events.close();
    takePresence([], undefined);
  };
}

function readAnew(client: QueryClient, project: string) {
  for (const queryKey of [planKey(project), undoingKey(project), runsKey(project)])
    void client.invalidateQueries({ queryKey });
  refreshLiveOdds(client);
}
