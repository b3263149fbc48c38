import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type PartWords, type StandingView, answer, http } from "./client";
import { PROJECTS_KEY } from "./projects";

const STANDINGS_KEY = ["standings"];
const programmeKey = (id: string) => ["programme", id];
const worthKey = (id: string) => ["programme", id, "worth"];
/** While something is worked out it is asked again so often. */
const AGAIN_MS = 1500;

const isPending = (all: readonly StandingView[] | undefined) =>
  all?.some((one) => !one.fresh && one.problem === undefined) ?? false;

/** Where all projects at hand stand; what is being worked out anew is asked again until it is there. */
export const useStandings = () =>
  useQuery({
    queryKey: STANDINGS_KEY,
    queryFn: () => answer(http.GET("/api/standings")),
    refetchInterval: ({ state }) => (isPending(state.data) ? AGAIN_MS : false),
  });

/** Where on the list of projects it stands what ties a programme. */
export const tiesPlace = (programme: string) => `ties-${programme}`;

export const useProgramme = (id: string) =>
  useQuery({
    queryKey: programmeKey(id),
    queryFn: () => answer(http.GET("/api/projects/{id}/programme", { params: { path: { id } } })),
  });

/** What each tie of a programme costs; asked once its ties are there. */
export const useTieWorths = (id: string, revision: string) =>
  useQuery({
    queryKey: [...worthKey(id), revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/programme/ties/worth", { params: { path: { id } } })),
    placeholderData: (before) => before,
  });

/** A change of what a programme consists of. */
function useChanging<I, O>(act: (input: I) => Promise<O>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: act,
    onSuccess: () =>
      Promise.all(
        [PROJECTS_KEY, STANDINGS_KEY, ["programme"]].map((queryKey) =>
          client.invalidateQueries({ queryKey }),
        ),
      ),
  });
}

export const useBeginProgramme = () =>
  useChanging((body: { name: string; projects: PartWords[] }) =>
    answer(http.POST("/api/programmes", { body })),
  );

export const useTakeIn = (id: string) =>
  useChanging((body: PartWords) =>
    answer(http.POST("/api/projects/{id}/programme/projects", { params: { path: { id } }, body })),
  );

export const useTakeOut = (id: string) =>
  useChanging((member: string) =>
    answer(
      http.DELETE("/api/projects/{id}/programme/projects/{member}", { params: { path: { id, member } } }),
    ),
  );

export const useLetOut = (id: string) =>
  useChanging(({ member, what }: { member: string; what: "nothing" | "milestones" }) =>
    answer(
      http.PUT("/api/projects/{id}/programme/projects/{member}/shown", {
        params: { path: { id, member }, query: { what } },
      }),
    ),
  );

/** What ties projects, in the words of the programme file. */
export type Tie =
  | { kind: "logic"; id: string; from: string; to: string; type: string; lag: string }
  | { kind: "risk"; id: string; risk: string; others: string[] }
  | { kind: "together"; id: string; name: string; members: string[]; coefficient: number }
  | { kind: "resource"; id: string; name: string; resources: string[]; limit: number };

export const useTie = (id: string) =>
  useChanging((tie: Tie) =>
    answer(http.PUT("/api/projects/{id}/programme/ties", { params: { path: { id } }, body: tie as never })),
  );

export const useUntie = (id: string) =>
  useChanging((tie: string) =>
    answer(http.DELETE("/api/projects/{id}/programme/ties/{tie}", { params: { path: { id, tie } } })),
  );
