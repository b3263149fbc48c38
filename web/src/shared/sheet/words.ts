import type { LinkView } from "../../shared/api/client";

/** A link at its successor: "A10", "A20FS+3d". A plain finish-start link is its code alone. */
export function linkText(link: Pick<LinkView, "from" | "type" | "lag">): string {
  const lag =
    parseFloat(link.lag) === 0 ? "" : link.lag.startsWith("-") ? link.lag.replace("-", "−") : `+${link.lag}`;
  return link.type === "FS" && lag === "" ? link.from : `${link.from}${link.type}${lag}`;
}

export const KINDS = [
  { value: "task", label: "Activity" },
  { value: "milestone", label: "Milestone" },
  { value: "hammock", label: "Hammock" },
] as const;

export const CONSTRAINTS = [
  { value: "startNoEarlier", label: "Start no earlier than" },
  { value: "finishNoEarlier", label: "Finish no earlier than" },
  { value: "startNoLater", label: "Start no later than" },
  { value: "finishNoLater", label: "Finish no later than" },
  { value: "startOn", label: "Start on" },
  { value: "finishOn", label: "Finish on" },
] as const;

export const LINK_TYPES = [
  { value: "FS", label: "finish to start" },
  { value: "SS", label: "start to start" },
  { value: "FF", label: "finish to finish" },
  { value: "SF", label: "start to finish" },
] as const;

export const wordOf = (words: readonly { value: string; label: string }[], value: string) =>
  words.find((word) => word.value === value)?.label ?? value;
