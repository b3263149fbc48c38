import { Box } from "@chakra-ui/react";
import type { KeyboardEvent } from "react";
import type { RangeView } from "../../shared/api/client";
import { Grid } from "../../shared/grid/Grid";
import { shortGrid } from "../../shared/grid/gridLook";
import type { At, Column, Drawing, GridRow, Typed } from "../../shared/grid/types";
import { useGridEditing } from "../../shared/grid/useGridEditing";
import { shownParameter, withParameter, withShapeWord } from "../../shared/range/draft";
import { type Parameter, SHAPE_INFO } from "../../shared/range/shapes";
import { Refusal } from "../../shared/ui/Refusal";
import { ALIKE_ONE, type GradeDraft, inPercent } from "./grades";
import { DensityRow, RangeBackground, RangeHeader } from "./RangeDrawing";

export const GRADE_ROWS = "grades";
const MOST_IN_VIEW = 9;
const SHAPES = Object.entries(SHAPE_INFO)
  .filter(([, info]) => !info.list)
  .map(([value, { label }]) => ({ value, label }));

export type GradeRow = GridRow & { grade: GradeDraft; users: number; range?: RangeView };
type Put = GradeDraft;

const put = (row: GradeRow, grade: GradeDraft): Typed<GradeRow, Put> => ({
  edit: grade,
  after: { ...row, grade },
});

function textColumn(field: "mark" | "name" | "note", title: string, hint: string): Column<GradeRow, Put> {
  return {
    id: field,
    title,
    hint,
    width: { mark: 46, name: 110, note: 230 }[field],
    kept: true,
    gives: field === "note",
    text: (row) => row.grade[field],
    cell: (row) => ({
      start: row.grade[field],
      typed: (text) => put(row, { ...row.grade, [field]: text.trim() }),
      cleared: field === "name" ? undefined : () => put(row, { ...row.grade, [field]: "" }),
    }),
  };
}

function pointColumn(point: Parameter, title: string): Column<GradeRow, Put> {
  return {
    id: point,
    title,
    hint: "In percent of what is planned",
    word: point === "likely" ? "likely" : "low",
    width: 62,
    kept: true,
    align: "right",
    text: ({ grade }) => shownParameter(inPercent(grade), point),
    cell: (row) =>
      SHAPE_INFO[row.grade.shape.shape]?.parameters.includes(point)
        ? {
            start: shownParameter(inPercent(row.grade), point),
            typed: (text) => {
              const next = withParameter(inPercent(row.grade), point, text);
              return "refusal" in next ? next : put(row, { ...row.grade, shape: next });
            },
          }
        : undefined,
  };
}

const COLUMNS: Column<GradeRow, Put>[] = [
  textColumn("mark", "Mark", "A letter or two for it"),
  textColumn("name", "Name", "What it is called"),
  textColumn("note", "When to use it", "What the grades tell apart"),
  {
    id: "shape",
    title: "Shape",
    word: "shape",
    width: 92,
    kept: true,
    text: ({ grade }) => SHAPE_INFO[grade.shape.shape]?.label ?? grade.shape.shape,
    cell: (row) => ({
      start: row.grade.shape.shape,
      choices: SHAPES,
      typed: (text) => {
        const shape = text.trim().toLowerCase();
        return SHAPES.some(({ value }) => value === shape)
          ? put(row, { ...row.grade, shape: withShapeWord(inPercent(row.grade), shape, ALIKE_ONE, 1) })
          : { refusal: `There is no shape “${text.trim()}” for a grade.` };
      },
    }),
  },
  pointColumn("low", "Low %"),
  pointColumn("likely", "Likely %"),
  pointColumn("high", "High %"),
  {
    id: "users",
    title: "Rows",
    hint: "How many rows have it as their own",
    width: 50,
    kept: true,
    align: "right",
    soft: true,
    text: (row) => String(row.users),
  },
];

const DRAWING: Drawing<GradeRow> = {
  width: 330,
  header: (width) => <RangeHeader width={width} />,
  row: (row, width) => <DensityRow range={row.range} width={width} unit=" %" />,
  behind: (width, height) => <RangeBackground width={width} height={height} />,
};

interface Props {
  rows: GradeRow[];
  onChange: (changed: readonly GradeDraft[]) => void;
  /** Moves the selected grade; the table is in the order of its rows. */
  onMove: (id: string, by: 1 | -1) => void;
}

/** The table of grades: typed, filled and pasted as any other; Alt with an arrow moves a grade. */
export function GradeGrid({ rows, onChange, onMove }: Props) {
  const editing = useGridEditing<GradeRow, Put>((edits) => Promise.resolve(onChange(edits)));
  const keys = (event: KeyboardEvent, at: At<GradeRow, Column<GradeRow, Put>>) => {
    const by = event.key === "ArrowUp" ? -1 : event.key === "ArrowDown" ? 1 : undefined;
    if (!event.altKey || !by || !at.row) return false;
    onMove(at.row.id, by);
    return true;
  };
  return (
    <Box>
      {editing.refusal && <Refusal mb="2">{editing.refusal}</Refusal>}
      <Box height={shortGrid(rows.length, MOST_IN_VIEW)}>
        <Grid
          state={GRADE_ROWS}
          label="Table of grades"
          rows={rows}
          columns={COLUMNS}
          drawing={DRAWING}
          editing={editing}
          keys={keys}
        />
      </Box>
    </Box>
  );
}
