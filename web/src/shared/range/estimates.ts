import type { EstimateWords, GradeView, RangeView } from "../api/client";
import { numberExample, parseNumber } from "../format/numbers";
import type { TypedRow } from "../planGrid/columns";
import { SHAPE_INFO } from "./shapes";

export type Point = "low" | "likely" | "high";

/** How points are shown and typed: in days or money, or in percent of what is planned. */
export type Scale = "units" | "percent";

/** What can have a range: an activity, or a cost line. */
export interface Ranged {
  id: string;
  kind?: string;
  amount?: number;
  grade?: string;
  inherited?: string;
  estimate?: EstimateWords;
  range: RangeView;
}

/** Shapes that are typed into the grid; all others in the sheet. */
export const SHAPES = ["certain", "triangular", "pert", "uniform"].map((value) => ({
  value,
  label: shapeLabel(value),
}));

export function shapeLabel(shape: string): string {
  return shape === "certain" ? "Certain" : (SHAPE_INFO[shape]?.label ?? shape);
}

export const canBeUncertain = (one: Ranged) => one.kind === undefined || one.kind === "task";

const isCost = (one: Ranged) => one.amount !== undefined;
const hasLikely = (shape: string) => shape === "triangular" || shape === "pert";
const exact = (value: number) => Number(value.toPrecision(12));

/** The value of a point in days or money, where the shape has that point. */
export function pointOf(range: RangeView, point: Point): number | undefined {
  if (!range.limits) return undefined;
  return point === "likely" ? range.likely : range[point];
}

/** A value in the scale it is shown in. */
export function scaled(range: RangeView, value: number, scale: Scale): number {
  return scale === "units" ? value : exact((100 * value) / range.planned);
}

/**
 * Whether a point can be typed: for what is certain, which begins a range with it, and for ranges between limits, but for
 * the likely value of a uniform one. Other shapes are changed in the sheet; typing a point would lose what they say.
 */
export const canType = (one: Ranged, point: Point) =>
  canBeUncertain(one) &&
  (one.range.shape === "certain" || one.range.limits) &&
  (point !== "likely" || one.range.shape !== "uniform");

function edited<T extends Ranged>(one: T, range: RangeView, scale: Scale): TypedRow<T> {
  const percent = scale === "percent";
  const value = (point?: number) =>
    point === undefined ? undefined : percent ? exact(point / range.planned) : point;
  const estimate: EstimateWords = {
    shape: range.shape,
    low: value(range.low),
    ...(hasLikely(range.shape) && { likely: value(range.likely) }),
    high: value(range.high),
    basis: percent ? "factor" : isCost(one) ? "money" : "days",
  };
  return { edit: { id: one.id, estimate }, after: { ...one, range, estimate } };
}

/**
 * A point typed, in the scale shown, or as percent of planned where it ends so. Where it was certain a triangle is begun,
 * whose other points stand at the planned value until they are typed too.
 */
export function withPoint<T extends Ranged>(one: T, point: Point, text: string, scale: Scale): TypedRow<T> {
  const said = text.trim();
  const typed = parseNumber(said.replace(/\s*%$/, ""));
  const wanted = scale === "percent" ? "percent of planned" : isCost(one) ? "an amount" : "days";
  if (typed === undefined)
    return {
      refusal: `A number is needed, ${wanted}, such as ${numberExample(12.5)}, not “${text}”.`,
    };
  const { range } = one;
  const percent = scale === "percent" || said.endsWith("%");
  const value = percent ? exact((typed * range.planned) / 100) : typed;
  const begun = pointOf(range, "low") !== undefined;
  const { planned } = range;
  const start = begun
    ? range
    : { ...range, shape: "triangular", limits: true, low: planned, likely: planned, high: planned };
  return edited(one, { ...start, [point]: value }, percent ? "percent" : scale);
}

/** Another shape over the same ends; a likely value, where it is new, stands at the planned one. */
export function withShape<T extends Ranged>(one: T, shape: string, scale: Scale): TypedRow<T> {
  if (shape === "certain") return { edit: { id: one.id, certain: true }, after: certainly(one) };
  if (!SHAPES.some((known) => known.value === shape)) {
    const labels = SHAPES.map((s) => s.label).join(", ");
    return { refusal: `A shape typed here is one of ${labels}, not “${shape}”; the sheet has the others.` };
  }
  const { range } = one;
  const certain = pointOf(range, "low") === undefined;
  const [low, high] = certain ? [range.planned, range.planned] : [range.low, range.high];
  const likely = range.likely ?? Math.min(high, Math.max(low, range.planned));
  const after = { ...range, shape, limits: true, low, high, likely: hasLikely(shape) ? likely : undefined };
  return edited(one, after, scale);
}

function certainly<T extends Ranged>(one: T): T {
  const { planned } = one.range;
  const range = { ...one.range, shape: "certain", limits: false, low: planned, high: planned };
  return { ...one, range: { ...range, likely: undefined } };
}

/** Grade and range of its own taken away, so that the grade of the branch above counts. */
export function inherited<T extends Ranged>(one: T): TypedRow<T> {
  const after = { ...certainly(one), grade: undefined, estimate: undefined };
  return { edit: { id: one.id, grade: null, estimate: null }, after };
}

/** Where the range of a row comes from. */
export type Origin = "own" | "grade" | "inherited" | "none";

export function originOf(one: Ranged): Origin {
  if (one.estimate) return "own";
  if (one.grade) return "grade";
  return one.inherited ? "inherited" : "none";
}

/** The grade one step narrower or wider than the one that counts; the ends of the table where there is none. */
export function stepped(
  grades: readonly GradeView[],
  grade: string | undefined,
  by: 1 | -1,
): GradeView | undefined {
  const at = grades.findIndex((one) => one.id === grade);
  if (at < 0) return by > 0 ? grades[0] : grades.at(-1);
  return grades[Math.max(0, Math.min(grades.length - 1, at + by))];
}
