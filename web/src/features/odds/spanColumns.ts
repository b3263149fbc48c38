import type { PlanView, Span } from "../../shared/api/client";
import { formatDay, formatShortDay } from "../../shared/format/dates";
import { codeColumn, type PlanColumn, nameColumn } from "../../shared/planGrid/columns";
import { drivesColumn } from "../../shared/timeline/drivesColumn";
import { finishAt, timeAt } from "../../shared/timeline/mist";
import type { Simulated } from "../../shared/timeline/TimelineRow";
import { shareOfFutures } from "../../shared/odds/sentences";

/** Rows as they may turn out: nothing here can be edited. */
export function spanColumns({ levels, level, spans }: Simulated): PlanColumn[] {
  const finish = (percent: number, width: number): PlanColumn => ({
    id: `finish${percent}`,
    title: `P${percent}`,
    word: "percentile",
    hint: `${percent} of 100 futures have finished it by then`,
    width,
    align: "right",
    text: (row) => {
      const span = spans.get(row.id);
      const time = span && finishAt(span, levels, percent);
      return time === undefined ? "" : formatDay(time);
    },
  });
  const readOnly = (column: PlanColumn): PlanColumn => ({
    ...column,
    edit: undefined,
    editBranch: undefined,
    editNew: undefined,
  });
  return [
    readOnly(codeColumn),
    readOnly(nameColumn(216)),
    finish(50, 90),
    ...(level === 50 ? [] : [finish(level, 90)]),
    drivesColumn(spans),
  ];
}

/** "Access road: starts 3 May 2027 (12 Apr to 2 Jun), finishes …; half of all futures have it drive the finish." */
export function spanSentence(plan: PlanView, simulated: Simulated, id: string): string | undefined {
  const span = simulated.spans.get(id);
  const row = plan.activities.find((one) => one.id === id) ?? plan.branches.find((one) => one.id === id);
  if (!span || !row) return undefined;
  const { levels, level } = simulated;
  const said = (what: "start" | "finish") => {
    const of = (percent: number) => timeAt(span[what], levels, percent);
    const [early, middle, kept, late] = [of(10), of(50), of(level), of(90)];
    if (early === undefined || middle === undefined || kept === undefined || late === undefined) return "";
    if (early === late) return `on ${formatDay(middle)}`;
    const levelled = what === "finish" && level > 10 && level < 90 ? [kept] : [];
    const [p10 = "", ...rest] = inOneYear([early, ...levelled, late]);
    const names = [...levelled.map(() => level), 90];
    return `about ${formatDay(middle)} (P10 ${p10}, ${rest.map((day, i) => `P${names[i]} ${day}`).join(", ")})`;
  };
  return `${row.name} starts ${said("start")} and finishes ${said("finish")}. ${drivesWords(span)}`;
}

/** Days in rising order, each with its year only where the next one lies in another. */
function inOneYear(times: number[]): string[] {
  const year = (time: number | undefined) => time !== undefined && new Date(time).getUTCFullYear();
  return times.map((time, i) => (year(time) === year(times[i + 1]) ? formatShortDay(time) : formatDay(time)));
}

function drivesWords({ criticality }: Span): string {
  if (criticality === 0) return "It never drives the finish.";
  return `It drives the finish in ${shareOfFutures(criticality).toLowerCase()}.`;
}
