import { scaleLinear } from "d3-scale";
import type { Ref } from "react";
import type { Measure } from "./driversStore";
import type { Goal } from "./goal";
import type { InputRow } from "./measures";
import { valueText } from "./measureWords";
import { PICTURE_ROOM, RowsPicture } from "./RowsPicture";
import { differenceTicks, extent, Spindle } from "./spindles";

const MOST_TICKS = 6;

interface Props {
  ref: Ref<HTMLDivElement>;
  rows: InputRow[];
  measure: Measure;
  goal: Goal;
}

/** The list of inputs as one drawing, for pictures that are taken out. */
export function SpindlePicture({ ref, rows, measure, goal }: Props) {
  const domain = extent(rows);
  const scale = scaleLinear(domain, PICTURE_ROOM);
  return (
    <RowsPicture
      ref={ref}
      rows={rows.map((row) => ({ ...row, text: valueText(row, measure, goal) }))}
      ticks={differenceTicks(domain, MOST_TICKS, measure, goal).map(({ value, label }) => ({
        x: scale(value),
        label,
      }))}
      draw={(row, y) => <Spindle row={row} scale={scale} y={y} swing={measure === "swing"} />}
    />
  );
}
