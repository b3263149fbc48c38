import type { QueryClient } from "@tanstack/react-query";

export const scenariosKey = (project: string) => ["scenarios", project];

/** Asks for scenarios again: something has been worked out. */
export const refreshScenarios = (client: QueryClient, project: string) =>
  void client.invalidateQueries({ queryKey: scenariosKey(project) });
