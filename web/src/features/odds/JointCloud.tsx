import { chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from "react";
import type { JointView } from "../../shared/api/client";
import { civil, DAY_MS, formatDay, toCivilText } from "../../shared/format/dates";
import { formatChance, formatMoney } from "../../shared/format/numbers";
import { amountTicks, dateTicks } from "../../shared/charts/roundTicks";
import { type JointScale, jointScale } from "./joint";

const Svg = chakra("svg");
const LEFT = 66;
const BOTTOM = 26;
const TICKS = 6;
/** Pixels that the words of a date take. */
const DATE_ROOM = 100;
/** How near to a line it can be grasped. */
const GRIP = 7;

interface Props {
  joint: JointView;
  currency: string;
  chance: number;
  width: number;
  height: number;
  onDate: (date: string) => void;
  onAmount: (amount: number) => void;
  onFuture: (number: number) => void;
}

/** Futures by finish and cost, cut in four by a date and a budget, with the curve of pairs that hold together. */
export function JointCloud({ joint, currency, chance, width, height, onDate, onAmount, onFuture }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ line: "date" | "amount"; value: number }>();
  const inner = { width: width - LEFT, height: height - BOTTOM };
  const scale = useMemo(
    () => jointScale(joint, inner.width, inner.height),
    [joint, inner.width, inner.height],
  );
  const date = held?.line === "date" ? held.value : civil(joint.date);
  const amount = held?.line === "amount" ? held.value : joint.amount;
  const [x, y] = [scale.x(date), scale.y(amount)];
  const onPointerMove = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!held || !box) return;
    const value =
      held.line === "date"
        ? scale.time(event.clientX - box.left - LEFT)
        : scale.cost(event.clientY - box.top);
    setHeld({ ...held, value });
  };
  const onPointerUp = () => {
    if (held?.line === "date") onDate(toCivilText(endOfDay(held.value)));
    if (held?.line === "amount") onAmount(tidy(held.value, scale));
    setHeld(undefined);
  };
  const hold = (line: "date" | "amount") => (event: PointerEvent<SVGGElement>) => {
    event.preventDefault();
    event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
    setHeld({ line, value: line === "date" ? date : amount });
  };
  const onKey = (line: "date" | "amount") => (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const far = event.shiftKey ? 7 : 1;
    if (line === "date") onDate(toCivilText(endOfDay(date) + by * far * DAY_MS));
    else onAmount(tidy(amount + (by * far * (scale.high.cost - scale.low.cost)) / 200, scale));
  };
  const shares = [
    { at: [x - 8, inner.height - 10], anchor: "end", share: joint.both, what: "both kept" },
    { at: [x - 8, 16], anchor: "end", share: joint.dateOnly, what: "date kept" },
    { at: [x + 8, inner.height - 10], anchor: "start", share: joint.costOnly, what: "budget kept" },
    { at: [x + 8, 16], anchor: "start", share: joint.neither, what: "neither" },
  ] as const;
  const points = useMemo(
    () =>
      joint.points.map((point) => (
        <circle
          key={point.number}
          cx={scale.x(civil(point.finish))}
          cy={scale.y(point.cost)}
          r="2.4"
          fill="var(--chakra-colors-simulated)"
          fillOpacity="0.4"
          cursor="pointer"
          onClick={() => onFuture(point.number)}
        >
          <title>{`Future ${point.number}: ${formatDay(point.finish)}, ${formatMoney(point.cost, currency)}`}</title>
        </circle>
      )),
    [joint.points, scale, currency, onFuture],
  );
  const curve = joint.pairs
    .map((pair) => `${scale.x(civil(pair.finish)).toFixed(1)} ${scale.y(pair.cost).toFixed(1)}`)
    .join("L");
  const last = joint.pairs.at(-1);
  return (
    <Svg
      ref={svg}
      width={width}
      height={height}
      fontSize="12px"
      touchAction="none"
      role="group"
      aria-label="Futures by finish and cost"
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
    >
      <Axes scale={scale} currency={currency} width={inner.width} height={inner.height} />
      <g transform={`translate(${LEFT} 0)`}>
        {points}
        <path d={`M${curve}`} fill="none" stroke="var(--chakra-colors-ink)" strokeWidth="1.6" />
        {last && (
          <text
            x={scale.x(civil(last.finish)) - 4}
            y={scale.y(last.cost) + 16}
            textAnchor="end"
            fill="var(--chakra-colors-ink)"
          >
            {formatChance(chance / 100)} together
          </text>
        )}
        {shares.map(({ at, anchor, share, what }) => (
          <text
            key={what}
            x={at[0]}
            y={at[1]}
            textAnchor={anchor}
            fontWeight="650"
            fill="var(--chakra-colors-ink)"
            stroke="var(--chakra-colors-ground)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {held ? "" : `${formatChance(share)} ${what}`}
          </text>
        ))}
        <g
          cursor="ew-resize"
          tabIndex={0}
          role="slider"
          aria-label="Date"
          aria-valuetext={formatDay(date)}
          aria-valuenow={date}
          onPointerDown={hold("date")}
          onKeyDown={onKey("date")}
        >
          <line x1={x} x2={x} y1={0} y2={inner.height} stroke="var(--chakra-colors-plan)" strokeWidth="2" />
          <rect x={x - GRIP} width={2 * GRIP} height={inner.height} fill="transparent" />
        </g>
        <g
          cursor="ns-resize"
          tabIndex={0}
          role="slider"
          aria-label="Budget"
          aria-valuetext={formatMoney(amount, currency)}
          aria-valuenow={amount}
          onPointerDown={hold("amount")}
          onKeyDown={onKey("amount")}
        >
          <line x1={0} x2={inner.width} y1={y} y2={y} stroke="var(--chakra-colors-plan)" strokeWidth="2" />
          <rect y={y - GRIP} width={inner.width} height={2 * GRIP} fill="transparent" />
        </g>
      </g>
    </Svg>
  );
}

