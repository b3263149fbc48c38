import { Box, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import type { PlanView, ResourceLoad, ResourceView } from "../../shared/api/client";
import { useResourceLoad } from "../../shared/api/costs";
import { refusalOf } from "../../shared/api/edits";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { ChartTable } from "../../shared/charts/ChartTable";
import { plotOf } from "../../shared/charts/plot";
import { dateTicks, roundTicks } from "../../shared/charts/roundTicks";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { civil, DAY_MS, formatDay } from "../../shared/format/dates";
import { formatChance, formatDays } from "../../shared/format/numbers";
import { shareOfFutures } from "../../shared/odds/sentences";
import { Choice } from "../../shared/ui/Choice";
import { useWidth } from "../../shared/ui/useSize";
import type { CostsLook } from "./costsStore";

const MARGINS = { left: 34, right: 12, top: 12, bottom: 28 };
const HEIGHT = 240;
const PERIODS = [
  { value: "week", label: "Week" },
  { value: "month", label: "Month" },
] as const;

interface Props {
  plan: PlanView;
  resource: ResourceView;
  run?: string;
  look: CostsLook;
}

/** How much of a resource is at work over time, planned and simulated, against its limit. */
export function LoadPanel({ plan, resource, run, look }: Props) {
  const chart = useRef<HTMLDivElement>(null);
  const used = plan.assignments.filter((one) => one.resource === resource.id && one.units > 0);
  const period = look.period === "quarter" ? "month" : look.period;
  const load = useResourceLoad(used.length > 0 ? run : undefined, resource.id, period);
  const data = load.data?.resource === resource.id ? load.data : undefined;
  if (used.length === 0)
    return (
      <Box color="softInk">
        Nothing uses {resource.name} yet. On Lines, type “{resource.id}” or “{resource.id} 0.5” into the crew
        of an activity.
      </Box>
    );
  const sentence = data ? loadSentence(resource, data) : "Looking when it is at work…";
  return (
    <>
      <Flex gap="2" align="flex-start">
        <Box as="h2" flex="1" fontSize="16px" fontWeight="600" data-testid="load">
          {load.isError ? refusalOf(load.error) : sentence}
        </Box>
        {data && (
          <TakeOutMenu
            chart={chart}
            name={`Load of ${resource.name}`}
            title={sentence}
            table={() => ({
              columns: ["From", "To", "Planned", "P50", `P${Math.round(data.level)}`, "Above the limit, %"],
              rows: data.periods.map((one) => [
                one.from,
                one.to,
                one.planned,
                one.p50,
                one.at,
                one.exceeded === undefined ? null : Math.round(one.exceeded * 1000) / 10,
              ]),
            })}
          />
        )}
      </Flex>
      <Choice
        label="Periods of the load"
        choices={PERIODS}
        value={period}
        onChange={(next) => look.set({ period: next })}
      />
      <Box ref={chart}>{data && <LoadChart load={data} />}</Box>
      <Box color="softInk">
        The most units at once in each {period}. Marigold: as planned. Indigo: in half of all futures, and at
        P{Math.round(data?.level ?? plan.project.confidence)}. A dashed line is the limit.
      </Box>
    </>
  );
}

/** When and how often there is not enough. */
export function loadSentence(resource: ResourceView, load: ResourceLoad): string {
  const most = Math.max(...load.periods.map((one) => one.planned));
  const planned = `${resource.name}: ${formatDays(most)} at once at most as planned`;
  if (load.limit === undefined || load.everExceeded === undefined) return `${planned}; no limit is set.`;
  if (load.everExceeded === 0)
    return `${planned}, and never more than the ${formatDays(load.limit)} there are.`;
  const worst = load.periods.reduce((one, other) =>
    (other.exceeded ?? 0) > (one.exceeded ?? 0) ? other : one,
  );
  return `${planned}. More than the ${formatDays(load.limit)} there are is needed in ${shareOfFutures(load.everExceeded).toLowerCase()}, most often from ${formatDay(worst.from)} on (${formatChance(worst.exceeded ?? 0)}).`;
}

function LoadChart({ load }: { load: ResourceLoad }) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const first = load.periods[0];
  const last = load.periods.at(-1);
  if (!first || !last) return null;
  const high =
    Math.max(load.limit ?? 0, ...load.periods.map((one) => Math.max(one.planned, one.at)), 0.1) * 1.15;
  const plot = plotOf(
    { min: civil(first.from), max: civil(last.to) + DAY_MS, low: 0, high },
    width,
    HEIGHT,
    MARGINS,
  );
  const stair = (of: (one: ResourceLoad["periods"][number]) => number) =>
    load.periods
      .map(
        (one, i) =>
          `${i === 0 ? "M" : "L"}${plot.x(civil(one.from)).toFixed(1)} ${plot.y(of(one)).toFixed(1)}H${plot.x(civil(one.to) + DAY_MS).toFixed(1)}`,
      )
      .join("");
  const base = `L${plot.right} ${plot.bottom}L${plot.left} ${plot.bottom}Z`;
  return (
    <Box ref={frame} width="100%" position="relative">
      <ChartTable
        caption="Units at once"
        columns={["From", "Planned", "P50", `P${Math.round(load.level)}`]}
        rows={load.periods.map((one) => [
          formatDay(one.from),
          formatDays(one.planned),
          formatDays(one.p50),
          formatDays(one.at),
        ])}
      />
      {width > 0 && (
        <svg width={width} height={HEIGHT} fontSize="12" role="img" aria-label="Units at work over time">
          <SideAxis
            plot={plot}
            ticks={roundTicks(0, high, 4).map((value) => ({ value, label: formatDays(value) }))}
          />
          <path d={stair((one) => one.at) + base} fill="var(--chakra-colors-simulated)" fillOpacity="0.16" />
          <path
            d={stair((one) => one.p50)}
            fill="none"
            stroke="var(--chakra-colors-simulated)"
            strokeWidth="1.8"
          />
          <path
            d={stair((one) => one.planned)}
            fill="none"
            stroke="var(--chakra-colors-plan)"
            strokeWidth="1.8"
          />
          {load.limit !== undefined && (
            <path
              d={`M${plot.left} ${plot.y(load.limit)}H${plot.right}`}
              stroke="var(--chakra-colors-ink)"
              strokeDasharray="6 4"
            />
          )}
          <FootAxis plot={plot} ticks={dateTicks(plot.min, plot.max, Math.max(2, Math.floor(width / 110)))} />
        </svg>
      )}
    </Box>
  );
}
