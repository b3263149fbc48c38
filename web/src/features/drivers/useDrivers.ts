import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answer, http, type MovesView } from "../../shared/api/client";
import type { Subject } from "../../shared/odds/subject";
import type { Look, Measure } from "./driversStore";

const FOR_EVER = Infinity;
/** How often it is looked what has come of work in the background. */
const LOOK_AGAIN_MS = 400;

/** Of a simulation nothing changes any more; what was shown stays while another is read, and says of which run it is. */
const lasting = {
  staleTime: FOR_EVER,
  gcTime: 300_000,
  retry: false,
  placeholderData: keepPreviousData,
} as const;

type Fineness = Pick<Look, "apart" | "groups" | "by" | "depth"> & { level?: number };

const byItself = ({ apart, groups, by, depth }: Fineness) => ({ apart, groups, by, depth });

/** Every input by every measure; gathered sums are of what adds up. */
export function useDrivers(run: string, subject: Subject, fineness: Fineness, measure: Measure) {
  const summed = measure === "contribution" ? "contribution" : "swing";
  const query = { ...subject, ...byItself(fineness), measure: summed };
  return useQuery({
    ...lasting,
    queryKey: ["drivers", run, query],
    queryFn: async () => ({
      ...(await answer(http.GET("/api/runs/{run}/drivers", { params: { path: { run }, query } }))),
      run,
    }),
  });
}

const movesQuery = (subject: Subject, fineness: Fineness, change: Measure) => ({
  ...subject,
  ...byItself(fineness),
  change,
  level: fineness.level,
});

/** Measures that are worked out in the background. */
export const isTried = (measure: Measure) =>
  measure === "removal" || measure === "day" || measure === "tenth";

/** What taking away moves, as far as it is known. */
export function useMoves(run: string, subject: Subject, fineness: Fineness, measure: Measure) {
  const query = movesQuery(subject, fineness, measure);
  return useQuery({
    queryKey: ["moves", run, query],
    queryFn: () => answer(http.GET("/api/runs/{run}/drivers/moves", { params: { path: { run }, query } })),
    enabled: isTried(measure),
    retry: false,
    staleTime: FOR_EVER,
    refetchInterval: ({ state }) => (state.data?.state === "working" ? LOOK_AGAIN_MS : false),
  });
}

export function useStopMoves(run: string, subject: Subject, fineness: Fineness, measure: Measure) {
  const client = useQueryClient();
  const { apart, groups, level } = fineness;
  const query = { ...subject, apart, groups, level, change: measure };
  return useMutation({
    mutationFn: () =>
      answer(http.DELETE("/api/runs/{run}/drivers/moves", { params: { path: { run }, query } })),
    onSuccess: (view: MovesView) =>
      client.setQueryData(["moves", run, movesQuery(subject, fineness, measure)], view),
  });
}

export function useScatter(run: string, x: string, y: string, atX?: number, atY?: number) {
  const query = { x, y, atX, atY };
  return useQuery({
    ...lasting,
    queryKey: ["scatter", run, query],
    queryFn: async () => ({
      ...(await answer(http.GET("/api/runs/{run}/drivers/scatter", { params: { path: { run }, query } }))),
      run,
    }),
    enabled: x !== "",
  });
}

/** A limit as it is asked for: a date, or days or money. */
export interface Beyond {
  date?: string;
  amount?: number;
}

export function useLate(run: string, subject: Subject, beyond: Beyond) {
  const query = { ...subject, ...beyond };
  return useQuery({
    ...lasting,
    queryKey: ["late", run, query],
    queryFn: async () => ({
      ...(await answer(http.GET("/api/runs/{run}/drivers/late", { params: { path: { run }, query } }))),
      run,
    }),
  });
}

export function usePaths(run: string, of: string, date?: string) {
  const query = { of, date };
  return useQuery({
    ...lasting,
    queryKey: ["paths", run, query],
    queryFn: async () => ({
      ...(await answer(http.GET("/api/runs/{run}/drivers/paths", { params: { path: { run }, query } }))),
      run,
    }),
  });
}

/** What the futures in which a path drove share. */
export function usePath(run: string, of: string, number: number) {
  return useQuery({
    ...lasting,
    queryKey: ["path", run, of, number],
    queryFn: () =>
      answer(
        http.GET("/api/runs/{run}/drivers/paths/{number}", {
          params: { path: { run, number }, query: { of } },
        }),
      ),
  });
}

export function useStaircase(run: string, subject: Subject, level?: number) {
  const query = { ...subject, level };
  return useQuery({
    ...lasting,
    queryKey: ["staircase", run, query],
    queryFn: async () => ({
      ...(await answer(http.GET("/api/runs/{run}/drivers/staircase", { params: { path: { run }, query } }))),
      run,
    }),
  });
}

export function useStep(run: string, subject: Subject, cause: string | undefined, level?: number) {
  return useQuery({
    ...lasting,
    queryKey: ["step", run, subject, cause, level],
    queryFn: () =>
      answer(
        http.GET("/api/runs/{run}/drivers/staircase/{cause}", {
          params: { path: { run, cause: cause ?? "" }, query: { ...subject, level } },
        }),
      ),
    enabled: cause !== undefined,
  });
}

export function useCriticality(run: string, of: string, near: number) {
  const query = { of, near };
  return useQuery({
    ...lasting,
    queryKey: ["criticality", run, query],
    queryFn: async () => ({
      ...(await answer(
        http.GET("/api/runs/{run}/drivers/criticality", { params: { path: { run }, query } }),
      )),
      run,
    }),
  });
}

export function useSpare(run: string, level?: number) {
  return useQuery({
    ...lasting,
    queryKey: ["spare", run, level],
    queryFn: async () => ({
      ...(await answer(
        http.GET("/api/runs/{run}/drivers/spare", { params: { path: { run }, query: { level } } }),
      )),
      run,
    }),
  });
}

/** Why an activity finishes later than planned; nothing is asked of what is none. */
export function useInside(run: string, activity: string | undefined) {
  return useQuery({
    ...lasting,
    placeholderData: undefined,
    queryKey: ["inside", run, activity],
    queryFn: () =>
      answer(
        http.GET("/api/runs/{run}/drivers/inside/{activity}", {
          params: { path: { run, activity: activity ?? "" } },
        }),
      ),
    enabled: activity !== undefined,
  });
}
