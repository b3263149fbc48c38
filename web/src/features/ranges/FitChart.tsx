import { Box, chakra, Flex } from "@chakra-ui/react";
import type { EvidenceLook, FitView } from "../../shared/api/client";
import { formatDays } from "../../shared/format/numbers";

const Svg = chakra("svg");
const WIDTH = 430;
const HEIGHT = 190;

interface Props {
  look: EvidenceLook;
  /** The shape drawn in front; the others are drawn pale. */
  chosen: FitView;
}

/** The observed values as a histogram, with the fitted shapes over it. */
export function FitChart({ look, chosen }: Props) {
  const { axisLow: low, axisHigh: high } = look;
  const tallest = Math.max(...look.counts, ...chosen.density);
  const x = (value: number) => ((value - low) / (high - low)) * WIDTH;
  const y = (count: number) => HEIGHT - (Math.min(count, tallest) / tallest) * (HEIGHT - 10);
  const curve = (fit: FitView) =>
    `M${fit.density.map((count, i) => `${((i / (fit.density.length - 1)) * WIDTH).toFixed(1)} ${y(count).toFixed(1)}`).join("L")}`;
  const said = (value: number) => (look.ratios ? `${Math.round(value * 100)} %` : formatDays(value));
  return (
    <Box>
      <Svg width={WIDTH} height={HEIGHT} role="img" aria-label={`Past work and ${chosen.shape}`}>
        {look.counts.map((count, i) => (
          <rect
            key={i}
            x={x(look.edges[i] ?? 0) + 0.5}
            width={Math.max(1, x(look.edges[i + 1] ?? 0) - x(look.edges[i] ?? 0) - 1)}
            y={y(count)}
            height={HEIGHT - y(count)}
            fill="var(--chakra-colors-strong-line)"
          >
            <title>{`${said(look.edges[i] ?? 0)} to ${said(look.edges[i + 1] ?? 0)}: ${count}`}</title>
          </rect>
        ))}
        {look.fits
          .filter((fit) => fit !== chosen)
          .map((fit) => (
            <path
              key={fit.shape}
              d={curve(fit)}
              fill="none"
              stroke="var(--chakra-colors-action)"
              strokeOpacity="0.22"
            />
          ))}
        <path d={curve(chosen)} fill="none" stroke="var(--chakra-colors-action)" strokeWidth="2" />
        {look.ratios && low < 1 && high > 1 && (
          <line x1={x(1)} x2={x(1)} y2={HEIGHT} stroke="var(--chakra-colors-plan)" strokeWidth="1.6" />
        )}
        <line x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} stroke="var(--chakra-colors-strong-line)" />
      </Svg>
      <Flex justify="space-between" color="softInk" fontSize="12.5px">
        <Box>{said(low)}</Box>
        <Box>{look.ratios ? "actual in percent of planned" : "actual values"}</Box>
        <Box>{said(high)}</Box>
      </Flex>
    </Box>
  );
}
