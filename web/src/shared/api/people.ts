import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type Me, type MemberWords, type PersonChange, type PersonWords, answer, http } from "./client";

export const ME_KEY = ["me"];
const PEOPLE_KEY = ["people"];
const SESSIONS_KEY = ["me", "sessions"];
const TOKENS_KEY = ["me", "tokens"];
const membersKey = (project: string) => ["members", project];

/** Who asks, and how one comes in here. */
export function useMe() {
  return useQuery({ queryKey: ME_KEY, queryFn: () => answer(http.GET("/api/me")), staleTime: Infinity });
}

/** Whoever was signed in is so no longer, as the server has told. */
export const signedOut = (me: Me | undefined): Me | undefined => me && { ...me, signedIn: false };

/** An edit of people or of oneself, after which some of what was read is read anew. */
function useDoing<I, O>(act: (input: I) => Promise<O>, ...keys: unknown[][]) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: act,
    onSuccess: () => Promise.all(keys.map((queryKey) => client.invalidateQueries({ queryKey }))),
  });
}

interface Credentials {
  email: string;
  password: string;
  code?: string;
}

export const useSignIn = () =>
  useMutation({ mutationFn: (body: Credentials) => answer(http.POST("/api/session", { body })) });

/** Asks for a link for another password by mail. */
export const useLostPassword = () =>
  useMutation({ mutationFn: (email: string) => answer(http.POST("/api/lost", { body: { email } })) });

export const useSignOut = () => useMutation({ mutationFn: () => answer(http.DELETE("/api/session")) });

export const useJoining = (key: string) =>
  useQuery({
    queryKey: ["join", key],
    queryFn: () => answer(http.GET("/api/join/{key}", { params: { path: { key } } })),
    retry: false,
  });

export const useJoin = (key: string) =>
  useMutation({
    mutationFn: (password: string) =>
      answer(http.POST("/api/join/{key}", { params: { path: { key } }, body: { password } })),
  });

// One's own account.

export const useCallMe = () =>
  useDoing((name: string) => answer(http.PATCH("/api/me", { body: { name } })), ME_KEY);

export const useChangePassword = () =>
  useDoing(
    (body: { password: string; fresh: string }) => answer(http.PUT("/api/me/password", { body })),
    SESSIONS_KEY,
  );

export const useBeginCodes = () =>
  useDoing((password: string) => answer(http.POST("/api/me/codes", { body: { password } })));

export const useTurnCodesOn = () =>
  useDoing((code: string) => answer(http.PUT("/api/me/codes", { body: { code } })), ME_KEY);

export const useTurnCodesOff = () =>
  useDoing((password: string) => answer(http.POST("/api/me/codes/off", { body: { password } })), ME_KEY);

export const useSessions = () =>
  useQuery({ queryKey: SESSIONS_KEY, queryFn: () => answer(http.GET("/api/me/sessions")) });

export const useEndSession = () =>
  useDoing(
    (session: string) => answer(http.DELETE("/api/me/sessions/{session}", { params: { path: { session } } })),
    SESSIONS_KEY,
  );

export const useEndSessions = () =>
  useMutation({ mutationFn: () => answer(http.DELETE("/api/me/sessions")) });

export const useTokens = () =>
  useQuery({ queryKey: TOKENS_KEY, queryFn: () => answer(http.GET("/api/me/tokens")) });

interface Token {
  name: string;
  scope: "READING" | "EVERYTHING";
  project?: string;
  days: number;
}

export const useMakeToken = () =>
  useDoing((body: Token) => answer(http.POST("/api/me/tokens", { body })), TOKENS_KEY);

export const useWithdrawToken = () =>
  useDoing(
    (token: string) => answer(http.DELETE("/api/me/tokens/{token}", { params: { path: { token } } })),
    TOKENS_KEY,
  );

// Everybody, for those who look after them.

export const usePeople = () =>
  useQuery({ queryKey: PEOPLE_KEY, queryFn: () => answer(http.GET("/api/people")) });

export const useAddPerson = () =>
  useDoing((body: PersonWords) => answer(http.POST("/api/people", { body })), PEOPLE_KEY);

export const useChangePerson = () =>
  useDoing(
    ({ person, change }: { person: string; change: PersonChange }) =>
      answer(http.PATCH("/api/people/{person}", { params: { path: { person } }, body: change })),
    PEOPLE_KEY,
    ME_KEY,
  );

export const useResetPerson = () =>
  useDoing((person: string) =>
    answer(http.POST("/api/people/{person}/reset", { params: { path: { person } } })),
  );

export const useRemovePerson = () =>
  useDoing(
    (person: string) => answer(http.DELETE("/api/people/{person}", { params: { path: { person } } })),
    PEOPLE_KEY,
  );

// Who takes part in a project.

export const useNames = () =>
  useQuery({ queryKey: ["people", "names"], queryFn: () => answer(http.GET("/api/people/names")) });

export const useMembers = (project: string) =>
  useQuery({
    queryKey: membersKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/members", { params: { path: { id: project } } })),
  });

/** What whoever asks is in a project: nobody has to be asked where there are no accounts. */
export function useRole(project: string) {
  const members = useMembers(project).data;
  return members?.length === 0 ? "owner" : members?.find((member) => member.self)?.role;
}

export const usePutMember = (project: string) =>
  useDoing(
    (body: MemberWords) =>
      answer(http.PUT("/api/projects/{id}/members", { params: { path: { id: project } }, body })),
    membersKey(project),
  );

export const useRemoveMember = (project: string) =>
  useDoing(
    (person: string) =>
      answer(
        http.DELETE("/api/projects/{id}/members/{person}", { params: { path: { id: project, person } } }),
      ),
    membersKey(project),
  );

export const useLeaveProject = (project: string) =>
  useDoing(
    () => answer(http.DELETE("/api/projects/{id}/membership", { params: { path: { id: project } } })),
    ["projects"],
  );
