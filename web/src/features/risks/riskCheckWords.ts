import type { CheckWords } from "../../shared/check/CheckPanel";

/** What each fault of a register is called, and why it matters to a simulation. */
export const RISK_FAULTS: CheckWords = {
  noEffect: {
    title: "No effect",
    why: "It is talked about and moves nothing: say what it does to time or money, or that it is only scored.",
  },
  nothingLeft: {
    title: "Strikes finished work only",
    why: "Nothing strikes what is done, so it does nothing any more. It can be closed.",
  },
  noChance: {
    title: "Chance of 0 or 100 %",
    why: "What cannot happen is no risk; what will happen belongs into the plan itself.",
  },
  wrongWay: {
    title: "Called by the wrong name",
    why: "An opportunity that adds, or a threat that saves: the register reads one way and is simulated the other.",
  },
  sameCause: {
    title: "One cause, several risks",
    why: "What has one cause strikes together. As separate chances, bad luck here cancels with good luck there.",
  },
  countedTwice: {
    title: "Perhaps counted twice",
    why: "Where the range of the work holds the risk already, it is in the odds two times.",
  },
  past: {
    title: "Past its dates",
    why: "It could strike until a day that has passed, and is still reckoned with.",
  },
  dearResponse: {
    title: "Responses that buy nothing",
    why: "By simulation the response saves neither its price nor half a day at the project's level of confidence.",
  },
  overdue: { title: "Actions overdue", why: "What a response is worth depends on its being done in time." },
  noOwner: { title: "No owner", why: "Nobody to ask whether it is still true, and nobody who acts on it." },
};

/** The risk check in one sentence. */
export function riskSentence(open: number, accepted: number): string {
  const beside = accepted === 0 ? "" : `; ${accepted} accepted`;
  if (open === 0) return `The risk check finds nothing${accepted === 0 ? "" : ` new${beside}`}.`;
  return `${open} ${open === 1 ? "finding" : "findings"} in the risk check${beside}.`;
}
