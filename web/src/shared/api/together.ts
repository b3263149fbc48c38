import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type About, answer, http } from "./client";

export const commentsKey = (project: string) => ["comments", project];
export const confirmationsKey = (project: string) => ["confirmations", project];
export const INBOX_KEY = ["me", "inbox"];
const LOOK_AGAIN_MS = 60_000;

const of = (id: string) => ({ params: { path: { id } } });

/** What people say of anything in a project. */
export const useComments = (project: string) =>
  useQuery({
    queryKey: commentsKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/comments", of(project))),
  });

function useTelling<I, O>(key: string[], act: (input: I) => Promise<O>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: act, onSuccess: () => client.invalidateQueries({ queryKey: key }) });
}

export const useSay = (project: string) =>
  useTelling(commentsKey(project), (body: { about: About; answerTo?: string; words: string }) =>
    answer(http.POST("/api/projects/{id}/comments", { ...of(project), body })),
  );

export const useChangeComment = (project: string) =>
  useTelling(commentsKey(project), ({ id, ...body }: { id: string; words?: string; resolved?: boolean }) =>
    answer(
      http.PATCH("/api/projects/{id}/comments/{comment}", {
        params: { path: { id: project, comment: id } },
        body,
      }),
    ),
  );

export const useRemoveComment = (project: string) =>
  useTelling(commentsKey(project), (comment: string) =>
    answer(
      http.DELETE("/api/projects/{id}/comments/{comment}", { params: { path: { id: project, comment } } }),
    ),
  );

/** What owners were asked to confirm, and what they said. */
export const useConfirmations = (project: string) =>
  useQuery({
    queryKey: confirmationsKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/confirmations", of(project))),
  });

export const useAsk = (project: string) =>
  useTelling(confirmationsKey(project), (body: { email: string; about: About[] }) =>
    answer(http.POST("/api/projects/{id}/confirmations", { ...of(project), body })),
  );

export const useConfirm = (project: string) =>
  useTelling(confirmationsKey(project), ({ id, ...body }: { id: string; holds: boolean; note?: string }) =>
    answer(
      http.PUT("/api/projects/{id}/confirmations/{confirmation}", {
        params: { path: { id: project, confirmation: id } },
        body,
      }),
    ),
  );

/** What waits for whoever asks; looked at again every minute. */
export const useInbox = (signedIn: boolean) =>
  useQuery({
    queryKey: INBOX_KEY,
    queryFn: () => answer(http.GET("/api/me/inbox")),
    enabled: signedIn,
    refetchInterval: LOOK_AGAIN_MS,
  });

export const useReadNotices = () =>
  useTelling(INBOX_KEY, (notices: string[]) =>
    answer(http.POST("/api/me/inbox/read", { body: { notices } })),
  );
