import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { answer, asIs, type CalendarWords, http } from "../../shared/api/client";
import { useEdit } from "../../shared/api/edits";

export function useCalendars(project: string, revision: number) {
  return useQuery({
    queryKey: ["calendars", project, revision],
    queryFn: () => answer(http.GET("/api/projects/{id}/calendars", { params: { path: { id: project } } })),
    placeholderData: keepPreviousData,
  });
}

/** When the plan would finish with a calendar that is not kept yet. */
export function useCalendarLook(project: string, revision: number, draft: CalendarWords | undefined) {
  return useQuery({
    queryKey: ["calendar-look", project, revision, draft],
    queryFn: () =>
      answer(
        http.POST("/api/projects/{id}/calendars/look", {
          params: { path: { id: project } },
          body: draft as CalendarWords,
        }),
      ),
    enabled: draft !== undefined,
    retry: false,
    placeholderData: keepPreviousData,
  });
}

/** Reads the days off in an iCalendar file; nothing is kept of them. */
export function useHolidays(project: string) {
  return useMutation({
    mutationFn: (file: File) =>
      answer(
        http.POST("/api/projects/{id}/calendars/holidays", {
          params: { path: { id: project } },
          ...asIs(file, "text/calendar"),
        }),
      ),
  });
}

export const calendarFile = (project: string, calendar: string) =>
  `/api/projects/${project}/calendars/${encodeURIComponent(calendar)}/file`;

/** The ways to change calendars. */
export function useCalendarEdits(project: string) {
  const edit = useEdit(project);
  return {
    put: (body: CalendarWords) => edit((seen) => http.PUT("/api/projects/{id}/calendars", { ...seen, body })),
    remove: (calendar: string) =>
      edit(({ headers }) =>
        http.DELETE("/api/projects/{id}/calendars/{calendar}", {
          headers,
          params: { path: { id: project, calendar } },
        }),
      ),
  };
}
