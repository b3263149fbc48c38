import { formatDays, formatOne } from "../../shared/format/numbers";
import { codeColumn, type Column, daysColumn, nameColumn } from "../../shared/grid/columns";
import {
  canBeUncertain,
  canType,
  type Point,
  pointOf,
  SHAPES,
  shapeLabel,
  withoutEstimate,
  withPoint,
  withShape,
} from "./estimates";

function pointColumn(point: Point, title: string, hint: string): Column {
  return {
    id: point,
    title,
    hint,
    width: 62,
    align: "right",
    text: (row) => {
      const value = row.kind === "activity" ? pointOf(row.activity.range, point) : undefined;
      return value === undefined ? "" : formatDays(value);
    },
    edit: {
      start: (activity) => {
        if (!canType(activity, point)) return undefined;
        const value = pointOf(activity.range, point);
        return value === undefined ? "" : String(Math.round(value * 100) / 100);
      },
      typed: (activity, text) => withPoint(activity, point, text),
      cleared: withoutEstimate,
    },
  };
}

export const RANGE_COLUMNS: Column[] = [
  codeColumn,
  nameColumn(246),
  daysColumn,
  {
    id: "shape",
    title: "Shape",
    hint: "How the chance is spread between the ends",
    width: 86,
    text: (row) =>
      row.kind === "activity" && canBeUncertain(row.activity) ? shapeLabel(row.activity.range.shape) : "",
    edit: {
      start: (activity) => (canBeUncertain(activity) ? activity.range.shape : undefined),
      choices: SHAPES,
      typed: (activity, text) => withShape(activity, text.trim().toLowerCase()),
      cleared: withoutEstimate,
    },
  },
  pointColumn("low", "Low", "Days if all goes well: the shortest that is believable"),
  pointColumn("likely", "Likely", "The most likely days; a uniform range has none"),
  pointColumn("high", "High", "Days if much goes wrong: the longest that is believable"),
  {
    id: "mean",
    title: "Mean",
    hint: "Days on average over all futures; where it lies above the planned days, the plan is optimistic",
    width: 60,
    align: "right",
    text: (row) =>
      row.kind === "activity" && canBeUncertain(row.activity) ? formatOne(row.activity.range.mean) : "",
  },
];
