import type { CheckWords } from "../../shared/check/CheckPanel";

/** What each check of the plan is called, and why it matters to a simulation. */
export const CHECKS: CheckWords = {
  openStart: {
    title: "Nothing comes before",
    why: "In a simulation it starts on the first day whatever else is late, so its own delays seem harmless.",
  },
  openFinish: {
    title: "Nothing comes after",
    why: "It can be as late as it likes without anybody waiting: its risk never reaches the finish.",
  },
  danglingStart: {
    title: "Start not held",
    why: "Only its finish is tied. A longer duration makes it start earlier, which no real work does.",
  },
  danglingFinish: {
    title: "Finish not followed",
    why: "Successors wait for its start only, so however long it takes, nobody is delayed.",
  },
  lead: {
    title: "Leads",
    why: "A negative lag assumes that the end is known in advance. Where durations vary, it is not.",
  },
  longLag: {
    title: "Long lags",
    why: "Waiting is work without a name and without a range. Make it an activity if it can vary.",
  },
  hardConstraint: {
    title: "Hard dates",
    why: "A date that holds whatever happens hides the risk before it, or turns it into negative float.",
  },
  missedConstraint: {
    title: "Dates that cannot be met",
    why: "Even as planned the date is missed. Every chance read against it is a chance of something else.",
  },
  outOfSequence: {
    title: "Progress out of sequence",
    why: "It went ahead of its predecessor, so the logic is not how the work is really done.",
  },
  overlong: {
    title: "Very long activities",
    why: "One range over many months hides what drives it, and progress on it can hardly be judged.",
  },
  outsideWork: {
    title: "Dates where nobody works",
    why: "The calendar and the date disagree; one of them is wrong.",
  },
  duplicateLink: {
    title: "The same link twice",
    why: "It changes nothing today, and somebody will correct only one of the two.",
  },
  evenDurations: {
    title: "Far too even durations",
    why: "Durations that all look alike are defaults, not estimates; ranges around them mean little.",
  },
  noTarget: {
    title: "No target finish",
    why: "Without a date to promise there is no chance to read. Set it in the project's settings.",
  },
};

/** The plan check in one sentence. */
export function checkSentence(open: number, accepted: number): string {
  const beside = accepted === 0 ? "" : `; ${accepted} accepted`;
  if (open === 0) return `The plan check finds nothing${accepted === 0 ? "" : ` new${beside}`}.`;
  return `${open} ${open === 1 ? "finding" : "findings"} in the plan check${beside}.`;
}
