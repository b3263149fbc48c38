import type { PlanView } from "../api/client";
import { formatWhole } from "../format/numbers";
import { originOf, type Ranged } from "./estimates";

/** Where the range of a row comes from, and for what reason. */
export function originSentence(plan: PlanView, one: Ranged): string {
  const origin = originOf(one);
  const counts = one.grade ?? one.inherited;
  const grade = plan.grades.find((each) => each.id === counts);
  const reason = plan.evidence.find((each) =>
    each.on.includes(origin === "own" ? one.id : (grade?.id ?? "")),
  );
  const because = reason
    ? ` It was fitted to “${reason.name}”, ${formatWhole(reason.count)} observations.`
    : "";
  switch (origin) {
    case "own":
      return `A range of its own.${because}`;
    case "grade":
      return `Grade ${grade?.name}, its own.${note(grade?.note)}${because}`;
    case "inherited":
      return `Grade ${grade?.name}, inherited from the branch above.${note(grade?.note)}${because}`;
    case "none":
      return "No range: it counts as certain. Choose a grade or a shape, or be asked in order.";
  }
}

const note = (text?: string) => (text ? ` ${text}.` : "");
