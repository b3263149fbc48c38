import type { EstimateWords, PlanView } from "../api/client";
import { editedNumber, numberExample, parseNumber } from "../format/numbers";
import type { Ranged } from "./estimates";
import { begunShape, hasUnit, type Parameter, SHAPE_INFO, tidy } from "./shapes";

/** The estimate that counts for a row, in the words of the project file: its own, a grade's, or none. */
export function countedWords(plan: PlanView, one: Ranged): EstimateWords {
  if (one.estimate) return one.estimate;
  const grade = plan.grades.find((each) => each.id === (one.grade ?? one.inherited));
  if (grade) return { ...grade.shape, basis: "factor" };
  return { shape: "fixed", value: one.range.planned, basis: one.amount === undefined ? "days" : "money" };
}

/** What one unit of an estimate's parameters is in days or money. */
export function unitOf(plan: PlanView, one: Ranged, words: EstimateWords): number {
  if (words.basis === "factor") return one.range.planned;
  if (words.basis !== "hours") return 1;
  const activity = plan.activities.find((each) => each.id === one.id);
  const calendar = plan.calendars.find((each) => each.id === activity?.calendar);
  return 1 / (activity?.duration.endsWith("ed") ? 24 : (calendar?.hoursPerDay ?? 8));
}

/** Factors are typed and shown in percent. */
const shownUnit = (words: EstimateWords, parameter: Parameter) =>
  words.basis === "factor" && hasUnit(parameter) ? 100 : 1;

export function shownParameter(words: EstimateWords, parameter: Parameter): string {
  const value = words[parameter];
  return value === undefined
    ? ""
    : editedNumber(Number((value * shownUnit(words, parameter)).toPrecision(9)));
}

/** The estimate with a parameter as typed; an empty text takes away what may be absent. */
export function withParameter(
  words: EstimateWords,
  parameter: Parameter,
  text: string,
): EstimateWords | { refusal: string } {
  const next = { ...words };
  if (text.trim() === "" && (parameter === "min" || parameter === "max" || parameter === "weight")) {
    delete next[parameter];
    return next;
  }
  const value = parseNumber(text.replace(/\s*%$/, ""));
  if (value === undefined)
    return {
      refusal: `A number is needed, such as ${numberExample(12.5)}, not “${text}”.`,
    };
  next[parameter] = Number((value / shownUnit(words, parameter)).toPrecision(12));
  return next;
}

/** Another shape, about as wide and around the same middle; truncation stays. */
export function withShapeWord(words: EstimateWords, shape: string, one: Ranged, unit: number): EstimateWords {
  const { range } = one;
  const certain = range.density.length === 0;
  const at = (value: number) => tidy(value / unit);
  const low = at(certain ? range.planned * 0.85 : range.low);
  const high = at(certain ? range.planned * 1.4 : range.high);
  const likely = at(range.likely ?? Math.min(Math.max(range.planned, range.low), range.high));
  const { basis, min, max } = words;
  return {
    ...begunShape(shape, low, certain ? at(range.planned) : likely, high),
    basis,
    ...(min !== undefined && { min }),
    ...(max !== undefined && { max }),
  };
}

/** The same estimate counted in another unit. */
export function withBasis(words: EstimateWords, basis: string, from: number, to: number): EstimateWords {
  const next: EstimateWords = { ...words, basis };
  const parameters = [...(SHAPE_INFO[words.shape]?.parameters ?? []), "min", "max"] as const;
  for (const parameter of parameters) {
    const value = words[parameter];
    if (value !== undefined && hasUnit(parameter)) next[parameter] = tidy((value * from) / to);
  }
  const moved = (value: number) => tidy((value * from) / to);
  if (words.shape === "sample") next.values = (words.values as number[]).map(moved);
  else if (words.values) next.values = (words.values as [number, number][]).map(([v, p]) => [moved(v), p]);
  if (words.points) next.points = words.points.map(([v = 0, p = 0]) => [moved(v), p]);
  if (words.shape === "gamma" || words.shape === "weibull") next.scale = moved(words.scale ?? 1);
  return next;
}

/** The ends of three points as limits, or as percentiles. */
export const ENDS = [
  { value: "0 1", label: "limits" },
  { value: "0.1 0.9", label: "P10 and P90" },
  { value: "0.05 0.95", label: "P5 and P95" },
] as const;

export const endsOf = (words: EstimateWords) => `${words.lowAt ?? 0} ${words.highAt ?? 1}`;

export function withEnds(words: EstimateWords, ends: string): EstimateWords {
  const [lowAt, highAt] = ends.split(" ").map(Number);
  const next = { ...words, lowAt, highAt };
  if (ends === "0 1") {
    delete next.lowAt;
    delete next.highAt;
  }
  return next;
}

/** The list of a shape as text: a value a line, with its chance in percent where it has one. */
export function listText(words: EstimateWords): string {
  const list = (words.points ?? words.values ?? []) as (number | number[])[];
  const unit = words.basis === "factor" ? 100 : 1;
  const text = (value: number) => editedNumber(Number((value * unit).toPrecision(9)));
  return list
    .map((one) =>
      typeof one === "number" ? text(one) : `${text(one[0] ?? 0)}  ${tidy((one[1] ?? 0) * 100)} %`,
    )
    .join("\n");
}

export function withList(words: EstimateWords, text: string): EstimateWords | { refusal: string } {
  const unit = words.basis === "factor" ? 100 : 1;
  const rows: number[][] = [];
  for (const line of text.split("\n").filter((one) => one.trim() !== "")) {
    const numbers = line
      .trim()
      .split(/[\s;]+/)
      .filter((part) => part !== "%");
    const parsed = numbers.map((part) => parseNumber(part.replace(/%$/, "")));
    const wanted = words.shape === "sample" ? 1 : 2;
    if (parsed.length !== wanted || parsed.includes(undefined))
      return {
        refusal: `“${line.trim()}” should be ${wanted === 1 ? "one number" : "a value and its chance"}.`,
      };
    rows.push(parsed.map((value, i) => (value ?? 0) / (i === 0 ? unit : 100)));
  }
  if (words.shape === "sample") return { ...words, values: rows.map((row) => row[0] ?? 0) };
  return words.shape === "cumulative" ? { ...words, points: rows } : { ...words, values: rows };
}
