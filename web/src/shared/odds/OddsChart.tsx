import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useMemo, useRef } from "react";
import { CHANCE_TICKS, FootAxis, SideAxis } from "../charts/axes";
import { Bars, ChanceCurve } from "../charts/Histogram";
import { dateTicks, roundTicks, type RoundTick } from "../charts/roundTicks";
import { formatChance, formatWhole } from "../format/numbers";
import { useHeight, useWidth } from "../ui/useSize";
import { type Axis, chartAxis } from "./chartAxis";
import { OddsMarks } from "./OddsMarks";
import { placeOf } from "./place";
import type { Quantity, Reading } from "./quantity";
import { ReadingLine } from "./ReadingLine";
import { planSentence } from "./sentences";
import { isDate } from "./subject";
import type { Line } from "./place";

const Svg = chakra("svg");

interface Props {
  quantity: Quantity;
  reading: Reading | undefined;
  line: Line;
  onLine: (line: Line) => void;
  /** The second of two lines, where there is one. */
  second?: { line: Line; reading: Reading | undefined; onLine: (line: Line) => void };
  /** What it is compared with. */
  beside?: Quantity;
  /** What is marked and said in place of the plan and the target. */
  marked?: { label: string; over: (axis: Axis) => ReactNode };
}

/** Histogram with the cumulative curve over it, the plan's and the target's marks, and the reading line. */
export function OddsChart({ quantity, reading, line, onLine, second, beside, marked }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  const axis = useMemo(() => chartAxis(quantity, width, height, beside), [quantity, width, height, beside]);
  const total = quantity.counts.reduce((sum, count) => sum + count, 0);
  const ready = width > 0 && height > 0;
  return (
    <Box ref={box} position="relative" width="100%" height="100%">
      {ready && (
        <>
          <Svg
            role="img"
            aria-label={`${quantity.title}: histogram and cumulative curve. ${marked?.label ?? planSentence(quantity)}`}
            width={width}
            height={height}
            fontSize="12px"
          >
            <SideAxis plot={axis} ticks={CHANCE_TICKS} at="right" />
            <Bars
              plot={axis}
              edges={quantity.edges}
              counts={quantity.counts}
              headroom={HEADROOM}
              words={(from, to, count) =>
                `${quantity.format(from)} to ${quantity.format(to)}: ${formatWhole(count)} futures, ${formatChance(count / total)}`
              }
            />
            {beside && <ChanceCurve plot={axis} values={beside.curve} beside />}
            <ChanceCurve plot={axis} values={quantity.curve} />
            {marked?.over(axis)}
            <FootAxis plot={axis} ticks={ticksOf(quantity, axis)} />
          </Svg>
          {!marked && <OddsMarks quantity={quantity} axis={axis} width={width} height={height} />}
          <ReadingLine
            quantity={quantity}
            axis={axis}
            width={width}
            height={height}
            reading={reading}
            line={line}
            onLine={onLine}
          />
          {second && (
            <ReadingLine
              quantity={quantity}
              axis={axis}
              width={width}
              height={height}
              reading={second.reading}
              line={second.line}
              onLine={second.onLine}
              second={{ first: placeOf(line, quantity, axis) }}
            />
          )}
        </>
      )}
    </Box>
  );
}

const HEADROOM = 1.55;
const TICK_ROOM = 120;

/** Round values along the axis of a quantity. */
function ticksOf(quantity: Quantity, axis: Axis): RoundTick[] {
  const most = Math.max(2, Math.floor((axis.right - axis.left) / TICK_ROOM));
  if (isDate(quantity.name)) return dateTicks(axis.min, axis.max, most);
  return roundTicks(axis.min, axis.max, most).map((value) => ({ value, label: quantity.format(value) }));
}
