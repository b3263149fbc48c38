import type { RiskView } from "../../shared/api/client";

/** Width of the sheet of a risk, in pixels. */
export const SHEET_WIDTH = 520;

export const KINDS = [
  { value: "threat", label: "Threat" },
  { value: "opportunity", label: "Opportunity" },
] as const;

export const STATES = [
  { value: "proposed", label: "Proposed" },
  { value: "open", label: "Open" },
  { value: "closed", label: "Closed" },
  { value: "occurred", label: "Occurred" },
] as const;

const STRATEGIES: Record<string, readonly string[]> = {
  threat: ["avoid", "transfer", "mitigate", "accept"],
  opportunity: ["exploit", "share", "enhance", "accept"],
};

/** What can be meant to be done about a risk, by its kind. */
export const strategiesOf = (kind: string) =>
  (STRATEGIES[kind] ?? []).map((value) => ({ value, label: value.charAt(0).toUpperCase() + value.slice(1) }));

export const ACTION_STATES = [
  { value: "planned", label: "planned" },
  { value: "underWay", label: "under way" },
  { value: "done", label: "done" },
  { value: "dropped", label: "dropped" },
] as const;

/** Whether it takes part in the simulation. */
export const isLive = ({ state }: RiskView) => state === "open" || state === "occurred";

/** Cause, event and consequence as one sentence; the title where they are not said. */
export function sentenceOf({ title, cause, event, consequence }: RiskView): string {
  const parts = [
    cause && `Because ${bare(cause)}`,
    event && `${cause ? "it may happen that" : "It may happen that"} ${bare(event)}`,
    consequence && `and then ${bare(consequence)}`,
  ].filter(Boolean);
  return parts.length === 0 ? title : `${parts.join(", ")}.`;
}

const bare = (text: string) => text.trim().replace(/[.,;]+$/, "");
