import { Box } from "@chakra-ui/react";
import { useRef } from "react";
import type { FundView } from "../../shared/api/client";
import type { FundGoal } from "../../shared/api/fund";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { GripLine } from "../../shared/charts/GripLine";
import { plotOf } from "../../shared/charts/plot";
import { amountTicks, roundTicks } from "../../shared/charts/roundTicks";
import { formatMoney, parseMoney } from "../../shared/format/numbers";
import { Pill } from "../../shared/odds/Pill";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { axisWords, bestFor, gainTick, named } from "./fund";

const MARGINS = { left: 66, right: 26, top: 38, bottom: 58 };
const MOST_RINGS = 1500;
const EACH_TICK = 100;
const LABEL_ROOM = 74;
const FAR = 10;

interface Props {
  view: FundView;
  budget: number;
  onBudget: (budget: number) => void;
  currency: string;
}

/** Every set as a ring at what it costs and brings, the line of the best, and the budget that is dragged or typed. */
export function FundChart({ view, budget, onBudget, currency }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const height = useHeight(frame);
  const goal = view.goal as FundGoal;
  const all = view.options.reduce((sum, option) => sum + Math.max(0, option.cost), 0);
  const most = Math.max(1, all, budget) * 1.04;
  const gains = view.tried.map((one) => one.gain);
  const [low, high] = [Math.min(0, ...gains), Math.max(1e-9, ...gains)];
  const air = (high - low) * 0.08;
  const plot = plotOf(
    { min: 0, max: most, low: low - (low < 0 ? air : 0), high: high + air },
    width,
    height,
    MARGINS,
  );
  const step = Math.max(500, Math.round(most / 200 / 500) * 500);
  const rings =
    view.tried.length > MOST_RINGS
      ? view.tried.filter((_, i) => i % Math.ceil(view.tried.length / MOST_RINGS) === 0)
      : view.tried;
  const stair = view.best
    .map(
      (best, i) =>
        `${i === 0 ? "M" : "H"}${plot.x(best.cost).toFixed(1)}${i === 0 ? " " : "V"}${plot.y(best.gain).toFixed(1)}`,
    )
    .join("");
  const here = bestFor(view, budget);
  const labelled = labelsOf(view, plot.x, plot.right);
  return (
    <Box ref={frame} position="relative" width="100%" height="100%">
      {width > 0 && height > 0 && (
        <>
          <svg
            width={width}
            height={height}
            fontSize="12"
            role="group"
            aria-label="What every set costs and brings"
          >
            <text x={plot.left} y={16} fill="var(--chakra-colors-soft-ink)">
              {axisWords(goal, view.level)}
            </text>
            <SideAxis
              plot={plot}
              ticks={roundTicks(
                plot.height(plot.bottom),
                plot.height(plot.top),
                Math.max(2, height / 70),
              ).map((value) => ({
                value,
                label: gainTick(goal, value, currency),
              }))}
            />
            <FootAxis plot={plot} ticks={amountTicks(0, most, Math.max(2, width / EACH_TICK), currency)} />
            {rings.map((one) => (
              <circle
                key={one.options.join(",") || "none"}
                cx={plot.x(one.cost)}
                cy={plot.y(one.gain)}
                r="3.2"
                fill="none"
                stroke="var(--chakra-colors-strong-line)"
              >
                <title>
                  {`${one.options.map((at) => view.options[at]?.id).join(" + ") || "nothing"}: ${formatMoney(one.cost, currency)}, ${gainTick(goal, one.gain, currency)}`}
                </title>
              </circle>
            ))}
            <path
              d={`${stair}H${plot.right}`}
              fill="none"
              stroke="var(--chakra-colors-action)"
              strokeWidth="2"
            />
            {view.best.map((best) => {
              const x = plot.x(best.cost);
              return (
                <g key={best.cost} data-best={best.options.join(" ")}>
                  <circle
                    cx={x}
                    cy={plot.y(best.gain)}
                    r={best === here ? 6.5 : 4.5}
                    fill="var(--chakra-colors-action)"
                  >
                    <title>{`${named(best, view.options)}: ${formatMoney(best.cost, currency)}, ${gainTick(goal, best.gain, currency)}`}</title>
                  </circle>
                  {labelled.has(best.cost) && (
                    <text x={x - 8} y={plot.y(best.gain) - 8} textAnchor="end">
                      {best.options.length > 2 ? `${best.options.length} options` : best.options.join(" + ")}
                    </text>
                  )}
                </g>
              );
            })}
            <GripLine
              label="Budget"
              spoken={formatMoney(budget, currency)}
              now={budget}
              least={0}
              most={Math.round(most)}
              direction="across"
              from={[plot.x(budget), plot.top]}
              to={[plot.x(budget), plot.bottom]}
              onDrag={(x) => onBudget(Math.max(0, Math.round(plot.value(x) / step) * step))}
              onStep={(by, far) => onBudget(Math.max(0, budget + by * step * (far ? FAR : 1)))}
            >
              <path
                d={`M${plot.x(budget)} ${plot.top - 8}V${plot.bottom}`}
                stroke="var(--chakra-colors-plan)"
                strokeWidth="2"
              />
            </GripLine>
            <text x={plot.right} y={height - 8} textAnchor="end" fill="var(--chakra-colors-soft-ink)">
              what is paid for it now
            </text>
          </svg>
          <Pill
            label="Budget"
            text={formatMoney(budget, currency)}
            left={Math.max(0, Math.min(width - 92, plot.x(budget) - 46))}
            top={height - MARGINS.bottom + 24}
            width={92}
            align="center"
            onType={(text) => {
              const typed = parseMoney(text);
              if (typed === undefined || typed < 0) return `An amount is needed, such as 40k, not “${text}”.`;
              onBudget(typed);
              return undefined;
            }}
          />
        </>
      )}
    </Box>
  );
}

/** Costs of the sets that are named in the drawing: as many as stand clear of each other. */
function labelsOf(view: FundView, x: (cost: number) => number, right: number): Set<number> {
  const labels = new Set<number>();
  let last = -Infinity;
  for (const { cost, options } of view.best) {
    const at = x(cost);
    if (options.length === 0 || at - last < LABEL_ROOM || at > right) continue;
    labels.add(cost);
    last = at;
  }
  return labels;
}
