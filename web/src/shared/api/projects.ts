import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type ProjectView } from "./client";

export const PROJECTS_KEY = ["projects"];

export function useProjects() {
  return useQuery({ queryKey: PROJECTS_KEY, queryFn: () => api<ProjectView[]>("/projects") });
}

/** Brings in a project file. */
export function useBringIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (file: File) => api<ProjectView>("/projects", { method: "POST", body: file }),
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}
