import type { StaircaseView } from "../../shared/api/client";
import { capital, type Goal } from "./goal";

/** What each step is called, beneath it and in a sentence. */
const STEPS: Record<string, { name: string; said: string; means: string }> = {
  plan: { name: "Plan", said: "the plan", means: "What the plan itself says." },
  longestPath: {
    name: "Estimates on the longest path",
    said: "estimates on the plan's longest path",
    means: "The estimates on the plan's longest path spread; all else is held at plan.",
  },
  pathsThatMeet: {
    name: "Paths that meet",
    said: "paths that meet",
    means: "All other estimates spread too: where paths meet, the later one counts.",
  },
  correlation: {
    name: "Moving together",
    said: "estimates that move together",
    means: "Estimates that are correlated move together.",
  },
  threats: {
    name: "Threats",
    said: "threats",
    means: "Threats strike, after the responses that are decided on.",
  },
  opportunities: { name: "Opportunities", said: "opportunities", means: "Opportunities come true." },
  responses: {
    name: "Responses",
    said: "responses",
    means: "All responses that are not decided on yet are carried out, with what their actions cost.",
  },
  planned: { name: "Plan", said: "the plan", means: "What the plan itself costs." },
  estimateSpread: {
    name: "Ranges of amounts",
    said: "ranges of amounts",
    means: "The ranges of amounts, with all work as long as planned.",
  },
  timeDriven: {
    name: "Delay",
    said: "delay",
    means: "What longer work costs, whatever makes it longer.",
  },
  risk: { name: "Risks on money", said: "risks on money", means: "What risks add to amounts." },
  actions: { name: "Actions", said: "actions", means: "What the responses cost that are decided on." },
  progress: { name: "Progress", said: "progress", means: "" },
  calendars: { name: "Calendars", said: "calendars", means: "" },
  logic: { name: "Logic and durations", said: "logic and durations", means: "" },
  ranges: { name: "Ranges", said: "ranges", means: "" },
  risks: { name: "Risks", said: "risks", means: "" },
  costs: { name: "Costs", said: "costs", means: "" },
};

export const stepName = (cause: string) => STEPS[cause]?.name ?? capital(spaced(cause));
export const stepSaid = (cause: string) => STEPS[cause]?.said ?? spaced(cause);
export const stepMeans = (cause: string) => STEPS[cause]?.means ?? "";

/** "remainingDurations" as "remaining durations" */
const spaced = (cause: string) => cause.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const TOLD = 3;

/** "Of the 74 days from the plan to P80, 44 days come from estimates, 26 days from threats and 3.6 days from …" */
export function stairSentence(view: StaircaseView, goal: Goal): string {
  const counted = view.steps.slice(1, view.asItIs);
  const whole = counted.reduce((sum, { change }) => sum + change, 0);
  if (counted.every(({ change }) => change === 0))
    return `${capital(goal.name)} at P${Math.round(view.level)} is that of the plan: nothing in it is uncertain.`;
  const told = [...counted]
    .filter(({ change }) => change !== 0)
    .sort((a, b) => Math.abs(b.change) - Math.abs(a.change))
    .slice(0, TOLD)
    .map(({ cause, change }, i) => {
      const from = `${i === 0 ? "come " : ""}from ${stepSaid(cause)}`;
      return `${change < 0 ? "−" : ""}${goal.amount(change)} ${from}`;
    });
  const list = told.length > 1 ? `${told.slice(0, -1).join(", ")} and ${told.at(-1)}` : told[0];
  return `Of the ${goal.amount(whole)} from the plan to P${Math.round(view.level)}, ${list}.`;
}
