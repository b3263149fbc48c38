import { formatDay, formatShortDay } from "../../shared/format/dates";
import { formatDays } from "../../shared/format/numbers";
import { codeColumn, type Column, daysColumn, nameColumn } from "../../shared/grid/columns";
import type { PlanView } from "../../shared/api/client";

/** Predecessors as text: "A10; A20FS+3d". A plain finish-start link is its code alone. */
function predecessors(plan: PlanView): Map<string, string> {
  const texts = new Map<string, string>();
  for (const link of plan.links) {
    const lag =
      parseFloat(link.lag) === 0
        ? ""
        : link.lag.startsWith("-")
          ? link.lag.replace("-", "−")
          : `+${link.lag}`;
    const one = link.type === "FS" && lag === "" ? link.from : `${link.from}${link.type}${lag}`;
    const before = texts.get(link.to);
    texts.set(link.to, before ? `${before}; ${one}` : one);
  }
  return texts;
}

export function planColumns(plan: PlanView): Column[] {
  const after = predecessors(plan);
  return [
    codeColumn,
    nameColumn(226),
    daysColumn,
    {
      id: "after",
      title: "After",
      hint: "Predecessors: A10; A20FS+3d; A30SS−1d. Finish-start where nothing else is said.",
      width: 104,
      text: (row) => after.get(row.id) ?? "",
      edit: {
        start: (activity) => after.get(activity.id) ?? "",
        typed: (activity, text) => ({
          edit: { id: activity.id, predecessors: text.trim() },
          after: activity,
        }),
        cleared: (activity) => ({ edit: { id: activity.id, predecessors: "" }, after: activity }),
      },
    },
    {
      id: "start",
      title: "Start",
      width: 62,
      align: "right",
      text: (row) => {
        const start = row.kind === "branch" ? row.branch.start : row.activity.start;
        return start ? formatShortDay(start) : "";
      },
    },
    {
      id: "finish",
      title: "Finish",
      width: 92,
      align: "right",
      text: (row) => {
        const finish = row.kind === "branch" ? row.branch.finish : row.activity.finish;
        return finish ? formatDay(finish) : "";
      },
    },
    {
      id: "float",
      title: "Float",
      hint: "Working days, to the half, the activity may slip before the planned finish of the project moves",
      width: 50,
      align: "right",
      text: (row) => {
        if (row.kind === "branch" || row.activity.kind === "hammock") return "";
        return formatDays(Math.round(row.activity.totalFloatDays * 2) / 2 + 0);
      },
    },
  ];
}
