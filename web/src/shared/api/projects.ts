import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Example, type NewProject, type ProjectSummary, type ProjectView } from "./client";

export const PROJECTS_KEY = ["projects"];

export type Shelf = "OPEN" | "ARCHIVED" | "DELETED";

export function useProjects(shelf: Shelf = "OPEN") {
  return useQuery({
    queryKey: [...PROJECTS_KEY, shelf],
    queryFn: () => api<ProjectSummary[]>(`/projects?shelf=${shelf}`),
  });
}

export function useExamples() {
  return useQuery({ queryKey: ["examples"], queryFn: () => api<Example[]>("/projects/examples") });
}

function useMaking<T>(make: (input: T) => Promise<ProjectView>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: make,
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}

/** Brings in a project file. */
export const useBringIn = () =>
  useMaking((file: File) => api<ProjectView>("/projects", { method: "POST", body: file }));

/** Begins a project with nothing in it. */
export const useBegin = () =>
  useMaking((body: NewProject) => api<ProjectView>("/projects/blank", { method: "POST", body }));

export const useBeginFromExample = () =>
  useMaking((example: string) => api<ProjectView>(`/projects/examples/${example}`, { method: "POST" }));

export const useDuplicate = () =>
  useMaking((project: string) => api<ProjectView>(`/projects/${project}/duplicate`, { method: "POST" }));

/** Puts a project away, or brings it back. */
export function useShelve() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ project, shelf }: { project: string; shelf: Shelf }) =>
      api<undefined>(`/projects/${project}/shelf?shelf=${shelf}`, { method: "PUT" }),
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}
