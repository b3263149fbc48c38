import { chakra } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import type { JointView } from "../../shared/api/client";
import { civil, DAY_MS, formatDay, toCivilText } from "../../shared/format/dates";
import { formatChance, formatMoney } from "../../shared/format/numbers";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { GripLine } from "../../shared/charts/GripLine";
import { amountTicks, dateTicks } from "../../shared/charts/roundTicks";
import { jointPlot } from "./joint";

const Svg = chakra("svg");
const TICKS = 6;
/** Pixels that the words of a date take. */
const DATE_ROOM = 100;

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
  const [held, setHeld] = useState<{ line: "date" | "amount"; value: number }>();
  const plot = useMemo(() => jointPlot(joint, width, height), [joint, width, height]);
  const lowest = plot.height(plot.bottom);
  const highest = plot.height(plot.top);
  const mostDates = Math.max(2, Math.floor((plot.right - plot.left) / DATE_ROOM));
  const date = held?.line === "date" ? held.value : civil(joint.date);
  const amount = held?.line === "amount" ? held.value : joint.amount;
  const [x, y] = [plot.x(date), plot.y(amount)];
  const onRelease = () => {
    if (held?.line === "date") onDate(toCivilText(endOfDay(held.value)));
    if (held?.line === "amount") onAmount(tidy(held.value, highest - lowest));
    setHeld(undefined);
  };
  const shares = [
    { at: [x - 8, plot.bottom - 10], anchor: "end", share: joint.both, what: "both kept" },
    { at: [x - 8, 16], anchor: "end", share: joint.dateOnly, what: "date kept" },
    { at: [x + 8, plot.bottom - 10], anchor: "start", share: joint.costOnly, what: "budget kept" },
    { at: [x + 8, 16], anchor: "start", share: joint.neither, what: "neither" },
  ] as const;
  const points = useMemo(
    () =>
      joint.points.map((point) => (
        <circle
          key={point.number}
          cx={plot.x(civil(point.finish))}
          cy={plot.y(point.cost)}
          r="2.4"
          fill="var(--chakra-colors-simulated)"
          fillOpacity="0.4"
          cursor="pointer"
          onClick={() => onFuture(point.number)}
        >
          <title>{`Future ${point.number}: ${formatDay(point.finish)}, ${formatMoney(point.cost, currency)}`}</title>
        </circle>
      )),
    [joint.points, plot, currency, onFuture],
  );
  const curve = joint.pairs
    .map((pair) => `${plot.x(civil(pair.finish)).toFixed(1)} ${plot.y(pair.cost).toFixed(1)}`)
    .join("L");
  const last = joint.pairs.at(-1);
  return (
    <Svg
      width={width}
      height={height}
      fontSize="12px"
      touchAction="none"
      role="group"
      aria-label="Futures by finish and cost"
    >
      <SideAxis plot={plot} ticks={amountTicks(lowest, highest, TICKS, currency)} />
      <FootAxis plot={plot} ticks={dateTicks(plot.min, plot.max, mostDates)} />
      <g>
        {points}
        <path d={`M${curve}`} fill="none" stroke="var(--chakra-colors-ink)" strokeWidth="1.6" />
        {last && (
          <text
            x={plot.x(civil(last.finish)) - 4}
            y={plot.y(last.cost) + 16}
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
        <GripLine
          label="Date"
          spoken={formatDay(date)}
          now={date}
          direction="across"
          from={[x, 0]}
          to={[x, plot.bottom]}
          onHold={() => setHeld({ line: "date", value: date })}
          onDrag={(at) => setHeld({ line: "date", value: plot.value(at) })}
          onRelease={onRelease}
          onStep={(by, far) => onDate(toCivilText(endOfDay(date) + by * (far ? 7 : 1) * DAY_MS))}
        >
          <line x1={x} x2={x} y1={0} y2={plot.bottom} stroke="var(--chakra-colors-plan)" strokeWidth="2" />
        </GripLine>
        <GripLine
          label="Budget"
          spoken={formatMoney(amount, currency)}
          now={amount}
          direction="up"
          from={[plot.left, y]}
          to={[plot.right, y]}
          onHold={() => setHeld({ line: "amount", value: amount })}
          onDrag={(_, at) => setHeld({ line: "amount", value: plot.height(at) })}
          onRelease={onRelease}
          onStep={(by, far) =>
            onAmount(tidy(amount + (by * (far ? 7 : 1) * (highest - lowest)) / 200, highest - lowest))
          }
        >
          <line
            x1={plot.left}
            x2={plot.right}
            y1={y}
            y2={y}
            stroke="var(--chakra-colors-plan)"
            strokeWidth="2"
          />
        </GripLine>
      </g>
    </Svg>
  );
}

const endOfDay = (time: number) => Math.floor(time / DAY_MS) * DAY_MS + DAY_MS - 60_000;

/** To a thousandth of what is in view. */
function tidy(cost: number, span: number): number {
  const unit = 10 ** Math.floor(Math.log10(span / 1000));
  return Math.round(cost / unit) * unit;
}
