import { Box, chakra } from "@chakra-ui/react";
import type { EvidenceLook, FitView } from "../../shared/api/client";
import { FootAxis } from "../../shared/charts/axes";
import { ChartTable } from "../../shared/charts/ChartTable";
import { Density } from "../../shared/charts/Density";
import { Bars } from "../../shared/charts/Histogram";
import { plotOf } from "../../shared/charts/plot";
import { roundTicks } from "../../shared/charts/roundTicks";
import { formatDays } from "../../shared/format/numbers";

const Svg = chakra("svg");
const WIDTH = 430;
const HEIGHT = 205;
const MARGINS = { left: 20, right: 20, top: 8, bottom: 24 };
const MOST_TICKS = 5;

interface Props {
  look: EvidenceLook;
  /** The shape drawn in front; the others are drawn pale. */
  chosen: FitView;
}

/** The observed values as a histogram, with the fitted shapes over it. */
export function FitChart({ look, chosen }: Props) {
  const { axisLow: low, axisHigh: high } = look;
  const most = Math.max(...look.counts);
  const tallest = Math.max(most, ...chosen.density);
  const plot = plotOf({ min: low, max: high }, WIDTH, HEIGHT, MARGINS);
  const said = (value: number) => (look.ratios ? `${Math.round(value * 100)} %` : formatDays(value));
  const curve = (fit: FitView) => ({
    plot,
    heights: fit.density.map((count) => Math.min(1, count / tallest)),
    from: low,
    to: high,
    colour: "var(--chakra-colors-action)",
  });
  return (
    <Box>
      <Svg
        width={WIDTH}
        height={HEIGHT}
        fontSize="12px"
        role="img"
        aria-label={`Past work and ${chosen.shape}`}
      >
        <Bars
          plot={plot}
          edges={look.edges}
          counts={look.counts}
          headroom={tallest / most}
          words={(from, to, count) => `${said(from)} to ${said(to)}: ${count}`}
        />
        {look.fits
          .filter((fit) => fit !== chosen)
          .map((fit) => (
            <Density key={fit.shape} {...curve(fit)} look="pale" />
          ))}
        <Density {...curve(chosen)} look="line" />
        {look.ratios && low < 1 && high > 1 && (
          <path
            d={`M${plot.x(1)} ${plot.top}V${plot.bottom}`}
            stroke="var(--chakra-colors-plan)"
            strokeWidth="1.6"
          />
        )}
        <FootAxis
          plot={plot}
          ticks={roundTicks(low, high, MOST_TICKS).map((value) => ({ value, label: said(value) }))}
        />
      </Svg>
      <ChartTable
        caption="How often past work took how much"
        columns={["From", "To", "How often"]}
        rows={look.counts.map((count, i) => [
          said(look.edges[i] ?? 0),
          said(look.edges[i + 1] ?? 0),
          String(count),
        ])}
      />
      <Box color="softInk" fontSize="12.5px" textAlign="center">
        {look.ratios ? "actual in percent of planned" : "actual values"}
      </Box>
    </Box>
  );
}
