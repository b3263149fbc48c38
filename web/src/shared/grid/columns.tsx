import type { ReactNode } from "react";
import type { ActivityEdit, ActivityView } from "../api/client";
import { formatDays, parseNumber } from "../format/numbers";
import type { Row } from "./rows";

/** What typing into a cell comes to: an edit to send, or the reason why it is refused. */
export type Typed = { edit: ActivityEdit; after: ActivityView } | { refusal: string };

export interface Column {
  id: string;
  title: string;
  /** Explains the column where it stands. */
  hint?: string;
  width: number;
  align?: "right";
  /** What the cell says; also what is copied. */
  text: (row: Row) => string;
  render?: (row: Row) => ReactNode;
  edit?: {
    /** The text an edit starts from; undefined where the cell cannot be edited. */
    start: (activity: ActivityView) => string | undefined;
    /** Where one of a few words is chosen. */
    choices?: readonly { value: string; label: string }[];
    typed: (activity: ActivityView, text: string) => Typed;
    cleared?: (activity: ActivityView) => Typed;
  };
}

export const codeColumn: Column = {
  id: "code",
  title: "Code",
  width: 62,
  text: (row) => (row.kind === "branch" ? row.branch.code : row.id),
};

export function nameColumn(width: number): Column {
  return {
    id: "name",
    title: "Activity",
    width,
    text: (row) => (row.kind === "branch" ? row.branch.name : row.activity.name),
    edit: {
      start: (activity) => activity.name,
      typed: (activity, text) => ({
        edit: { id: activity.id, name: text.trim() },
        after: { ...activity, name: text.trim() },
      }),
    },
  };
}

export const daysColumn: Column = {
  id: "days",
  title: "Days",
  hint: "Planned duration in days of the activity's calendar. Other units can be typed: 4h, 3w, 30min, 14ed.",
  width: 56,
  align: "right",
  text: (row) =>
    row.kind === "branch" || row.activity.kind === "milestone" ? "" : formatDays(row.activity.range.planned),
  edit: {
    start: (activity) => {
      if (activity.kind !== "task") return undefined;
      return /d$/.test(activity.duration) && !/ed$/.test(activity.duration)
        ? activity.duration.slice(0, -1)
        : activity.duration;
    },
    typed: (activity, text) => {
      const days = parseNumber(text);
      const duration = days === undefined ? text.trim() : `${days}d`;
      return { edit: { id: activity.id, duration }, after: { ...activity, duration } };
    },
  },
};
