import type { GradeView } from "../../shared/api/client";
import { editedNumber, formatAmount, formatDays, formatOne } from "../../shared/format/numbers";
import {
  type CellEdit,
  codeColumn,
  type PlanColumn,
  daysColumn,
  nameColumn,
} from "../../shared/planGrid/columns";
import type { Row } from "../../shared/planGrid/rows";
import {
  canBeUncertain,
  canType,
  inherited,
  type Point,
  pointOf,
  type Ranged,
  type Scale,
  scaled,
  SHAPES,
  shapeLabel,
  withPoint,
  withShape,
} from "../../shared/range/estimates";
import { gradeColumn } from "../../shared/range/gradeColumn";

/** What of a row can have a range. */
export function rangedOf(row: Row): Ranged | undefined {
  if (row.kind === "cost") return row.cost;
  return row.kind === "activity" && canBeUncertain(row.activity) ? row.activity : undefined;
}

function pointColumn(point: Point, title: string, hint: string, scale: Scale): PlanColumn {
  function editOf<T extends Ranged>(): CellEdit<T> {
    return {
      start: (one) => {
        if (!canType(one, point)) return undefined;
        const value = pointOf(one.range, point);
        return value === undefined
          ? ""
          : editedNumber(Math.round(scaled(one.range, value, scale) * 100) / 100);
      },
      typed: (one, text) => withPoint(one, point, text, scale),
      cleared: inherited,
    };
  }
  return {
    id: point,
    title: scale === "percent" ? `${title} %` : title,
    word: point === "likely" ? "likely" : "low",
    hint,
    width: 60,
    align: "right",
    text: (row) => {
      const one = rangedOf(row);
      const value = one && pointOf(one.range, point);
      return one === undefined || value === undefined ? "" : shown(row, one, value, scale);
    },
    edit: editOf(),
    editCost: editOf(),
  };
}

function shown(row: Row, one: Ranged, value: number, scale: Scale, format = formatDays): string {
  if (scale === "percent") return format(Math.round(scaled(one.range, value, scale) * 10) / 10);
  return row.kind === "cost" ? formatAmount(value) : format(value);
}

function figureColumn(id: "mean" | "sd", title: string, hint: string, scale: Scale): PlanColumn {
  return {
    id,
    title: scale === "percent" ? `${title} %` : title,
    word: id,
    hint,
    width: id === "mean" ? 58 : 52,
    align: "right",
    text: (row) => {
      const one = rangedOf(row);
      return one ? shown(row, one, one.range[id], scale, formatOne) : "";
    },
  };
}

function shapeColumn(scale: Scale): PlanColumn {
  function editOf<T extends Ranged>(): CellEdit<T> {
    return {
      start: (one) => (canBeUncertain(one) ? one.range.shape : undefined),
      choices: (one) =>
        SHAPES.some((shape) => shape.value === one.range.shape)
          ? SHAPES
          : [...SHAPES, { value: one.range.shape, label: shapeLabel(one.range.shape) }],
      typed: (one, text) => withShape(one, text.trim().toLowerCase(), scale),
      cleared: inherited,
    };
  }
  return {
    id: "shape",
    title: "Shape",
    word: "shape",
    hint: "How the chance is spread between the ends; the sheet has more shapes",
    width: 84,
    text: (row) => {
      const one = rangedOf(row);
      return one ? shapeLabel(one.range.shape) : "";
    },
    edit: editOf(),
    editCost: editOf(),
  };
}

const plannedColumn: PlanColumn = {
  ...daysColumn,
  title: "Planned",
  width: 62,
  text: (row) => (row.kind === "cost" ? formatAmount(row.cost.amount) : daysColumn.text(row)),
};

export function rangeColumns(grades: readonly GradeView[], scale: Scale): PlanColumn[] {
  return [
    codeColumn,
    nameColumn(220),
    plannedColumn,
    gradeColumn(grades),
    shapeColumn(scale),
    pointColumn("low", "Low", "If all goes well: the least that is believable", scale),
    pointColumn("likely", "Likely", "The most likely value; a uniform range has none", scale),
    pointColumn("high", "High", "If much goes wrong: the most that is believable", scale),
    figureColumn(
      "mean",
      "Mean",
      "On average over all futures; where it lies above the planned value, the plan is optimistic",
      scale,
    ),
    figureColumn(
      "sd",
      "Dev",
      "Standard deviation: about two futures in three lie this near to the mean",
      scale,
    ),
  ];
}
