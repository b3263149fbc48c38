import type { Completion } from "../../shared/grid/types";
import { formatDay, formatShortDay } from "../../shared/format/dates";
import { formatDays } from "../../shared/format/numbers";
import { codeColumn, type PlanColumn, daysColumn, nameColumn } from "../../shared/planGrid/columns";
import type { Row } from "../../shared/planGrid/rows";
import { drivesColumn } from "../../shared/timeline/drivesColumn";
import type { ActivityView, PlanView, Span } from "../../shared/api/client";
import { spareColumns } from "./spareColumns";
import { linkText } from "../../shared/sheet/words";

const MOST_COMPLETIONS = 8;

/** Predecessors of every activity as text. */
function predecessors(plan: PlanView): Map<string, string> {
  const texts = new Map<string, string>();
  for (const link of plan.links) {
    const before = texts.get(link.to);
    texts.set(link.to, before ? `${before}; ${linkText(link)}` : linkText(link));
  }
  return texts;
}

/** Activities whose code begins, or whose name goes on, as the last word of a list of predecessors. */
function completions(plan: PlanView, text: string): Completion[] {
  const word = (/[^;,\s]*$/.exec(text)?.[0] ?? "").toLowerCase();
  if (word === "") return [];
  const fits = (one: ActivityView) =>
    one.id.toLowerCase().startsWith(word) || (word.length > 2 && one.name.toLowerCase().includes(word));
  const found = plan.activities.filter(fits).slice(0, MOST_COMPLETIONS);
  return found.length === 1 && found[0]?.id.toLowerCase() === word
    ? []
    : found.map((one) => ({ value: one.id, label: one.name }));
}

export function planColumns(plan: PlanView, simulated: ReadonlyMap<string, Span> = new Map()): PlanColumn[] {
  const after = predecessors(plan);
  return [
    codeColumn,
    nameColumn(226),
    daysColumn,
    {
      id: "after",
      title: "After",
      word: "predecessor",
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
        complete: (text) => completions(plan, text),
      },
      editNew: (text) => ({ predecessors: text }),
    },
    {
      id: "start",
      title: "Start",
      width: 62,
      align: "right",
      text: (row) => {
        const start = datesOf(row).start;
        return start ? formatShortDay(start) : "";
      },
    },
    {
      id: "finish",
      title: "Finish",
      width: 92,
      align: "right",
      text: (row) => {
        const finish = datesOf(row).finish;
        return finish ? formatDay(finish) : "";
      },
    },
    {
      id: "float",
      title: "Float",
      word: "total float",
      hint: "Working days, to the half, the activity may slip before the planned finish of the project moves",
      width: 50,
      align: "right",
      text: (row) => {
        if (row.kind !== "activity" || row.activity.kind === "hammock") return "";
        return formatDays(Math.round(row.activity.totalFloatDays * 2) / 2 + 0);
      },
    },
    ...(simulated.size > 0 ? [drivesColumn(simulated)] : []),
    ...spareColumns(plan),
  ];
}

function datesOf(row: Row): { start?: string; finish?: string } {
  return row.kind === "branch" ? row.branch : row.kind === "activity" ? row.activity : {};
}
