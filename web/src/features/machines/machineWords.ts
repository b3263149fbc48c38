import type { MachinesView, MachineView } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";

const MEBI = 1024 * 1024;

export const workers = (view: MachinesView) => view.machines.filter((one) => one.kind === "worker");

const counted = (count: number, one: string, more: string) =>
  count === 1 ? `One ${one}` : `${formatWhole(count)} ${more}`;

/** "Two machines help this server, 4 blocks at once; they work at run 3 of Kestrel Ridge Observatory." */
export function machinesSentence(view: MachinesView): string {
  if (view.listen === undefined) return "This server works alone.";
  const helping = workers(view);
  if (helping.length === 0) return "No machine has joined yet, so this server works alone.";
  const at = [...new Set(helping.flatMap((one) => one.work.map(workWords)))];
  const threads = helping.reduce((sum, one) => sum + one.threads, 0);
  const who = `${counted(helping.length, "machine helps", "machines help")} this server, ${formatWhole(threads)} ${threads === 1 ? "block" : "blocks"} at once`;
  const they = helping.length === 1 ? "it works" : "they work";
  return at.length === 0 ? `${who}; nothing long is to be done.` : `${who}; ${they} at ${at.join(" and ")}.`;
}

/** What a run is called where the project may not be known. */
export const workWords = ({ what, project }: MachineView["work"][number]) =>
  `${what} of ${project ?? "a project you do not read"}`;

/** "run 3 of Kestrel Ridge Observatory, 2 blocks in hand" */
export function busyWords(one: MachineView): string {
  if (one.kind === "server") return "hands blocks out, works too, puts together";
  if (one.busy === 0) return "waits for work";
  return `${one.work.map(workWords).join(", ") || "a run of another server"}, ${one.busy} ${one.busy === 1 ? "block" : "blocks"} in hand`;
}

/** "84 MB", and below one "under 1 MB". */
export const sizeWords = (bytes: number) =>
  bytes < MEBI ? "under 1 MB" : `${formatWhole(Math.round(bytes / MEBI))} MB`;

/** What share of all futures that came back a machine has done, 0 to 1. */
export function share(view: MachinesView, one: MachineView): number {
  const all = view.machines.reduce((sum, other) => sum + other.futures, 0);
  return all === 0 ? 0 : one.futures / all;
}
