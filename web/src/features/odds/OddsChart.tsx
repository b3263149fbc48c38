import { Box } from "@chakra-ui/react";
import type { EChartsCoreOption } from "echarts/core";
import type { CustomSeriesRenderItemAPI, CustomSeriesRenderItemParams } from "echarts/types/dist/shared";
import { useMemo, useRef } from "react";
import { EChart } from "../../shared/charts/EChart";
import { type Colors, useColors } from "../../shared/charts/useColors";
import { DAY_MS, formatShortDay, formatTick } from "../../shared/format/dates";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { type Axis, chartAxis, GRID } from "./chartAxis";
import { OddsMarks } from "./OddsMarks";
import { placeOf } from "./place";
import type { Quantity, Reading } from "./quantity";
import { ReadingLine } from "./ReadingLine";
import { planSentence } from "./sentences";
import { isDate } from "./subject";
import type { Line } from "./useOdds";

const MANY_MONTHS_MS = 120 * DAY_MS;

interface Props {
  quantity: Quantity;
  reading: Reading | undefined;
  line: Line;
  onLine: (line: Line) => void;
  /** The second of two lines, where there is one. */
  second?: { line: Line; reading: Reading | undefined; onLine: (line: Line) => void };
  /** What it is compared with. */
  beside?: Quantity;
}

/** Histogram with the cumulative curve over it, the plan's and the target's marks, and the reading line. */
export function OddsChart({ quantity, reading, line, onLine, second, beside }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  const axis = useMemo(() => chartAxis(quantity, width, height, beside), [quantity, width, height, beside]);
  const colors = useColors();
  const option = useMemo(() => chartOption(quantity, axis, colors, beside), [quantity, axis, colors, beside]);
  const ready = width > 0 && height > 0;
  return (
    <Box ref={box} position="relative" width="100%" height="100%">
      {ready && (
        <>
          <EChart
            option={option}
            label={`${quantity.title}: histogram and cumulative curve. ${planSentence(quantity)}`}
          />
          <OddsMarks quantity={quantity} axis={axis} width={width} height={height} />
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

function chartOption(
  quantity: Quantity,
  axis: Axis,
  colors: Colors,
  beside: Quantity | undefined,
): EChartsCoreOption {
  const { edges, counts, curve } = quantity;
  const total = counts.reduce((sum, count) => sum + count, 0);
  const bins = counts.map((count, i) => [edges[i] ?? 0, edges[i + 1] ?? 0, count]);
  const text = { color: colors.softInk, fontFamily: "Source Sans 3 Variable", fontSize: 12 };
  const bar = (_: CustomSeriesRenderItemParams, api: CustomSeriesRenderItemAPI) => {
    const [left = 0, bottom = 0] = api.coord([api.value(0), 0]);
    const [right = 0, top = 0] = api.coord([api.value(1), api.value(2)]);
    return {
      type: "rect" as const,
      shape: { x: left + 0.5, y: top, width: Math.max(1, right - left - 1), height: bottom - top },
      style: { fill: colors.simulatedSoft },
      emphasis: { style: { fill: colors.simulated } },
    };
  };
  return {
    useUTC: true,
    animation: false,
    grid: { ...GRID, containLabel: false },
    tooltip: {
      trigger: "item",
      backgroundColor: colors.panel,
      borderColor: colors.line,
      textStyle: { color: colors.ink, fontFamily: text.fontFamily },
      formatter: ({ value }: { value: number[] }) =>
        `${quantity.format(value[0] ?? 0)} to ${quantity.format(value[1] ?? 0)}<br/><b>${formatWhole(value[2] ?? 0)} futures, ${formatChance((value[2] ?? 0) / total)}</b>`,
    },
    xAxis: {
      type: isDate(quantity.name) ? "time" : "value",
      min: axis.min,
      max: axis.max,
      axisLine: { lineStyle: { color: colors.strongLine } },
      axisTick: { show: true, lineStyle: { color: colors.strongLine } },
      splitLine: { show: false },
      splitNumber: 7,
      axisLabel: {
        ...text,
        showMinLabel: false,
        showMaxLabel: false,
        hideOverlap: true,
        formatter: (value: number) => tickLabel(quantity, axis, value),
      },
    },
    yAxis: [
      { type: "value", show: false, min: 0, max: Math.max(...counts) * 1.55 },
      {
        type: "value",
        min: 0,
        max: 100,
        interval: 20,
        position: "right",
        axisLine: { show: false },
        axisTick: { show: false },
        axisLabel: { ...text, formatter: "{value} %" },
        splitLine: { lineStyle: { color: colors.line } },
      },
    ],
    series: [
      { type: "custom", renderItem: bar, data: bins, encode: { x: [0, 1], y: 2 }, clip: true },
      ...(beside ? [curveSeries(beside.curve, { color: colors.softInk, width: 2, type: "dashed" })] : []),
      curveSeries(curve, { color: colors.simulated, width: 2.5 }),
    ],
  };
}

/** Months on an axis of many, days on a short one. */
const tickLabel = (quantity: Quantity, axis: Axis, value: number) => {
  if (!isDate(quantity.name)) return quantity.format(value);
  return axis.max - axis.min > MANY_MONTHS_MS ? formatTick(value) : formatShortDay(value);
};

/** A cumulative curve, from values at even steps of chance. */
const curveSeries = (curve: number[], lineStyle: { color: string; width: number; type?: "dashed" }) => ({
  type: "line" as const,
  yAxisIndex: 1,
  data: curve.map((value, i) => [value, (100 * i) / (curve.length - 1)]),
  showSymbol: false,
  silent: true,
  lineStyle,
});
