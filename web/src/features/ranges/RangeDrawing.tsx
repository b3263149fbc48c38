import { Box, chakra } from "@chakra-ui/react";
import type { RangeView } from "../../shared/api/client";
import { formatAmount, formatChance, formatDays } from "../../shared/format/numbers";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Row } from "../../shared/planGrid/rows";
import { rangedOf } from "./rangeColumns";
import { percentScale, ticks } from "./percentScale";

const Svg = chakra("svg");
const BASE = ROW_HEIGHT - 4;
const TALLEST = ROW_HEIGHT - 8;

/** The axis all rows share: percent of the planned duration. */
export function RangeHeader({ width }: { width: number }) {
  const x = percentScale(width);
  return (
    <Box position="absolute" inset="0" fontSize="12px" color="softInk">
      <Box position="absolute" top="2px" left="3">
        Percent of planned
      </Box>
      {ticks(width).map((percent) => (
        <Box
          key={percent}
          position="absolute"
          bottom="2px"
          left={`${x(percent)}px`}
          transform="translateX(-50%)"
          color={percent === 100 ? "planText" : undefined}
          fontWeight={percent === 100 ? 650 : undefined}
        >
          {percent} %
        </Box>
      ))}
    </Box>
  );
}

/** The lines of the axis, behind all rows; the planned value stands out. */
export function RangeBackground({ width, height }: { width: number; height: number }) {
  const x = percentScale(width);
  return (
    <Svg width={width} height={height} display="block">
      {ticks(width).map((percent) => (
        <line
          key={percent}
          x1={x(percent)}
          x2={x(percent)}
          y2={height}
          stroke={percent === 100 ? "var(--chakra-colors-plan)" : "var(--chakra-colors-line)"}
          strokeWidth={percent === 100 ? 1.5 : 1}
        />
      ))}
    </Svg>
  );
}

/** One row's density: how wide and how lopsided the estimate is, against the planned value. */
export function RangeDrawing({ row, width }: { row: Row; width: number }) {
  return <DensityRow range={rangedOf(row)?.range} width={width} unit={row.kind === "cost" ? "" : " days"} />;
}

interface DensityProps {
  range?: RangeView;
  width: number;
  /** What its values are, as said after a number; nothing for money. */
  unit: string;
}

/** A density on the axis of percent, where there is one. */
export function DensityRow({ range, width, unit }: DensityProps) {
  return (
    <svg width={width} height={ROW_HEIGHT} style={{ display: "block" }} aria-hidden="true">
      {range && range.density.length > 0 && range.planned > 0 && (
        <Density range={range} x={percentScale(width)} unit={unit} />
      )}
    </svg>
  );
}

function Density({ range, x, unit }: { range: RangeView; x: (percent: number) => number; unit: string }) {
  const value = unit === "" ? formatAmount : formatDays;
  const percent = (days: number) => (100 * days) / range.planned;
  const point = (days: number, height: number) =>
    `${x(percent(days)).toFixed(1)} ${(BASE - (TALLEST * height) / 100).toFixed(1)}`;
  const evenly = range.density.map((height, i) =>
    point(range.low + ((range.high - range.low) * i) / (range.density.length - 1), height),
  );
  // A triangle is its three corners; even steps would cut off its tip.
  const points =
    range.shape === "triangular" && range.limits && range.likely !== undefined
      ? [point(range.likely, 100)]
      : evenly;
  const mean = x(percent(range.mean));
  return (
    <g>
      <path
        d={`M${x(percent(range.low))} ${BASE}L${points.join("L")}L${x(percent(range.high))} ${BASE}Z`}
        fill="var(--chakra-colors-action)"
        fillOpacity="0.28"
        stroke="var(--chakra-colors-action)"
        strokeWidth="1.2"
      />
      <path d={`M${mean} ${BASE}v-6`} stroke="var(--chakra-colors-ink)" strokeWidth="1.5" />
      <title>
        {`${value(range.low)} to ${value(range.high)}${unit}, ${value(range.mean)} on average. The planned ${value(range.planned)}${unit} suffice with ${formatChance(range.plannedChance)} chance.`}
      </title>
    </g>
  );
}
