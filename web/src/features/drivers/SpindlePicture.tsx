import { Box } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";
import type { Ref } from "react";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import type { Measure } from "./driversStore";
import type { Goal } from "./goal";
import type { InputRow } from "./measures";
import { valueText } from "./measureWords";
import { differenceTicks, extent, Spindle } from "./spindles";

const WIDTH = 1000;
const NAMES = 400;
const VALUES = 90;
const LINE = 26;
const HEAD = 30;

interface Props {
  ref: Ref<HTMLDivElement>;
  rows: InputRow[];
  measure: Measure;
  goal: Goal;
}

/** The same list as one drawing, out of sight, for pictures that are taken out. */
export function SpindlePicture({ ref, rows, measure, goal }: Props) {
  const domain = extent(rows);
  const scale = scaleLinear(domain, [NAMES + 20, WIDTH - VALUES - 20]);
  const height = HEAD + rows.length * LINE + 10;
  return (
    <Box ref={ref} position="absolute" left="-9999px" top="0" width={`${WIDTH}px`} aria-hidden="true">
      <svg width={WIDTH} height={height} fontSize="13" fill="var(--chakra-colors-ink)">
        {differenceTicks(domain, 6, measure, goal).map(({ value, label }) => (
          <g key={value}>
            <line
              x1={scale(value)}
              x2={scale(value)}
              y1={HEAD - 6}
              y2={height}
              stroke="var(--chakra-colors-line)"
            />
            <text x={scale(value)} y={HEAD - 12} textAnchor="middle" fill="var(--chakra-colors-soft-ink)">
              {label}
            </text>
          </g>
        ))}
        {rows.map((row, i) => {
          const y = HEAD + i * LINE + LINE / 2;
          return (
            <g key={row.id}>
              <text x="8" y={y + 4} fill="var(--chakra-colors-soft-ink)">
                {row.code}
              </text>
              {row.mark && <Mark kind={row.mark as MarkKind} x={68} y={y} size={4.6} />}
              <text x="82" y={y + 4}>
                {row.name.length > LONGEST ? `${row.name.slice(0, LONGEST - 1)}…` : row.name}
              </text>
              <Spindle row={row} scale={scale} y={y} swing={measure === "swing"} />
              <text x={WIDTH - 8} y={y + 4} textAnchor="end">
                {valueText(row, measure, goal)}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

const LONGEST = 52;
