import type { ActivityView, EstimateWords, RangeView } from "../../shared/api/client";
import { parseNumber } from "../../shared/format/numbers";
import type { Typed } from "../../shared/grid/columns";

export type Point = "low" | "likely" | "high";

export const SHAPES = [
  { value: "certain", label: "Certain" },
  { value: "triangular", label: "Triangular" },
  { value: "pert", label: "PERT" },
  { value: "uniform", label: "Uniform" },
] as const;

const LABELS: Record<string, string> = {
  fixed: "Fixed",
  normal: "Normal",
  lognormal: "Lognormal",
  beta: "Beta",
  gamma: "Gamma",
  exponential: "Exponential",
  weibull: "Weibull",
  discrete: "Discrete",
  cumulative: "Curve",
  sample: "Data",
  ...Object.fromEntries(SHAPES.map((s) => [s.value, s.label])),
};

export const shapeLabel = (shape: string) => LABELS[shape] ?? shape;

export const canBeUncertain = (activity: ActivityView) => activity.kind === "task";

const hasLikely = (shape: string) => shape === "triangular" || shape === "pert";

/** The value of a point, where the shape has that point. */
export function pointOf(range: RangeView, point: Point): number | undefined {
  if (!range.limits) return undefined;
  return point === "likely" ? range.likely : range[point];
}

/**
 * Whether a point can be typed: for certain activities, which begin a range with it, and for ranges between limits, but
 * for the likely value of a uniform one. Other shapes come from a file; typing a point would lose what they say.
 */
export const canType = (activity: ActivityView, point: Point) =>
  canBeUncertain(activity) &&
  (activity.range.shape === "certain" || activity.range.limits) &&
  (point !== "likely" || activity.range.shape !== "uniform");

function edited(activity: ActivityView, range: RangeView): Typed {
  const { shape, low, likely, high } = range;
  const estimate: EstimateWords = hasLikely(shape)
    ? { shape, low, likely, high, basis: "days" }
    : { shape, low, high, basis: "days" };
  return { edit: { id: activity.id, estimate }, after: { ...activity, range } };
}

/**
 * A point typed, in days. Where the activity was certain a triangle is begun, whose other points stand at the planned
 * duration until they are typed too.
 */
export function withPoint(activity: ActivityView, point: Point, text: string): Typed {
  const value = parseNumber(text);
  if (value === undefined) return { refusal: `A number of days is needed, not “${text}”.` };
  const { range } = activity;
  const begun = pointOf(range, "low") !== undefined;
  const start = begun
    ? range
    : {
        ...range,
        shape: "triangular",
        limits: true,
        low: range.planned,
        likely: range.planned,
        high: range.planned,
      };
  return edited(activity, { ...start, [point]: value });
}

/** Another shape over the same ends; a likely value, where it is new, stands at the planned duration. */
export function withShape(activity: ActivityView, shape: string): Typed {
  if (shape === "certain") return withoutEstimate(activity);
  if (!SHAPES.some((known) => known.value === shape)) {
    return { refusal: `A shape is one of ${SHAPES.map((s) => s.label).join(", ")}, not “${shape}”.` };
  }
  const { range } = activity;
  const certain = pointOf(range, "low") === undefined;
  const [low, high] = certain ? [range.planned, range.planned] : [range.low, range.high];
  const likely = range.likely ?? Math.min(high, Math.max(low, range.planned));
  return edited(activity, {
    ...range,
    shape,
    limits: true,
    low,
    high,
    likely: hasLikely(shape) ? likely : undefined,
  });
}

export function withoutEstimate(activity: ActivityView): Typed {
  const { planned } = activity.range;
  return {
    edit: { id: activity.id, certain: true },
    after: {
      ...activity,
      range: {
        ...activity.range,
        shape: "certain",
        limits: false,
        low: planned,
        high: planned,
        likely: undefined,
      },
    },
  };
}
