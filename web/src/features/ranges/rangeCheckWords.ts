import type { CheckWords } from "../../shared/check/CheckPanel";

/** What each fault of ranges is called, and why it matters. */
export const RANGE_FAULTS: CheckWords = {
  noRange: {
    title: "No range",
    why: "It counts as certain, which no work is. Give its branch a grade, and the exceptions their own.",
  },
  saidCertain: {
    title: "Said to be certain",
    why: "Right for a sailing by timetable, wrong for work. If it is meant, say why.",
  },
  likelyCutOff: {
    title: "Likely value cut off",
    why: "What is thought most likely cannot happen. Move the likely value or the cut.",
  },
  plannedOutside: {
    title: "Plan outside the range",
    why: "Either the plan is known to be wrong, and should be mended, or the range answers another question.",
  },
  extremeRatio: {
    title: "Ends very far apart",
    why: "Mostly a slip of the unit, or two stories in one range. A separate event belongs into the risk register.",
  },
  copiedRange: {
    title: "One range copied over a branch",
    why: "It was not thought about row by row. A grade says the same honestly, and can be changed once.",
  },
  anchored: {
    title: "Likely is always the plan",
    why: "The plan pulled the answers. Be asked in order, extremes first, and see whether it stays so.",
  },
  symmetric: {
    title: "As far down as up",
    why: "Work runs late more easily than early; even ranges promise a mean that seldom comes true.",
  },
  tenPercent: {
    title: "Ten percent everywhere",
    why: "It is the figure people give to be left alone. Ask what would make the work take twice as long.",
  },
  impossibleMatrix: {
    title: "Coefficients that cannot hold together",
    why: "The odds use the nearest that can. Open Correlation to see what moves, and take it or change yours.",
  },
  noCorrelation: {
    title: "Everything moves alone",
    why: "Then good luck here cancels bad luck there, and the spread is understated. Group what shares crews, weather or suppliers.",
  },
};

/** The range check in one sentence. */
export function rangeSentence(open: number, accepted: number): string {
  const beside = accepted === 0 ? "" : `; ${accepted} accepted`;
  if (open === 0) return `The range check finds nothing${accepted === 0 ? "" : ` new${beside}`}.`;
  return `${open} ${open === 1 ? "finding" : "findings"} in the range check${beside}. Bad ranges are the usual reason why odds are worth nothing.`;
}
