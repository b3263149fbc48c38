import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { answer, http, type OrTaken, type ScenarioWords } from "./client";
import { useEdit } from "./edits";
import { refreshScenarios, scenariosKey } from "./scenariosKey";

const ASK_AGAIN_MS = 3000;

/** What the plan itself goes by among its scenarios. */
export const THE_PLAN = "";

interface Asked {
  /** With what they are compared. */
  base: string;
  /** Percent; the project's own where nothing is said. */
  level?: number;
  /** Those on screen, which are worked out first. */
  watch: readonly string[];
}

/** The plan and its scenarios side by side, as of a revision; numbers come as they are worked out. */
export function useScenarios(project: string, revision: number, { base, level, watch }: Asked) {
  const query = { base, level, watch: watch.filter((id) => id !== THE_PLAN) };
  return useQuery({
    queryKey: [...scenariosKey(project), revision, query],
    queryFn: () =>
      answer(http.GET("/api/projects/{id}/scenarios", { params: { path: { id: project }, query } })),
    placeholderData: keepPreviousData,
    // The event stream tells of each that is worked out; this is for when it is broken.
    refetchInterval: ({ state }) =>
      state.data?.rows.some(({ putAway, odds, refusal }) => !putAway && !odds?.refined && !refusal)
        ? ASK_AGAIN_MS
        : false,
  });
}

/** What is asked of some scenarios lasts as long as what is known of them: the mark says how far that is. */
function useAsked<T>(what: string, project: string, mark: string, ask: object, read: () => Promise<T>) {
  return useQuery({
    queryKey: [what, project, mark, ask],
    queryFn: read,
    enabled: mark !== "",
    retry: 2,
    placeholderData: keepPreviousData,
  });
}

export function useScenarioDates(
  project: string,
  mark: string,
  scenarios: string[],
  what: "finish" | "start",
  of: string,
) {
  const query = { scenarios, what, of };
  return useAsked("scenario dates", project, mark, query, () =>
    answer(http.GET("/api/projects/{id}/scenarios/dates", { params: { path: { id: project }, query } })),
  );
}

export function useScenarioAmounts(
  project: string,
  mark: string,
  scenarios: string[],
  what: "cost" | "duration",
  of: string,
) {
  const query = { scenarios, what, of };
  return useAsked("scenario amounts", project, mark, query, () =>
    answer(http.GET("/api/projects/{id}/scenarios/amounts", { params: { path: { id: project }, query } })),
  );
}

/** When the work of every row begins and ends in some scenarios. */
export function useScenarioRails(project: string, mark: string, scenarios: string[], levels: number[]) {
  const query = { scenarios, levels };
  return useAsked("scenario rails", project, mark, query, () =>
    answer(http.GET("/api/projects/{id}/scenarios/rails", { params: { path: { id: project }, query } })),
  );
}

/** What swings two scenarios. */
export function useScenarioDrivers(
  project: string,
  mark: string,
  one: string,
  other: string,
  what: "finish" | "cost",
) {
  const query = { one, other, what };
  return useAsked("scenario drivers", project, mark, query, () =>
    answer(http.GET("/api/projects/{id}/scenarios/drivers", { params: { path: { id: project }, query } })),
  );
}

/** Scenarios laid over the plan one after the other. */
export function useStory(project: string, mark: string, order: string[], level: number) {
  const query = { order, level };
  return useAsked("scenario story", project, mark, query, () =>
    answer(http.GET("/api/projects/{id}/scenarios/story", { params: { path: { id: project }, query } })),
  );
}

const about = (project: string, scenario: string) => ({ params: { path: { id: project, scenario } } });

/** What would change if a scenario became the plan. */
export function useTakeOver(project: string, scenario: string, revision: number) {
  return useQuery({
    queryKey: ["take over", project, scenario, revision],
    queryFn: () =>
      answer(http.GET("/api/projects/{id}/scenarios/{scenario}/takeover", about(project, scenario))),
  });
}

/** The project in which a scenario is worked in. */
export const enterScenario = (project: string, scenario: string) =>
  answer(http.POST("/api/projects/{id}/scenarios/{scenario}/enter", about(project, scenario)));

/** What is to change in a scenario; null takes a switch away. */
export type ScenarioEdit = Omit<OrTaken<ScenarioWords>, "risks" | "categories" | "targets"> & {
  id: string;
  risks?: Record<string, string | null>;
  categories?: Record<string, string | null>;
  targets?: { finish?: string | null; cost?: number | null };
};

/** The ways to change scenarios. */
export function useScenarioEdits(project: string) {
  const edit = useEdit(project);
  const client = useQueryClient();
  return useMemo(
    () => ({
      change: (body: ScenarioEdit[]) =>
        edit((seen) => http.PATCH("/api/projects/{id}/scenarios", { ...seen, body: body as never })),
      remove: (scenarios: string[]) =>
        edit((seen) => http.POST("/api/projects/{id}/scenarios/remove", { ...seen, body: { scenarios } })),
      takeOver: async (scenario: string) => {
        const result = await edit((seen) =>
          http.POST("/api/projects/{id}/scenarios/{scenario}/takeover", {
            ...seen,
            params: { path: { id: project, scenario } },
          }),
        );
        refreshScenarios(client, project);
        return result;
      },
    }),
    [edit, client, project],
  );
}

export type ScenarioEdits = ReturnType<typeof useScenarioEdits>;
