import { Box } from "@chakra-ui/react";
import { line as lineOf } from "d3-shape";
import { useRef } from "react";
import { CHANCE_TICKS, FootAxis, SideAxis } from "../../shared/charts/axes";
import { GripLine } from "../../shared/charts/GripLine";
import { plotOf } from "../../shared/charts/plot";
import { amountTicks, dateTicks, roundTicks } from "../../shared/charts/roundTicks";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { valueOnCurve } from "../../shared/odds/quantity";
import type { Stroke } from "./scenarioLook";
import type { Curve } from "./useCurves";

const MARGINS = { left: 56, right: 20, top: 14, bottom: 30 };
const EACH_TICK = 110;
const FAR = 5;
const TAIL = 2;

interface Props {
  curves: Curve[];
  strokes: Record<string, Stroke>;
  names: Record<string, string>;
  kind: "date" | "money" | "days";
  currency: string;
  /** What was promised. */
  target?: { value: number; label: string };
  /** Percent at which the gap is read. */
  level: number;
  onLevel: (level: number) => void;
  base: string;
  chosen?: string;
  /** How far the chosen one lies from the base at the level. */
  gap?: string;
}

/** Cumulative curves of a few scenarios, the reading line at a chance, and the gap that it cuts out between base and chosen. */
export function CurvesDrawing(props: Props) {
  const { curves, strokes, names, kind, currency, target, level, onLevel, base, chosen, gap } = props;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const height = useHeight(frame);
  // The last hundredths at either end would take half of the axis.
  const all = curves.flatMap(({ values }) => [values[TAIL] ?? 0, values.at(-1 - TAIL) ?? 0]);
  const ends = [...all, ...(target ? [target.value] : [])];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const air = (high - low || 1) * 0.03;
  const plot = plotOf({ min: low - air, max: high + air }, width, height, MARGINS);
  const most = Math.max(2, Math.floor((plot.right - plot.left) / EACH_TICK));
  const ticks =
    kind === "date"
      ? dateTicks(plot.min, plot.max, most)
      : kind === "money"
        ? amountTicks(plot.min, plot.max, most, currency)
        : roundTicks(plot.min, plot.max, most).map((value) => ({ value, label: `${value} d` }));
  const path = lineOf<number>()
    .x((value) => plot.x(value))
    .y((_, i) => plot.y(i / 200));
  const valueAt = (id: string | undefined) => {
    const curve = curves.find((one) => one.id === id);
    return curve && valueOnCurve(curve.values, level / 100);
  };
  const [from, to] = [valueAt(base), chosen === base ? undefined : valueAt(chosen)];
  const y = plot.y(level / 100);
  return (
    <Box ref={frame} width="100%" height="100%">
      {width > 0 && height > 0 && (
        <svg
          width={width}
          height={height}
          fontSize="12"
          role="group"
          aria-label="Cumulative curves of scenarios"
        >
          <SideAxis plot={plot} ticks={CHANCE_TICKS} />
          <FootAxis plot={plot} ticks={ticks} />
          {target && (
            <g>
              <path
                d={`M${plot.x(target.value)} ${plot.top}V${plot.bottom}`}
                stroke="var(--chakra-colors-plan)"
                strokeDasharray="2 3"
              />
              <text x={plot.x(target.value) + 5} y={plot.bottom - 6} fill="var(--chakra-colors-plan-text)">
                {target.label}
              </text>
            </g>
          )}
          <clipPath id="scenario-curves">
            <rect x={plot.left} y={0} width={plot.right - plot.left} height={plot.bottom + 2} />
          </clipPath>
          {curves.map(({ id, values }) => (
            <path
              key={id}
              clipPath="url(#scenario-curves)"
              data-curve={id}
              d={path(values) ?? undefined}
              fill="none"
              stroke={strokes[id]?.colour}
              strokeDasharray={strokes[id]?.dash}
              strokeWidth={id === chosen ? 3.2 : 1.9}
            >
              <title>{names[id]}</title>
            </path>
          ))}
          <GripLine
            label="Chance at which scenarios are compared"
            spoken={`P${level}`}
            now={level}
            least={1}
            most={99}
            direction="up"
            from={[plot.left, y]}
            to={[plot.right, y]}
            onDrag={(_, at) => onLevel(within(Math.round(plot.height(at) * 100)))}
            onStep={(by, far) => onLevel(within(level + by * (far ? FAR : 1)))}
          >
            <path d={`M${plot.left} ${y}H${plot.right}`} stroke="var(--chakra-colors-action)" />
            <text x={plot.left + 4} y={y - 5} fill="var(--chakra-colors-action)" fontWeight="600">
              P{level}
            </text>
          </GripLine>
          {from !== undefined && to !== undefined && (
            <g data-gap>
              <path
                d={`M${plot.x(from)} ${y}H${plot.x(to)}`}
                stroke={chosen === undefined ? undefined : strokes[chosen]?.colour}
                strokeWidth="4"
              />
              {[from, to].map((value, i) => (
                <circle
                  key={i}
                  cx={plot.x(value)}
                  cy={y}
                  r="4"
                  fill={strokes[(i === 0 ? base : chosen) ?? ""]?.colour}
                />
              ))}
              {gap && (
                <text
                  x={(plot.x(from) + plot.x(to)) / 2}
                  y={y - 9}
                  textAnchor="middle"
                  fontWeight="650"
                  fill="var(--chakra-colors-ink)"
                  stroke="var(--chakra-colors-ground)"
                  strokeWidth="4"
                  paintOrder="stroke"
                >
                  {gap}
                </text>
              )}
            </g>
          )}
        </svg>
      )}
    </Box>
  );
}

const within = (level: number) => Math.max(1, Math.min(99, level));
