import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type ProjectView, type SchedulePreview } from "./client";
import { PROJECTS_KEY } from "./projects";

const CSV = "text/csv";

/** How a schedule's table is to be read. */
export interface Reading {
  file: File;
  /** First day of the project, as 2027-03-01. */
  start: string;
  /** What each column says, empty for one that is left out; undefined to have it guessed. */
  meanings?: string[];
}

const query = ({ start, meanings }: Reading) =>
  `start=${start}${meanings ? `&columns=${encodeURIComponent(meanings.join(","))}` : ""}`;

/** What a table would become; the last answer stays while the next is on its way. */
export function useSchedulePreview(reading: Reading) {
  const { file, start, meanings } = reading;
  return useQuery({
    queryKey: ["schedule", file.name, file.size, file.lastModified, start, meanings],
    queryFn: () =>
      api<SchedulePreview>(`/schedules/preview?${query(reading)}`, {
        method: "POST",
        body: file,
        contentType: CSV,
      }),
    placeholderData: keepPreviousData,
    enabled: start !== "",
    retry: false,
  });
}

/** Keeps a schedule as a new project. */
export function useTakeOver() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ reading, name }: { reading: Reading; name: string }) =>
      api<ProjectView>(`/schedules?${query(reading)}&name=${encodeURIComponent(name)}`, {
        method: "POST",
        body: reading.file,
        contentType: CSV,
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}
