import { chakra } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import type { ScatterAxis, ScatterView } from "../../shared/api/client";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { GripLine } from "../../shared/charts/GripLine";
import { type Plot, plotOf } from "../../shared/charts/plot";
import { axisTicks, axisValue, fields, stepped, tidied } from "./scatter";

const Svg = chakra("svg");
const INDIGO = "var(--chakra-colors-simulated)";
/** Room for the distributions beside the axes. */
const BESIDE = 34;
const EACH_TICK = 64;
const EACH_TICK_UP = 44;

interface Props {
  view: ScatterView;
  currency: string;
  width: number;
  height: number;
  onX: (value: number) => void;
  onY: (value: number) => void;
  onFuture: (number: number) => void;
}

/** All futures by two quantities, with both distributions beside the axes, cut in four by two lines. */
export function Cloud({ view, currency, width, height, onX, onY, onFuture }: Props) {
  const { x, y } = view;
  const plot = useMemo(
    () =>
      plotOf({ ...padded(x), ...named(padded(y)) }, width, height, {
        left: y.unit === "date" ? 78 : 58,
        right: BESIDE + 6,
        top: BESIDE,
        bottom: 26,
      }),
    [x, y, width, height],
  );
  const [held, setHeld] = useState<{ axis: "x" | "y"; value: number }>();
  const lineX = held?.axis === "x" ? held.value : x.line;
  const lineY = held?.axis === "y" ? held.value : y.line;
  const release = () => {
    if (held?.axis === "x") onX(tidied(x, held.value));
    if (held?.axis === "y") onY(tidied(y, held.value));
    setHeld(undefined);
  };
  const points = useMemo(
    () =>
      view.points.map((point) => (
        <circle
          key={point.number}
          cx={plot.x(point.x)}
          cy={plot.y(point.y)}
          r="2"
          fill={INDIGO}
          fillOpacity="0.34"
          cursor="pointer"
          onClick={() => onFuture(point.number)}
        >
          <title>{`Future ${point.number}: ${axisValue(view.x, point.x, currency)}, ${axisValue(view.y, point.y, currency)}`}</title>
        </circle>
      )),
    [view, plot, currency, onFuture],
  );
  const [atX, atY] = [
    clamp(plot.x(lineX), plot.left, plot.right),
    clamp(plot.y(lineY), plot.top, plot.bottom),
  ];
  return (
    <Svg
      width={width}
      height={height}
      fontSize="12px"
      touchAction="none"
      role="group"
      aria-label={`${x.name} against ${y.name}`}
    >
      <SideAxis
        plot={plot}
        ticks={axisTicks(y, Math.max(2, (plot.bottom - plot.top) / EACH_TICK_UP), currency)}
      />
      <FootAxis
        plot={plot}
        ticks={axisTicks(x, Math.max(2, (plot.right - plot.left) / EACH_TICK), currency)}
      />
      <Beside plot={plot} x={x} y={y} />
      {points}
      {!held &&
        fields(view).map(({ text, right, up }) => (
          <text
            key={`${right} ${up}`}
            x={right ? Math.min(plot.right - 4, atX + 7) : Math.max(plot.left + 4, atX - 7)}
            y={up ? plot.top + 14 : plot.bottom - 8}
            textAnchor={right === atX < plot.right - 40 ? "start" : "end"}
            fontWeight="650"
            fill="var(--chakra-colors-ink)"
            stroke="var(--chakra-colors-panel)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {text}
          </text>
        ))}
      <GripLine
        label={x.name}
        spoken={axisValue(x, lineX, currency)}
        now={lineX}
        least={x.low}
        most={x.high}
        direction="across"
        from={[atX, plot.top]}
        to={[atX, plot.bottom]}
        onHold={() => setHeld({ axis: "x", value: lineX })}
        onDrag={(at) => setHeld({ axis: "x", value: clamp(plot.value(at), plot.min, plot.max) })}
        onRelease={release}
        onStep={(by, far) => onX(tidied(x, stepped(x, by, far)))}
      >
        <line
          x1={atX}
          x2={atX}
          y1={plot.top}
          y2={plot.bottom}
          stroke="var(--chakra-colors-action)"
          strokeWidth="1.8"
        />
      </GripLine>
      <GripLine
        label={y.name}
        spoken={axisValue(y, lineY, currency)}
        now={lineY}
        least={y.low}
        most={y.high}
        direction="up"
        from={[plot.left, atY]}
        to={[plot.right, atY]}
        onHold={() => setHeld({ axis: "y", value: lineY })}
        onDrag={(_, at) => setHeld({ axis: "y", value: clamp(plot.height(at), y.low, y.high) })}
        onRelease={release}
        onStep={(by, far) => onY(tidied(y, stepped(y, by, far)))}
      >
        <line
          x1={plot.left}
          x2={plot.right}
          y1={atY}
          y2={atY}
          stroke="var(--chakra-colors-plan)"
          strokeWidth="1.8"
        />
      </GripLine>
    </Svg>
  );
}

/** Both distributions, each along its own axis. */
function Beside({ plot, x, y }: { plot: Plot; x: ScatterAxis; y: ScatterAxis }) {
  const mostX = Math.max(1, ...x.counts);
  const mostY = Math.max(1, ...y.counts);
  const room = BESIDE - 6;
  const at = ({ low, high, counts }: ScatterAxis, i: number) => low + ((high - low) * i) / counts.length;
  return (
    <g fill="var(--chakra-colors-simulated-soft)" aria-hidden="true">
      {x.counts.map((count, i) => {
        const [from, to] = [plot.x(at(x, i)), plot.x(at(x, i + 1))];
        const tall = (count / mostX) * room;
        return (
          <rect key={i} x={from} width={Math.max(1, to - from - 0.5)} y={plot.top - 2 - tall} height={tall} />
        );
      })}
      {y.counts.map((count, i) => {
        const [from, to] = [plot.y(at(y, i)), plot.y(at(y, i + 1))];
        return (
          <rect
            key={i}
            x={plot.right + 2}
            width={(count / mostY) * room}
            y={to}
            height={Math.max(1, from - to - 0.5)}
          />
        );
      })}
    </g>
  );
}

const clamp = (value: number, low: number, high: number) => Math.max(low, Math.min(high, value));

/** The ends of an axis with a little air; what never varies stands in the middle. */
function padded({ low, high, line }: ScatterAxis) {
  const span = high - low;
  const air = span > 0 ? span * 0.02 : Math.max(1, Math.abs(low) * 0.1);
  // A line at the very beginning leaves room for the shares on its other side.
  const isFirst = span > 0 && line - low < span * 0.05;
  return { min: low - (isFirst ? span * 0.17 : air), max: high + air };
}

const named = ({ min, max }: { min: number; max: number }) => ({ low: min, high: max });
