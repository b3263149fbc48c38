import { Box } from "@chakra-ui/react";
import { type ScaleLinear, scaleLinear } from "d3-scale";
import { MARK_COLOURS, type MarkKind } from "../../shared/charts/marks";
import { roundTicks } from "../../shared/charts/roundTicks";
import { formatDays, formatMoney, formatSigned } from "../../shared/format/numbers";
import { HEADER_HEIGHT } from "../../shared/grid/GridHeader";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Drawing } from "../../shared/grid/types";
import type { Measure } from "./driversStore";
import type { Goal } from "./goal";
import type { InputRow } from "./measures";
import { rowSentence } from "./measureWords";

const EDGE = 26;
const EACH_TICK = 84;
const MIDDLE = (ROW_HEIGHT - 1) / 2;
const THICK = 4.5;

export const colourOf = (mark: string | undefined) =>
  mark ? MARK_COLOURS[mark as MarkKind] : "var(--chakra-colors-soft-ink)";

/** From the least to the greatest of what is drawn, with nothing in it. */
export function extent(rows: readonly InputRow[]): [number, number] {
  const ends = rows.flatMap(({ from, to }) => [from ?? 0, to ?? 0]);
  const [low, high] = [Math.min(0, ...ends), Math.max(0, ...ends)];
  return low === high ? [-1, 1] : [low, high];
}

/** Round values of an axis of differences, in words. */
export function differenceTicks([low, high]: [number, number], most: number, measure: Measure, goal: Goal) {
  const label = (value: number) => {
    if (measure === "contribution") return `${Math.round(value * 100)} %`;
    if (measure === "rank" || measure === "coefficient") return formatSigned(value, formatDays);
    if (measure === "slope") return formatDays(value);
    return goal.money
      ? formatSigned(value, (amount) => formatMoney(amount, goal.currency))
      : `${formatSigned(value, formatDays)} d`;
  };
  return roundTicks(low, high, most).map((value) => ({ value, label: label(value) }));
}

/** What each input moves on one axis: a spindle between the ends of a swing, a bar for anything else. */
export function spindles(rows: readonly InputRow[], measure: Measure, goal: Goal): Drawing<InputRow> {
  const domain = extent(rows);
  const scaleOf = (width: number) => scaleLinear(domain, [EDGE, width - EDGE]);
  const ticksOf = (width: number) =>
    differenceTicks(domain, Math.max(2, Math.floor(width / EACH_TICK)), measure, goal);
  return {
    width: 260,
    header: (width) => {
      const scale = scaleOf(width);
      return (
        <svg width={width} height={HEADER_HEIGHT} fontSize="12" fill="var(--chakra-colors-soft-ink)">
          {ticksOf(width).map(({ value, label }) => (
            <text key={value} x={scale(value)} y={HEADER_HEIGHT - 8} textAnchor="middle">
              {label}
            </text>
          ))}
        </svg>
      );
    },
    behind: (width, height) => {
      const scale = scaleOf(width);
      return (
        <svg width={width} height={height}>
          {ticksOf(width).map(({ value }) => (
            <line
              key={value}
              x1={scale(value)}
              x2={scale(value)}
              y1="0"
              y2={height}
              stroke="var(--chakra-colors-line)"
            />
          ))}
          <line
            x1={scale(0)}
            x2={scale(0)}
            y1="0"
            y2={height}
            stroke="var(--chakra-colors-soft-ink)"
            strokeOpacity="0.6"
          />
        </svg>
      );
    },
    row: (row, width) => (
      <Box title={rowSentence(row, measure, goal)} height={`${ROW_HEIGHT - 1}px`}>
        <svg width={width} height={ROW_HEIGHT - 1} aria-hidden>
          <Spindle row={row} scale={scaleOf(width)} y={MIDDLE} swing={measure === "swing"} />
        </svg>
      </Box>
    ),
    over: (tops, width) => {
      const last = rows.find((row) => row.last);
      const top = last && tops.get(last.id);
      if (top === undefined) return null;
      const y = top + ROW_HEIGHT - 1;
      // Where bars reach to the left, their ends leave room there.
      const atLeft = scaleOf(width)(0) > width / 2;
      return (
        <svg
          width={width}
          height="1"
          overflow="visible"
          display="block"
          fontSize="11.5"
          fill="var(--chakra-colors-plan-text)"
        >
          <line x1="0" x2={width} y1={y} y2={y} stroke="var(--chakra-colors-plan)" strokeDasharray="3 3" />
          <text x={atLeft ? 8 : width - 8} y={y - 5} textAnchor={atLeft ? "start" : "end"}>
            above: four fifths
          </text>
        </svg>
      );
    },
  };
}

interface SpindleProps {
  row: InputRow;
  scale: ScaleLinear<number, number>;
  y: number;
  swing: boolean;
}

/** A swing narrows from the mean to both ends, open at the lowest tenth and full at the highest. */
export function Spindle({ row, scale, y, swing }: SpindleProps) {
  if (row.from === undefined || row.to === undefined || row.value === undefined) return null;
  const colour = colourOf(row.mark);
  const [zero, from, to] = [scale(0), scale(row.from), scale(row.to)];
  if (!swing || row.group)
    return (
      <rect
        x={Math.min(zero, to)}
        width={Math.max(1, Math.abs(to - zero))}
        y={y - THICK}
        height={2 * THICK}
        rx="1.5"
        fill={colour}
        opacity={row.group ? 0.35 : 0.55}
      />
    );
  return (
    <g>
      <path
        d={`M${from} ${y - 1}L${zero} ${y - THICK}L${to} ${y - 1}V${y + 1}L${zero} ${y + THICK}L${from} ${y + 1}Z`}
        fill={colour}
        opacity="0.5"
      />
      <circle cx={from} cy={y} r="3.4" fill="var(--chakra-colors-ground)" stroke={colour} strokeWidth="1.5" />
      <circle cx={to} cy={y} r="3.6" fill={colour} />
    </g>
  );
}
