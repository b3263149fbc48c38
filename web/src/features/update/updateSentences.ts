import type { UpdatePreview } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { counted } from "../../shared/schedule/scheduleSentences";

/** What each field of an update is called. */
export const FIELDS: Record<string, string> = {
  name: "name",
  kind: "kind",
  duration: "duration",
  branch: "branch",
  predecessors: "after",
  constraint: "held to",
  "actual start": "started",
  "actual finish": "finished",
  remaining: "remaining",
};

/** What a newer file would change, in a sentence. */
export function updateSentence(update: UpdatePreview): string {
  if (update.schedule.problemCount > 0)
    return `${counted(update.schedule.problemCount, "problem", "problems")} in the file. Nothing is kept until there are none.`;
  const count = (what: string) => update.rows.filter((row) => row.what === what).length;
  if (update.rows.length === 0) return "The file says what the plan says already.";
  return `${formatWhole(count("new"))} new, ${formatWhole(count("changed"))} changed, ${formatWhole(count("gone"))} gone.`;
}
