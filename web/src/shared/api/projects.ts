import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type NewProject, type ProjectView, answer, http, asIs } from "./client";

export const PROJECTS_KEY = ["projects"];

export type Shelf = "open" | "archived" | "deleted";

export function useProjects(shelf: Shelf = "open") {
  return useQuery({
    queryKey: [...PROJECTS_KEY, shelf],
    queryFn: () => answer(http.GET("/api/projects", { params: { query: { shelf } } })),
  });
}

export function useExamples() {
  return useQuery({ queryKey: ["examples"], queryFn: () => answer(http.GET("/api/projects/examples")) });
}

function useMaking<T>(make: (input: T) => Promise<ProjectView>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: make,
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}

/** Brings in a project file, or that of a programme, whose projects are here already. */
export const useBringIn = () =>
  useMaking((file: File) =>
    file.name.endsWith(".programme.json")
      ? answer(http.POST("/api/programmes/file", asIs(file, "application/json")))
      : answer(http.POST("/api/projects", asIs(file, "application/json"))),
  );

/** Begins a project with nothing in it. */
export const useBegin = () =>
  useMaking((body: NewProject) => answer(http.POST("/api/projects/blank", { body })));

export const useBeginFromExample = () =>
  useMaking((example: string) =>
    answer(http.POST("/api/projects/examples/{example}", { params: { path: { example } } })),
  );

export const useDuplicate = () =>
  useMaking((project: string) =>
    answer(http.POST("/api/projects/{id}/duplicate", { params: { path: { id: project } } })),
  );

/** Puts a project away, or brings it back. */
export function useShelve() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ project, shelf }: { project: string; shelf: Shelf }) =>
      answer(http.PUT("/api/projects/{id}/shelf", { params: { path: { id: project }, query: { shelf } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}
