import type { EditRow, ScenarioGap, ScenarioRow } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { fieldSaid, fieldWord } from "../../shared/odds/inputChange";
import { formatDays, formatMoney, formatSigned, formatWhole, workingDays } from "../../shared/format/numbers";

/** The three ways in which a scenario can have a risk, beside as it is now. */
export const SWITCHES = [
  { value: "off", label: "off" },
  { value: "now", label: "as now" },
  { value: "response", label: "answered" },
] as const;

const SAID: Record<string, string> = {
  off: "off",
  response: "answered",
  unanswered: "without its response",
  now: "as now",
};

const FEW = 3;

/** What is different in a scenario, in a few words: "R01, R02 answered · 2 edits, S40 duration 40d → 26d". */
export function differenceWords(row: ScenarioRow): string {
  return [
    ...bySwitch(row.risks),
    ...bySwitch(row.categories, "all of "),
    ...(row.otherRisks === "now"
      ? []
      : [
          Object.keys(row.risks).length + Object.keys(row.categories).length === 0
            ? `every risk ${SAID[row.otherRisks]}`
            : `other risks ${SAID[row.otherRisks]}`,
        ]),
    ...(row.estimates ? [] : ["estimates do not vary"]),
    ...(row.correlation ? [] : ["nothing moves together"]),
    ...(row.targetFinish ? [`target ${formatDay(row.targetFinish)}`] : []),
    ...(row.targetCost === undefined ? [] : ["another budget"]),
    ...editWords(row),
  ].join(" · ");
}

function bySwitch(switches: Record<string, string>, before = ""): string[] {
  return ["response", "unanswered", "off", "now"].flatMap((how) => {
    const whose = Object.keys(switches).filter((key) => switches[key] === how);
    if (whose.length === 0) return [];
    const named =
      whose.length > FEW
        ? `${whose.slice(0, FEW).join(", ")} and ${whose.length - FEW} more`
        : whose.join(", ");
    return [`${before}${named} ${SAID[how]}`];
  });
}

function editWords(row: ScenarioRow): string[] {
  const [first] = row.edits;
  if (!first) return [];
  const told = editSaid(first);
  return [row.editCount === 1 ? told : `${formatWhole(row.editCount)} edits, ${told}`];
}

/** "S40 duration 40d → 26d", "K13 added". */
export function editSaid(edit: EditRow): string {
  const named =
    edit.section === "links"
      ? `predecessors of ${edit.key}`
      : edit.section === "project"
        ? "settings"
        : edit.key;
  if (edit.what !== "changed") return `${named} ${edit.what}`;
  const plain = edit.fields.find((field) => field.before !== undefined && field.after !== undefined);
  if (plain) return `${named} ${fieldSaid(plain)}`;
  return `${named} ${edit.fields.map((field) => fieldWord(field.name)).join(", ")}`;
}

/** Working days with their sign: −26 d. */
export const daysSigned = (days: number) => `${formatSigned(Math.round(days * 10) / 10, formatDays)} d`;

export const moneySigned = (money: number, currency: string) =>
  formatSigned(money, (amount) => formatMoney(amount, currency));

const daysWord = (days: number) => workingDays(Math.abs(days) >= 10 ? Math.round(days) : days);

/** Whether a difference can be told from chance: it is larger than its own error. */
export const isTold = (change: number, error: number | undefined) => Math.abs(change) > (error ?? 0);

/** What a scenario is worth against the base, as one sentence of the screen's answer. */
export function gapSentence(row: ScenarioRow, base: ScenarioRow, level: number, currency: string): string {
  const { gap } = row;
  if (!gap) return "";
  const against = base.id === "" ? "" : ` against “${base.name}”`;
  return `${row.name} ${timeWords(gap, level)}${moneyWords(gap, level, currency)}${against}.`;
}

function timeWords(gap: ScenarioGap, level: number): string {
  if (!isTold(gap.days, gap.daysError))
    return `does not move P${level} of the finish by anything that can be told from chance`;
  return `${gap.days < 0 ? "buys" : "costs"} ${daysWord(gap.days)} at P${level}`;
}

function moneyWords(gap: ScenarioGap, level: number, currency: string): string {
  const money = (amount: number) => formatMoney(Math.abs(amount), currency);
  const moved = isTold(gap.cost, gap.costError);
  if (gap.now > 0 && moved && gap.cost < 0)
    return ` and pays for itself: ${money(gap.now)} now, and P${level} of the cost is ${money(gap.cost)} lower all the same`;
  if (gap.now > 0 && !moved) return `: ${money(gap.now)} now, and P${level} of the cost stays where it is`;
  if (gap.now > 0) return ` for ${money(gap.now)} now; P${level} of the cost rises by ${money(gap.cost)}`;
  if (!moved) return "";
  return ` and ${gap.cost < 0 ? "saves" : "costs"} ${money(gap.cost)} at P${level}`;
}

/** How often it makes a difference at all: "In 28 of 100 futures it finishes sooner, in none later." */
export function shareSentence(gap: ScenarioGap): string {
  const of = (share: number) => {
    const count = Math.round(share * 100);
    return count === 0 ? (share > 0 ? "fewer than 1" : "none") : formatWhole(count);
  };
  return `In ${of(gap.sooner)} of 100 futures it finishes sooner, in ${of(gap.later)} later; in the others on the same minute.`;
}
