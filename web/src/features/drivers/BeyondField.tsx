import type { GoalValue } from "../../shared/api/client";
import { typedDay } from "../../shared/format/dates";
import { editedNumber, parseMoney, parseNumber } from "../../shared/format/numbers";
import { TextField } from "../../shared/ui/Field";
import type { Look } from "./driversStore";
import { type Goal, outputKey } from "./goal";

/** The last minute of a working day, as dates are promised. */
const BY_EVENING = "T23:59:00";

interface Props {
  goal: Goal;
  look: Look & { set: (look: Partial<Look>) => void };
  value: GoalValue;
  label: string;
}

/** Beyond which date or amount a future is late; emptied, it is the target again. */
export function BeyondField({ goal, look, value, label }: Props) {
  const key = outputKey(goal.subject);
  const put = (text: string | undefined) => {
    const others = Object.entries(look.beyond).filter(([of]) => of !== key);
    look.set({ beyond: Object.fromEntries(text === undefined ? others : [...others, [key, text]]) });
    return undefined;
  };
  const handIn = (text: string) => {
    if (text.trim() === "") return put(undefined);
    if (goal.date) {
      const typed = typedDay(text);
      if ("refusal" in typed) return typed.refusal;
      return put(typed.day === null ? undefined : `${typed.day}${BY_EVENING}`);
    }
    const amount = goal.money ? parseMoney(text) : parseNumber(text.replace(/\s*d(ays?)?\s*$/i, ""));
    return amount === undefined ? `A number is needed, not “${text.trim()}”.` : put(String(amount));
  };
  return (
    <TextField
      label={label}
      name="beyond"
      hint="A date or an amount; emptied, it is the target, or the level of confidence"
      value={
        goal.date
          ? goal.value(value)
          : editedNumber(goal.money ? Math.round(value.amount ?? 0) : round(value.amount ?? 0))
      }
      onHandIn={handIn}
    />
  );
}

const round = (days: number) => Math.round(days * 10) / 10;
