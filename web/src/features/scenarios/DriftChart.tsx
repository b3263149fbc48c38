import { Box } from "@chakra-ui/react";
import { useRef } from "react";
import type { DriftPoint } from "../../shared/api/client";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { plotOf } from "../../shared/charts/plot";
import { amountTicks, dateTicks } from "../../shared/charts/roundTicks";
import { civil, formatDay, formatMoment } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import type { SinceWhat } from "./since";

const MARGINS = { left: 78, right: 104, top: 14, bottom: 30 };
const EACH_TICK = 110;
const LINE = 14;

const PLAN = "var(--chakra-colors-plan)";
const SIMULATED = "var(--chakra-colors-simulated)";
const LINES = [
  { of: "target", stroke: PLAN, strokeDasharray: "2 3" },
  { of: "plan", stroke: PLAN, strokeWidth: 2 },
  { of: "half", stroke: SIMULATED, strokeDasharray: "6 4", strokeWidth: 1.6 },
  { of: "level", stroke: SIMULATED, strokeWidth: 2.2 },
] as const;

interface Props {
  points: readonly DriftPoint[];
  what: SinceWhat;
  level: number;
  currency: string;
  /** The two runs between which it is told what moved. */
  from?: string;
  to?: string;
  onPick: (run: string) => void;
}

/** What each recorded run said, by the day on which it was made: P50 and the level within the middle eight tenths, plan and target. */
export function DriftChart({ points, what, level, currency, from, to, onPick }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const height = useHeight(frame);
  const drawn = points.map((point) => valuesOf(point, what));
  const all = drawn.flatMap((one) => [one.low, one.high, one.plan, one.target ?? one.plan]);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const air = (high - low || 1) * 0.06;
  const times = drawn.map((one) => one.at);
  const [start, end] = [Math.min(...times), Math.max(...times)];
  const apart = end > start ? (end - start) * 0.02 : 43_200_000;
  const plot = plotOf(
    { min: start - apart, max: end + apart, low: low - air, high: high + air },
    width,
    height,
    MARGINS,
  );
  // Runs of the same hour would lie on each other: they stand in their order.
  const crowded = times.some((time, i) => i > 0 && plot.x(time) - plot.x(times[i - 1] ?? 0) < 18);
  const x = (i: number) =>
    crowded ? plot.left + ((i + 0.5) * (plot.right - plot.left)) / drawn.length : plot.x(times[i] ?? 0);
  const line = (of: (one: Values) => number | undefined) =>
    drawn
      .flatMap((one, i) => {
        const value = of(one);
        return value === undefined ? [] : [`${x(i).toFixed(1)} ${plot.y(value).toFixed(1)}`];
      })
      .join("L");
  const band = `M${line((one) => one.high)}L${[...drawn.keys()]
    .reverse()
    .map((i) => `${x(i).toFixed(1)} ${plot.y(drawn[i]?.low ?? 0).toFixed(1)}`)
    .join("L")}Z`;
  const last = drawn.at(-1);
  const tell = (value: number) => (what === "finish" ? formatDay(value) : formatMoney(value, currency));
  const words = last
    ? placed(
        [
          { text: `P${level} ${tell(last.level)}`, value: last.level, colour: "simulated" },
          { text: `P50 ${tell(last.half)}`, value: last.half, colour: "simulated" },
          { text: `plan ${tell(last.plan)}`, value: last.plan, colour: "plan-text" },
        ].map((one) => ({ ...one, y: plot.y(one.value) })),
      )
    : [];
  return (
    <Box ref={frame} width="100%" height="100%">
      {width > 0 && height > 0 && (
        <svg
          width={width}
          height={height}
          fontSize="12"
          role="group"
          aria-label="What each recorded run said"
        >
          <SideAxis
            plot={plot}
            ticks={
              what === "finish"
                ? dateTicks(low - air, high + air, Math.max(2, height / 40))
                : amountTicks(low - air, high + air, Math.max(2, height / 40), currency)
            }
          />
          {crowded ? (
            <FootAxis plot={{ ...plot, min: 0, max: drawn.length, x: (at) => x(at) }} ticks={[]} />
          ) : (
            <FootAxis plot={plot} ticks={dateTicks(plot.min, plot.max, Math.max(2, width / EACH_TICK))} />
          )}
          <path d={band} fill="var(--chakra-colors-simulated)" fillOpacity="0.15" />
          {LINES.map(({ of, ...look }) => (
            <path key={of} d={`M${line((one) => one[of])}`} fill="none" {...look} />
          ))}
          {points.map((point, i) => {
            const one = drawn[i];
            const isEnd = point.run === from || point.run === to;
            return (
              one && (
                <g
                  key={point.run}
                  role="button"
                  tabIndex={0}
                  data-run={point.number}
                  aria-pressed={isEnd}
                  aria-label={`Run ${point.number}, ${formatMoment(point.at)}: P${level} ${tell(one.level)}`}
                  cursor="pointer"
                  onClick={() => onPick(point.run)}
                  onKeyDown={(event) => {
                    if (event.key !== "Enter" && event.key !== " ") return;
                    event.preventDefault();
                    onPick(point.run);
                  }}
                >
                  <rect
                    x={x(i) - 12}
                    y={plot.top}
                    width="24"
                    height={plot.bottom - plot.top}
                    fill="transparent"
                  />
                  <circle
                    cx={x(i)}
                    cy={plot.y(one.level)}
                    r={isEnd ? 7 : 4.5}
                    fill={isEnd ? "var(--chakra-colors-action)" : "var(--chakra-colors-simulated)"}
                  />
                  <text
                    x={x(i)}
                    y={plot.bottom + 18}
                    textAnchor="middle"
                    fill="var(--chakra-colors-soft-ink)"
                  >
                    {crowded || isEnd ? `run ${point.number}` : ""}
                  </text>
                  <title>{`Run ${point.number}${point.name ? `, ${point.name}` : ""}: P${level} ${tell(one.level)}`}</title>
                </g>
              )
            );
          })}
          {words.map(({ text, y, colour }) => (
            <text key={text} x={plot.right + 6} y={y + 4} fill={`var(--chakra-colors-${colour})`}>
              {text}
            </text>
          ))}
        </svg>
      )}
    </Box>
  );
}

interface Values {
  at: number;
  low: number;
  half: number;
  level: number;
  high: number;
  plan: number;
  target?: number;
}

function valuesOf(point: DriftPoint, what: SinceWhat): Values {
  const at = Date.parse(point.at);
  if (what === "finish")
    return {
      at,
      low: civil(point.finishLow),
      half: civil(point.finishHalf),
      level: civil(point.finishLevel),
      high: civil(point.finishHigh),
      plan: civil(point.planFinish),
      target: point.target === undefined ? undefined : civil(point.target),
    };
  return {
    at,
    low: point.costLow ?? 0,
    half: point.costHalf ?? 0,
    level: point.costLevel ?? 0,
    high: point.costHigh ?? 0,
    plan: point.planCost ?? 0,
    target: point.budget,
  };
}

/** Words moved apart where they would lie on each other. */
function placed<T extends { y: number }>(words: T[]): T[] {
  const sorted = [...words].sort((a, b) => a.y - b.y);
  return sorted.reduce<T[]>((done, word) => {
    const above = done.at(-1);
    return [...done, { ...word, y: above ? Math.max(word.y, above.y + LINE) : word.y }];
  }, []);
}
