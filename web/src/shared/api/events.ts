import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import type { LiveView, RunView } from "./client";
import { takeLiveOdds } from "./live";
import { refreshPlan } from "./plan";
import { takeRun } from "./runs";

const AFTER_OWN_EDITS_MS = 300;

/** Keeps plan and runs up to date with what the server tells of the project. */
export function useProjectEvents(project: string) {
  const client = useQueryClient();
  useEffect(() => {
    const events = new EventSource(`/api/projects/${project}/events`);
    events.addEventListener("plan", (event: MessageEvent<string>) => {
      const { revision } = JSON.parse(event.data) as { revision: number };
      window.setTimeout(() => refreshPlan(client, project, revision), AFTER_OWN_EDITS_MS);
    });
    events.addEventListener("run", (event: MessageEvent<string>) => {
      takeRun(client, project, JSON.parse(event.data) as RunView);
    });
    events.addEventListener("odds", (event: MessageEvent<string>) => {
      takeLiveOdds(client, project, JSON.parse(event.data) as LiveView);
    });
    return () => events.close();
  }, [client, project]);
}
