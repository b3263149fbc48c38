import type { PlanView } from "../api/client";
import { editedNumber } from "../format/numbers";

/** The resources at work on each activity, as people write them: "crew 0.5; optics 2". */
export function crewsOf(plan: PlanView): Map<string, string> {
  const crews = new Map<string, string>();
  for (const one of plan.assignments) {
    const said = one.units === 1 ? one.resource : `${one.resource} ${editedNumber(one.units, "en")}`;
    const before = crews.get(one.activity);
    crews.set(one.activity, before ? `${before}; ${said}` : said);
  }
  return crews;
}
