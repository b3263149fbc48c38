import { Box, chakra } from "@chakra-ui/react";
import { useId } from "react";
import type { Standing } from "../../shared/api/client";
import { civil, formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { type Axis, costBase } from "./axes";

const Svg = chakra("svg");
const CHANCES = [0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95];
const HEIGHT = 40;
const BAR = { y: 18, height: 12 };
const SLIM = { y: 3, height: 31 };

const place = (value: number, { from, to }: Axis, width: number) => ((value - from) / (to - from)) * width;

/** Mist from P5 to P95: the denser, the likelier. */
function Mist({ values, axis, width }: { values: readonly number[]; axis: Axis; width: number }) {
  const id = useId();
  const from = place(values[0] ?? 0, axis, width);
  const wide = Math.max(1, place(values.at(-1) ?? 0, axis, width) - from);
  const bands = values.slice(1).map((to, i) => {
    const before = values[i] ?? to;
    const span = Math.max(0.5, place(to, axis, width) - place(before, axis, width));
    return {
      middle: (place((before + to) / 2, axis, width) - from) / wide,
      density: ((CHANCES[i + 1] ?? 1) - (CHANCES[i] ?? 0)) / span,
    };
  });
  const densest = Math.max(...bands.map((band) => band.density));
  return (
    <>
      <linearGradient id={id}>
        <stop offset="0" stopColor="currentColor" stopOpacity={0.04} />
        {bands.map(({ middle, density }, i) => (
          <stop
            key={i}
            offset={middle}
            stopColor="currentColor"
            stopOpacity={0.1 + 0.8 * (density / densest)}
          />
        ))}
        <stop offset="1" stopColor="currentColor" stopOpacity={0.04} />
      </linearGradient>
      <rect x={from} width={wide} {...BAR} fill={`url(#${id})`} />
    </>
  );
}

interface FinishProps {
  finish: Standing["finish"];
  confidence: number;
  axis: Axis;
  width: number;
  /** Without the room above and below. */
  slim?: boolean;
}

/** When a project ends, or a milestone is reached: mist of its dates, P50 and the level, the plan as a pin, the target as a flag. */
export function FinishDrawing({ finish, confidence, axis, width, slim }: FinishProps) {
  const at = (time: string) => place(civil(time), axis, width);
  const half = finish.tenths[5] ?? finish.level;
  return (
    <Svg
      width={`${width}px`}
      height={`${slim ? SLIM.height : HEIGHT}px`}
      viewBox={slim ? `0 ${SLIM.y} ${width} ${SLIM.height}` : undefined}
      role="img"
      aria-label={`Planned ${formatDay(finish.plan)}, P50 ${formatDay(half)}, P${confidence} ${formatDay(finish.level)}${
        finish.target ? `, target ${formatDay(finish.target)}` : ""
      }`}
    >
      <Box as="g" color="simulated">
        <Mist values={finish.tenths.map((one) => civil(one))} axis={axis} width={width} />
      </Box>
      <Box as="g" color="ink" stroke="currentColor">
        <line x1={at(half)} x2={at(half)} y1={16} y2={31} strokeWidth={1} />
        <line x1={at(finish.level)} x2={at(finish.level)} y1={14} y2={33} strokeWidth={2} />
      </Box>
      <Box as="g" color="plan" fill="currentColor">
        <circle cx={at(finish.plan)} cy={8} r={3.5} />
        {finish.target && (
          <>
            <rect x={at(finish.target) - 0.5} y={4} width={1.2} height={29} />
            <path d={`M${at(finish.target)} 4 h9 l-2.5 3.5 l2.5 3.5 h-9 z`} />
          </>
        )}
      </Box>
    </Svg>
  );
}

interface Props {
  standing: Standing;
  axis: Axis;
  width: number;
}

/** What a project costs as a share of its budget, or of its plan where it has none. */
export function CostDrawing({ standing, axis, width }: Props) {
  const { cost, currency, confidence } = standing;
  const base = costBase(standing);
  if (!cost || base <= 0) return null;
  const at = (money: number) => place(money / base, axis, width);
  const low = cost.tenths[1] ?? cost.level;
  const high = cost.tenths[9] ?? cost.level;
  return (
    <Svg
      width={`${width}px`}
      height={`${HEIGHT}px`}
      role="img"
      aria-label={`P10 ${formatMoney(low, currency)}, P90 ${formatMoney(high, currency)}, P${confidence} ${formatMoney(
        cost.level,
        currency,
      )}${cost.target === undefined ? "" : `, budget ${formatMoney(cost.target, currency)}`}`}
    >
      <Box as="g" color="simulatedSoft">
        <rect x={at(low)} width={Math.max(1, at(high) - at(low))} {...BAR} fill="currentColor" />
      </Box>
      <Box as="g" color="ink" stroke="currentColor">
        <line x1={at(cost.level)} x2={at(cost.level)} y1={15} y2={33} strokeWidth={2} />
      </Box>
      <Box as="g" color="plan" stroke="currentColor">
        <line
          x1={at(base)}
          x2={at(base)}
          y1={6}
          y2={36}
          strokeWidth={1.5}
          strokeDasharray={cost.target === undefined ? "2 3" : undefined}
        />
      </Box>
    </Svg>
  );
}
