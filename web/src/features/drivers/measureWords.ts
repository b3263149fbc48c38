import type { DriversView } from "../../shared/api/client";
import { formatChance, formatDays, formatMoney, formatOne, formatSigned } from "../../shared/format/numbers";
import type { Measure } from "./driversStore";
import { capital, type Goal } from "./goal";
import type { InputRow } from "./measures";

/** The value of a row as the measure has it. */
export function valueText(row: InputRow, measure: Measure, goal: Goal): string {
  if (row.value === undefined) return "";
  switch (measure) {
    case "swing":
      return row.group ? goal.signed(row.value).replace(/^\+/, "") : goal.signed(row.value);
    case "removal":
    case "day":
    case "tenth":
      return goal.signed(row.value);
    case "contribution":
      return row.value < 0 ? `−${formatChance(-row.value)}` : formatChance(row.value);
    case "rank":
    case "coefficient":
      return formatSigned(row.value, formatDays);
    case "slope":
      return slopeText(row.value, row.driver?.unit ?? "day", goal);
  }
}

const UNITS: Record<string, string> = {
  day: "a day",
  hour: "an hour",
  strike: "a strike",
  factor: "a factor of one",
  score: "a deviation",
};

/** "0.70 d a day", "€1.2k a day", "0.98 for one of money" */
export function slopeText(slope: number, unit: string, goal: Goal): string {
  if (unit === "money")
    return goal.money
      ? `${formatDays(slope)} for one`
      : `${formatSigned(slope * THOUSAND, formatDays)} d per ${formatMoney(THOUSAND, goal.currency)}`;
  const amount = goal.money ? formatMoney(slope, goal.currency) : `${formatDays(slope)} d`;
  return `${amount} ${UNITS[unit] ?? ""}`;
}

const THOUSAND = 1000;

/** What rank a row has, with what chance could make of it: "1", "2–4". */
export function rankText(row: InputRow): string {
  const { best, worst } = row.driver ?? {};
  if (best === undefined || worst === undefined) return "";
  return best === worst ? `${best}` : `${best}–${worst}`;
}

/** What a measure means, where it stands. */
export function meaning(measure: Measure, goal: Goal, mean: string): string {
  const of = capital(goal.name);
  const unit = goal.money ? "money" : "working days";
  switch (measure) {
    case "swing":
      return `Swing: where ${goal.name} lies on average when an input is in its lowest tenth (open end) and its highest (full end), in ${unit} from the mean, ${mean}.`;
    case "removal":
      return `Removal: how far ${goal.level} of ${goal.name} moves when an estimate is held at plan or a risk is off, in ${unit}. All futures draw the same random numbers, so the difference is no noise.`;
    case "day":
      return `A day less: how far ${goal.level} of ${goal.name} moves when the work of an activity takes a day less in every future.`;
    case "tenth":
      return `A tenth less: how far ${goal.level} of ${goal.name} moves when the work of an activity takes a tenth less in every future.`;
    case "contribution":
      return `Share of variance: how much of the variance of ${goal.name} goes with an input, by a straight line through all of them.`;
    case "rank":
      return `Rank correlation: whether more of an input goes with more of ${goal.name}, from −1 to +1, whatever the curve.`;
    case "slope":
      return `Slope: by how much ${goal.name} moves when an input moves by one of its units and all others stay.`;
    case "coefficient":
      return `${of} in standard deviations when an input moves by one of its own and all others stay.`;
  }
}

/** What the selected row says by the measure. */
export function rowSentence(row: InputRow, measure: Measure, goal: Goal): string {
  const { driver, group } = row;
  if (group)
    return `${group.keys.length} ${group.keys.length === 1 ? "input" : "inputs"} of “${group.name}” make ${valueText(row, measure, goal)} when they are added up.`;
  if (row.value === undefined || !driver) return measureless(row, measure, goal);
  const value = row.value;
  if (value === 0 && row.error) return unseen(row.error, measure, goal);
  const way = goal.money ? ["dearer", "cheaper"] : ["later", "earlier"];
  const error = row.error === undefined ? "" : ` (± ${goal.amount(row.error)})`;
  const moved = `${goal.amount(value)} ${value > 0 ? way[0] : way[1]}${error}`;
  switch (measure) {
    case "swing":
      return `From its lowest tenth to its highest, ${goal.name} comes ${moved}.`;
    case "removal":
      return driver.input.kind === "estimate" || driver.input.kind === "cost" || driver.input.kind === "group"
        ? `Held at plan, ${goal.level} of ${goal.name} comes ${moved}.`
        : `Were it off, ${goal.level} of ${goal.name} would come ${moved}.`;
    case "day":
      return `A day less of it brings ${goal.level} of ${goal.name} ${moved}.`;
    case "tenth":
      return `A tenth less of it brings ${goal.level} of ${goal.name} ${moved}.`;
    case "contribution":
      return value < 0
        ? `It counters others: without it ${goal.name} would vary more.`
        : `${formatChance(value)} of the variance of ${goal.name} goes with it.`;
    case "rank":
      return `More of it goes with ${value > 0 ? "more" : "less"} of ${goal.name}: rank correlation ${formatSigned(value, formatDays)}.`;
    case "slope":
      return `${capital(goal.name)} moves by ${slopeText(value, driver.unit, goal)} of it.`;
    case "coefficient":
      return `One standard deviation more of it moves ${goal.name} by ${formatOne(Math.abs(value))} of its own${value < 0 ? ", the other way" : ""}.`;
  }
}

/** What no future shows is no zero: so many that were not drawn may hold it. */
function unseen(error: number, measure: Measure, goal: Goal): string {
  const what = measure === "swing" ? goal.name : `${goal.level} of ${goal.name}`;
  return `It moves ${what} by less than ${goal.amount(error)}, which is less than so many futures can tell.`;
}

function measureless(row: InputRow, measure: Measure, goal: Goal): string {
  if (row.value !== undefined) return `${row.name}: ${valueText(row, measure, goal)}.`;
  if (measure === "slope" || measure === "coefficient" || measure === "contribution")
    return `It was not looked at together with the others: there are too few futures, or too many inputs stronger than it.`;
  return `It came out the same in every future, so nothing can be said of what it does.`;
}

/** The first thing to know: what moves most, and how few carry four fifths. */
export function headline(rows: InputRow[], view: DriversView, measure: Measure, goal: Goal): string {
  const of = capital(goal.name);
  if (!view.varies) return `${of} came out the same in every future, so nothing moves it.`;
  const first = rows.find((row) => row.value !== undefined && row.value !== 0);
  if (!first)
    return view.rows.length === 0 ? "Nothing in this plan is uncertain." : `Nothing moves ${goal.name}.`;
  const verb = measure === "removal" || measure === "day" || measure === "tenth" ? "would move" : "moves";
  const lead = `${first.name} ${verb} ${goal.name} most.`;
  const last = rows.findIndex((row) => row.last);
  if (last < 0) return lead;
  const count = view.rows.length;
  return `${lead} ${last + 1 === 1 ? "It alone carries" : `${last + 1} of ${count} inputs carry`} four fifths of what is explained.`;
}
