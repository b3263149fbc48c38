import { Box } from "@chakra-ui/react";
import { useRef, useState } from "react";
import type { CashFlow, FundingView } from "../../shared/api/client";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { type Plot, plotOf } from "../../shared/charts/plot";
import { amountTicks, dateTicks } from "../../shared/charts/roundTicks";
import { civil, formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { endOf, steps } from "./flow";
import { FundingHandles, FundingStair } from "./FundingDrawing";

const MARGINS = { left: 62, right: 56, top: 14, bottom: 118 };
const BARS = 66;
const MOST_TICKS_PX = 110;

interface Props {
  flow: CashFlow;
  funding: readonly FundingView[];
  currency: string;
  /** What was promised. */
  budget?: number;
  /** First day of the period that is explained. */
  chosen?: string;
  onChoose: (day: string) => void;
  /** Funding as it was drawn; without it, it is only shown. */
  onFund?: (funding: FundingView[]) => void;
}

/** Money to date, planned and simulated, under the steps of funding; what falls due period by period beneath. */
export function FlowChart({ flow, funding, currency, budget, chosen, onChoose, onFund }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const height = useHeight(frame);
  const [drawn, setDrawn] = useState<FundingView[]>();
  const shown = drawn ?? funding;
  const { periods } = flow;
  const first = periods[0];
  const last = periods.at(-1);
  if (!first || !last) return null;
  const start = Math.min(civil(first.from), ...funding.map((one) => civil(one.date)));
  const end = endOf(last);
  const stair = steps(shown);
  const high = Math.max(
    1,
    ...periods.map((one) => Math.max(one.toDate.p90, one.toDate.planned, one.toDate.outset ?? 0)),
    stair.at(-1)?.sum ?? 0,
    budget ?? 0,
  );
  const plot = plotOf({ min: start, max: end, low: 0, high: high * 1.06 }, width, height, MARGINS);
  const line = (of: (one: CashFlow["periods"][number]) => number) =>
    `M${plot.x(civil(first.from))} ${plot.y(0)}` +
    periods.map((one) => `L${plot.x(endOf(one)).toFixed(1)} ${plot.y(of(one)).toFixed(1)}`).join("");
  const band =
    line((one) => one.toDate.p90) +
    [...periods]
      .reverse()
      .map((one) => `L${plot.x(endOf(one)).toFixed(1)} ${plot.y(one.toDate.p10).toFixed(1)}`)
      .join("") +
    `L${plot.x(civil(first.from))} ${plot.y(0)}Z`;
  const underWay = periods.some((one) => one.toDate.outset !== undefined);
  const words = [
    { label: "plan", value: last.toDate.planned, colour: "plan-text" },
    { label: "P50", value: last.toDate.p50, colour: "simulated" },
    { label: `P${Math.round(flow.level)}`, value: last.toDate.at, colour: "simulated" },
    ...(stair.length > 0 ? [{ label: "funding", value: stair.at(-1)?.sum ?? 0, colour: "ink" }] : []),
  ];
  return (
    <Box ref={frame} width="100%" height="100%">
      {width > 0 && height > 0 && (
        <svg width={width} height={height} fontSize="12" role="group" aria-label="Money to date over time">
          <SideAxis plot={plot} ticks={amountTicks(0, high, 6, currency)} />
          <path d={band} fill="var(--chakra-colors-simulated)" fillOpacity="0.16" />
          {underWay && (
            <path
              d={line((one) => one.toDate.outset ?? 0)}
              fill="none"
              stroke="var(--chakra-colors-plan)"
              strokeWidth="1.4"
              strokeDasharray="2 3"
            />
          )}
          <path
            d={line((one) => one.toDate.planned)}
            fill="none"
            stroke="var(--chakra-colors-plan)"
            strokeWidth="2"
          />
          <path
            d={line((one) => one.toDate.p50)}
            fill="none"
            stroke="var(--chakra-colors-simulated)"
            strokeWidth="2"
          />
          <path
            d={line((one) => one.toDate.at)}
            fill="none"
            stroke="var(--chakra-colors-simulated)"
            strokeWidth="1.5"
            strokeDasharray="5 3"
          />
          {budget !== undefined && (
            <g>
              <path
                d={`M${plot.left} ${plot.y(budget)}H${plot.right}`}
                stroke="var(--chakra-colors-plan)"
                strokeDasharray="1 4"
              />
              <text x={plot.left + 6} y={plot.y(budget) - 4} fill="var(--chakra-colors-plan-text)">
                budget {formatMoney(budget, currency)}
              </text>
            </g>
          )}
          <DataDate plot={plot} date={flow.dataDate} />
          {apart(words, plot).map(({ label, y, colour }) => (
            <text key={label} x={plot.right + 6} y={y + 4} fill={`var(--chakra-colors-${colour})`}>
              {label}
            </text>
          ))}
          <FundingStair plot={plot} stair={stair} />
          <Bars flow={flow} plot={plot} bottom={height - MARGINS.bottom + 18 + BARS} />
          <FootAxis
            plot={{ ...plot, bottom: height - MARGINS.bottom + 18 + BARS }}
            ticks={dateTicks(start, end, Math.max(2, Math.floor(width / MOST_TICKS_PX)))}
          />
          {periods.map((one) => (
            <rect
              key={one.from}
              data-period={one.from}
              x={plot.x(civil(one.from))}
              y={plot.top}
              width={Math.max(1, plot.x(endOf(one)) - plot.x(civil(one.from)))}
              height={height - MARGINS.bottom + 18 + BARS - plot.top}
              fill="var(--chakra-colors-ink)"
              fillOpacity={one.from === chosen ? 0.06 : 0}
              style={{ pointerEvents: onFund && drawn ? "none" : "all" }}
              onClick={() => onChoose(one.from)}
            >
              <title>{formatDay(one.from)}</title>
            </rect>
          ))}
          <FundingHandles
            plot={plot}
            stair={stair}
            funding={shown}
            currency={currency}
            onDraw={onFund && setDrawn}
            onRelease={() => {
              if (drawn) onFund?.(drawn);
              setDrawn(undefined);
            }}
            onSteps={onFund}
          />
        </svg>
      )}
    </Box>
  );
}

/** Words at the end of lines, moved apart where they would lie on each other. */
function apart(words: { label: string; value: number; colour: string }[], plot: Plot) {
  const placed = words.map((one) => ({ ...one, y: plot.y(one.value) })).sort((a, b) => a.y - b.y);
  const least = 14;
  for (let i = 1; i < placed.length; i++) {
    const [above, here] = [placed[i - 1], placed[i]];
    if (above && here && here.y - above.y < least) here.y = above.y + least;
  }
  return placed;
}

function DataDate({ plot, date }: { plot: Plot; date?: string }) {
  if (!date) return null;
  const x = plot.x(civil(date));
  return (
    <g>
      <path d={`M${x} ${plot.top}V${plot.bottom}`} stroke="var(--chakra-colors-ink)" strokeDasharray="2 3" />
      <text x={x + 5} y={plot.top + 10} fill="var(--chakra-colors-soft-ink)">
        data date
      </text>
    </g>
  );
}

/** What falls due in each period: planned, and the middle one of all futures. */
function Bars({ flow, plot, bottom }: { flow: CashFlow; plot: Plot; bottom: number }) {
  const most = Math.max(1, ...flow.periods.map((one) => Math.max(one.within.planned, one.within.p50)));
  const tall = (value: number) => (Math.max(0, value) / most) * BARS;
  return (
    <g>
      {flow.periods.map((one) => {
        const x = plot.x(civil(one.from));
        const wide = Math.max(1, (plot.x(endOf(one)) - x) * 0.36);
        return (
          <g key={one.from}>
            <rect
              x={x + wide * 0.3}
              y={bottom - tall(one.within.planned)}
              width={wide}
              height={tall(one.within.planned)}
              fill="var(--chakra-colors-plan)"
              fillOpacity="0.75"
            />
            <rect
              x={x + wide * 1.35}
              y={bottom - tall(one.within.p50)}
              width={wide}
              height={tall(one.within.p50)}
              fill="var(--chakra-colors-simulated)"
              fillOpacity="0.6"
            />
          </g>
        );
      })}
    </g>
  );
}
