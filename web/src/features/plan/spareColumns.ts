import type { ActivityView, PlanView } from "../../shared/api/client";
import { formatDay, typedDay } from "../../shared/format/dates";
import { formatDays } from "../../shared/format/numbers";
import { type PlanColumn, openedDuration, type TypedRow, typedDuration } from "../../shared/planGrid/columns";
import { CONSTRAINTS, KINDS, wordOf } from "../../shared/sheet/words";

/** Columns of the plan that are shown where somebody has asked for them. */
export function spareColumns(plan: PlanView): PlanColumn[] {
  const calendars = plan.calendars.map((calendar) => ({ value: calendar.id, label: calendar.name }));
  return [
    {
      id: "kind",
      title: "Kind",
      width: 88,
      spare: true,
      text: (row) => (row.kind === "activity" ? wordOf(KINDS, row.activity.kind) : ""),
      edit: {
        start: (activity) => activity.kind,
        choices: KINDS,
        typed: (activity, kind) => ({ edit: { id: activity.id, kind }, after: { ...activity, kind } }),
      },
    },
    {
      id: "calendar",
      title: "Calendar",
      word: "calendar",
      width: 120,
      spare: true,
      text: (row) => (row.kind === "activity" ? wordOf(calendars, row.activity.calendar) : ""),
      edit: {
        start: (activity) => activity.calendar,
        choices: calendars,
        typed: (activity, calendar) => ({
          edit: { id: activity.id, calendar },
          after: { ...activity, calendar },
        }),
      },
    },
    dateColumn("actualStart", "Started", "When the work really began"),
    dateColumn("actualFinish", "Finished", "When the work was really done"),
    {
      id: "remaining",
      title: "Remaining",
      hint: "Work still ahead by the data date, in days; of what has started",
      width: 76,
      align: "right",
      spare: true,
      text: (row) => (row.kind === "activity" ? openedDuration(row.activity.remaining ?? "") : ""),
      edit: {
        start: (activity) => openedDuration(activity.remaining ?? ""),
        typed: (activity, text) => {
          const remaining = text.trim() === "" ? null : typedDuration(text);
          return {
            edit: { id: activity.id, remaining },
            after: { ...activity, remaining: remaining ?? undefined },
          };
        },
      },
    },
    {
      id: "constraint",
      title: "Date held to",
      word: "constraint",
      width: 190,
      spare: true,
      text: (row) => {
        const held = row.kind === "activity" ? row.activity.constraint : undefined;
        return held ? `${wordOf(CONSTRAINTS, held.type)} ${formatDay(held.date)}` : "";
      },
    },
    {
      id: "free",
      title: "Free float",
      word: "free float",
      hint: "Working days it may slip before any successor moves",
      width: 70,
      align: "right",
      spare: true,
      text: (row) =>
        row.kind !== "activity" ? "" : formatDays(Math.round(row.activity.freeFloatDays * 2) / 2 + 0),
    },
    {
      id: "lateFinish",
      title: "Latest finish",
      width: 96,
      align: "right",
      spare: true,
      text: (row) => (row.kind !== "activity" ? "" : formatDay(row.activity.lateFinish)),
    },
    {
      id: "notes",
      title: "Notes",
      width: 180,
      spare: true,
      text: (row) => (row.kind === "activity" ? (row.activity.notes ?? "") : ""),
      edit: {
        start: (activity) => activity.notes ?? "",
        typed: (activity, notes) => ({ edit: { id: activity.id, notes }, after: { ...activity, notes } }),
        cleared: (activity) => ({ edit: { id: activity.id, notes: "" }, after: activity }),
      },
    },
  ];
}

function dateColumn(id: "actualStart" | "actualFinish", title: string, hint: string): PlanColumn {
  const typed = (activity: ActivityView, text: string): TypedRow => {
    const given = typedDay(text);
    if ("refusal" in given) return given;
    return {
      edit: { id: activity.id, [id]: given.day },
      after: { ...activity, [id]: given.day ?? undefined },
    };
  };
  const shown = (activity: ActivityView) => {
    const date = activity[id];
    return date ? formatDay(date) : "";
  };
  return {
    id,
    title,
    hint,
    width: 92,
    align: "right",
    spare: true,
    text: (row) => (row.kind === "activity" ? shown(row.activity) : ""),
    edit: { start: shown, typed, cleared: (activity) => typed(activity, "") },
  };
}
