import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { api, type CalendarLook, type CalendarWords, type ExceptionWords } from "./client";

export function useCalendars(project: string, revision: number) {
  return useQuery({
    queryKey: ["calendars", project, revision],
    queryFn: () => api<CalendarWords[]>(`/projects/${project}/calendars`),
    placeholderData: keepPreviousData,
  });
}

/** When the plan would finish with a calendar that is not kept yet. */
export function useCalendarLook(project: string, revision: number, draft: CalendarWords | undefined) {
  return useQuery({
    queryKey: ["calendar-look", project, revision, draft],
    queryFn: () => api<CalendarLook>(`/projects/${project}/calendars/look`, { method: "POST", body: draft }),
    enabled: draft !== undefined,
    retry: false,
    placeholderData: keepPreviousData,
  });
}

/** Reads the days off in an iCalendar file; nothing is kept of them. */
export function useHolidays(project: string) {
  return useMutation({
    mutationFn: (file: File) =>
      api<ExceptionWords[]>(`/projects/${project}/calendars/holidays`, {
        method: "POST",
        body: file,
        contentType: "text/calendar",
      }),
  });
}

export const calendarFile = (project: string, calendar: string) =>
  `/api/projects/${project}/calendars/${encodeURIComponent(calendar)}/file`;
