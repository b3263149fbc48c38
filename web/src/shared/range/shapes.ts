import type { EstimateWords } from "../api/client";

/** A parameter of a shape that is one number. */
export type Parameter =
  | "value"
  | "low"
  | "likely"
  | "high"
  | "mean"
  | "sd"
  | "weight"
  | "alpha"
  | "beta"
  | "shapeParameter"
  | "scale"
  | "min"
  | "max";

interface ShapeInfo {
  label: string;
  /** When to use it. */
  hint: string;
  parameters: readonly Parameter[];
  /** The list it is given by, where it is. */
  list?: "values" | "points";
}

/** The shapes of the engine, those used most first. */
export const SHAPE_INFO: Record<string, ShapeInfo> = {
  triangular: {
    label: "Triangular",
    hint: "Three points, straight between them. Plain to explain; gives its ends more than they deserve.",
    parameters: ["low", "likely", "high"],
  },
  pert: {
    label: "PERT",
    hint: "Three points, smooth between them. Trusts the likely value more than its ends.",
    parameters: ["low", "likely", "high"],
  },
  uniform: { label: "Uniform", hint: "Two ends, and no idea where between.", parameters: ["low", "high"] },
  normal: {
    label: "Normal",
    hint: "As much above as below, with tails. Rare for durations.",
    parameters: ["mean", "sd"],
  },
  lognormal: {
    label: "Lognormal",
    hint: "Never below zero, with a long tail above: what much past work looks like.",
    parameters: ["mean", "sd"],
  },
  beta: {
    label: "Beta",
    hint: "Between two ends, of any lean.",
    parameters: ["alpha", "beta", "low", "high"],
  },
  gamma: {
    label: "Gamma",
    hint: "Never below zero, with a tail above.",
    parameters: ["shapeParameter", "scale"],
  },
  exponential: {
    label: "Exponential",
    hint: "Most likely soon, with a long tail: waiting for something.",
    parameters: ["mean"],
  },
  weibull: {
    label: "Weibull",
    hint: "Never below zero; time until something gives way.",
    parameters: ["shapeParameter", "scale"],
  },
  discrete: {
    label: "Discrete",
    hint: "A few values, each with its chance.",
    parameters: [],
    list: "values",
  },
  cumulative: {
    label: "Curve",
    hint: "Points on the cumulative curve, from chance 0 to chance 1.",
    parameters: [],
    list: "points",
  },
  sample: { label: "Data", hint: "Values as they were, each as likely.", parameters: [], list: "values" },
  fixed: { label: "Certain", hint: "Exactly this, with no spread.", parameters: ["value"] },
};

export const PARAMETER_LABELS: Record<Parameter, string> = {
  value: "Value",
  low: "Low",
  likely: "Likely",
  high: "High",
  mean: "Mean",
  sd: "Standard deviation",
  weight: "Weight of likely",
  alpha: "Alpha",
  beta: "Beta",
  shapeParameter: "Shape parameter",
  scale: "Scale",
  min: "Not below",
  max: "Not above",
};

/** Parameters that have no unit, and do not change with the planned value. */
const BARE = new Set<Parameter>(["weight", "alpha", "beta", "shapeParameter"]);
export const hasUnit = (parameter: Parameter) => !BARE.has(parameter);

/** What a shape begins with: about as wide as another was, around the same middle. */
export function begunShape(shape: string, low: number, likely: number, high: number): EstimateWords {
  const mean = (low + 4 * likely + high) / 6 || 1;
  const sd = Math.max((high - low) / 5, mean / 20);
  const shapeParameter = tidy((mean / sd) ** 2);
  switch (shape) {
    case "uniform":
      return { shape, low, high };
    case "normal":
    case "lognormal":
      return { shape, mean: tidy(mean), sd: tidy(sd) };
    case "beta":
      return { shape, alpha: 2, beta: 3, low, high: high > low ? high : low + 2 * sd };
    case "gamma":
      return { shape, shapeParameter, scale: tidy(mean / shapeParameter) };
    case "weibull":
      return { shape, shapeParameter: tidy(Math.max(1.2, mean / sd)), scale: tidy(mean * 1.1) };
    case "exponential":
      return { shape, mean: tidy(mean) };
    case "discrete":
      return {
        shape,
        values: [
          [low, 0.25],
          [likely, 0.5],
          [high, 0.25],
        ],
      };
    case "cumulative":
      return {
        shape,
        points: [
          [low, 0],
          [high > low ? likely : low + sd, 0.5],
          [high > low ? high : low + 2 * sd, 1],
        ],
      };
    case "sample":
      return { shape, values: [low, likely, high] };
    case "fixed":
      return { shape, value: likely };
    default:
      return { shape, low, likely, high };
  }
}

/** To five figures, so that what is begun reads well. */
export const tidy = (value: number) => Number(value.toPrecision(5));
