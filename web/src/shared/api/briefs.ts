import {
  keepPreviousData,
  type QueryClient,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { useMemo } from "react";
import { answer, type BriefBlock, type BriefView, type BriefWords, http, type OrTaken } from "./client";
import { useEdit } from "./edits";

const ASK_AGAIN_MS = 600;

const briefsKey = (project: string) => ["briefs", project];
const issuesKey = (project: string) => ["issues", project];
const about = (project: string, brief: string) => ({ params: { path: { id: project, brief } } });

/** The briefs of a plan, in their order. */
export function useBriefs(project: string, revision: number) {
  return useQuery({
    queryKey: [...briefsKey(project), "all", revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/briefs", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

const isWorking = (brief?: BriefView) =>
  brief?.run !== undefined && brief.blocks.some((block) => !block.told && !block.failure);

/** Where a block is worked out anew, what it said stays until then. */
function withOld(now: BriefView, old?: BriefView): BriefView {
  const told = new Map(old?.id === now.id ? old.blocks.map((block) => [block.id, block.told]) : []);
  return {
    ...now,
    blocks: now.blocks.map((block) => ({ ...block, told: block.told ?? told.get(block.id) })),
  };
}

/**
 * A brief with its numbers; blocks that take longer come as they are worked out.
 *
 * @param runs what tells whether there are other runs than before
 */
export function useBrief(project: string, brief: string, revision: number, runs: string) {
  const client = useQueryClient();
  const key = [...briefsKey(project), "one", brief];
  return useQuery({
    queryKey: [...key, revision, runs],
    queryFn: async () => {
      const now = await answer(http.GET("/api/projects/{id}/briefs/{brief}", about(project, brief)));
      const working = isWorking(now);
      const old = client
        .getQueriesData<{ brief: BriefView }>({ queryKey: key })
        .map(([, data]) => data?.brief);
      return { brief: working ? withOld(now, old.filter(Boolean).pop()) : now, working };
    },
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.working ? ASK_AGAIN_MS : false),
  });
}

/** Which sentences another run would change. */
export function useBriefUpdate(project: string, brief: string, run: number, revision: number) {
  return useQuery({
    queryKey: [...briefsKey(project), "update", brief, run, revision],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/briefs/{brief}/update", {
          params: { path: { id: project, brief }, query: { run } },
        }),
      ),
    refetchInterval: ({ state }) => (state.data && !state.data.complete ? ASK_AGAIN_MS : false),
  });
}

/** Finish and cost of every scenario beside what a brief is of. */
export function useBriefCurves(project: string, brief?: string) {
  return useQuery({
    queryKey: [...briefsKey(project), "curves", brief],
    queryFn: () => answer(http.GET("/api/projects/{id}/briefs/{brief}/curves", about(project, brief ?? ""))),
    enabled: brief !== undefined,
  });
}

const ofBlock = (project: string, brief: string, block: string) => ({
  params: { path: { id: project, brief, block } },
});

/** The numbers that sentences of a block can hold. */
export function useBlockFields(project: string, brief: string, block: string, wanted: boolean) {
  return useQuery({
    queryKey: [...briefsKey(project), "fields", brief, block],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/briefs/{brief}/blocks/{block}/fields", ofBlock(project, brief, block)),
      ),
    enabled: wanted,
  });
}

/** What is to change in a block; null is as usual. */
export type BlockEdit = OrTaken<Omit<BriefBlock, "told">> & {
  id: string;
  add?: boolean;
  after?: string;
  was?: string[] | null;
};

/** What is to change in a brief; null takes away what can be absent. */
export type BriefEdit = Omit<OrTaken<BriefWords>, "blocks"> & { id: string; blocks?: BlockEdit[] };

/** The ways to change briefs. What somebody else edits elsewhere in the plan hinders none of them. */
export function useBriefEdits(project: string) {
  const edit = useEdit(project);
  return useMemo(
    () => ({
      change: (body: BriefEdit[]) =>
        edit((seen) => http.PATCH("/api/projects/{id}/briefs", { ...seen, body: body as never }), {
          anyRevision: true,
        }),
      remove: (briefs: string[]) =>
        edit((seen) => http.POST("/api/projects/{id}/briefs/remove", { ...seen, body: { briefs } }), {
          anyRevision: true,
        }),
    }),
    [edit],
  );
}

export type BriefEdits = ReturnType<typeof useBriefEdits>;

/** What was issued, the latest first. */
export function useIssues(project: string) {
  return useQuery({
    queryKey: issuesKey(project),
    queryFn: () => answer(http.GET("/api/projects/{id}/issues", { params: { path: { id: project } } })),
  });
}

/** An issued brief as it was read. */
export function useIssue(project: string, issue?: string) {
  return useQuery({
    queryKey: [...issuesKey(project), issue],
    queryFn: () =>
      answer(
        http.GET("/api/projects/{id}/issues/{issue}", {
          params: { path: { id: project, issue: issue ?? "" } },
        }),
      ),
    enabled: issue !== undefined,
    staleTime: Infinity,
  });
}

const refresh = (client: QueryClient, project: string) =>
  void client.invalidateQueries({ queryKey: issuesKey(project), exact: true });

/** Issues a brief: as it is read now it stays. */
export function useIssueBrief(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (brief: string) =>
      answer(http.POST("/api/projects/{id}/briefs/{brief}/issue", about(project, brief))),
    onSuccess: () => refresh(client, project),
  });
}

/** A new link by which an issued brief is read; its address is told once. */
export function useLinkIssue(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (issue: string) =>
      answer(
        http.POST("/api/projects/{id}/issues/{issue}/links", { params: { path: { id: project, issue } } }),
      ),
    onSuccess: () => refresh(client, project),
  });
}

/** Withdraws a link. */
export function useWithdrawLink(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ issue, link }: { issue: string; link: string }) =>
      answer(
        http.DELETE("/api/projects/{id}/issues/{issue}/links/{link}", {
          params: { path: { id: project, issue, link } },
        }),
      ),
    onSuccess: () => refresh(client, project),
  });
}

/** Where a brief, or a part of it, is taken out from. */
export const briefFile = (project: string, brief: string, file: string) =>
  `/api/projects/${project}/briefs/${encodeURIComponent(brief)}/${file}`;
export const issueFile = (project: string, issue: string, file: string) =>
  `/api/projects/${project}/issues/${issue}/${file}`;

/** The tables of a run that can be taken out. */
export function useExports(project: string) {
  return useQuery({
    queryKey: ["exports", project],
    queryFn: () => answer(http.GET("/api/projects/{id}/exports", { params: { path: { id: project } } })),
    staleTime: Infinity,
  });
}

/** @param run number of the run that a table is of */
export const exportFile = (project: string, file: string, run: number) =>
  `/api/projects/${project}/exports/${file}?run=${run}`;