const endOfDay = (time: number) => Math.floor(time / DAY_MS) * DAY_MS + DAY_MS - 60_000;

/** To a thousandth of what is in view. */
function tidy(cost: number, scale: JointScale): number {
  const unit = 10 ** Math.floor(Math.log10((scale.high.cost - scale.low.cost) / 1000));
  return Math.round(cost / unit) * unit;
}

interface AxesProps {
  scale: JointScale;
  currency: string;
  width: number;
  height: number;
}

function Axes({ scale, currency, width, height }: AxesProps) {
  const most = Math.max(2, Math.floor(width / DATE_ROOM));
  return (
    <g fill="var(--chakra-colors-soft-ink)">
      {amountTicks(scale.low.cost, scale.high.cost, TICKS, currency).map(({ value: cost, label }) => (
        <g key={cost}>
          <text x={LEFT - 8} y={scale.y(cost) + 4} textAnchor="end">
            {label}
          </text>
          <line
            x1={LEFT}
            x2={LEFT + width}
            y1={scale.y(cost)}
            y2={scale.y(cost)}
            stroke="var(--chakra-colors-line)"
          />
        </g>
      ))}
      {dateTicks(scale.low.time, scale.high.time, most).map(({ value: time, label }) => (
        <g key={time}>
          <line
            x1={LEFT + scale.x(time)}
            x2={LEFT + scale.x(time)}
            y1={height}
            y2={height + 5}
            stroke="var(--chakra-colors-strong-line)"
          />
          <text x={LEFT + scale.x(time)} y={height + 18} textAnchor="middle">
            {label}
          </text>
        </g>
      ))}
      <path
        d={`M${LEFT} 0V${height}H${LEFT + width}`}
        fill="none"
        stroke="var(--chakra-colors-strong-line)"
      />
    </g>
  );
}
