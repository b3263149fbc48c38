import { Box, chakra, Flex } from "@chakra-ui/react";
import type { CorrelationEffect, FinishHeading } from "../../shared/api/client";
import { civil, formatDay } from "../../shared/format/dates";

const Svg = chakra("svg");
const WIDTH = 420;
const HEIGHT = 170;

interface Props {
  effect: CorrelationEffect;
  shown: readonly ("with" | "without")[];
}

/** The finish with and without correlation on one axis: with as a band, without as a line. */
export function TwoDensities({ effect, shown }: Props) {
  const all = [effect.with.finish, effect.without.finish];
  const low = Math.min(...all.map((one) => civil(one.low)));
  const high = Math.max(...all.map((one) => civil(one.high)));
  const x = (time: number) => ((time - low) / (high - low)) * WIDTH;
  // The same area under both, so that the wider one is the lower.
  const area = (one: FinishHeading) =>
    (one.density.reduce((sum, tall) => sum + tall, 0) * (civil(one.high) - civil(one.low))) /
    one.density.length;
  const tallest = Math.max(...all.map((one) => 100 / area(one)));
  const path = (one: FinishHeading) =>
    one.density
      .map((tall, i) => {
        const at = civil(one.low) + ((civil(one.high) - civil(one.low)) * i) / (one.density.length - 1);
        return `${x(at).toFixed(1)} ${(HEIGHT - ((HEIGHT - 8) * tall) / area(one) / tallest).toFixed(1)}`;
      })
      .join("L");
  return (
    <Box>
      <Svg width={WIDTH} height={HEIGHT} role="img" aria-label="Finish with and without correlation">
        <line x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} stroke="var(--chakra-colors-strong-line)" />
        {shown.includes("with") && (
          <path
            d={`M${path(effect.with.finish)}`}
            fill="var(--chakra-colors-simulated)"
            fillOpacity="0.22"
            stroke="var(--chakra-colors-simulated)"
          />
        )}
        {shown.includes("without") && (
          <path
            d={`M${path(effect.without.finish)}`}
            fill="none"
            stroke="var(--chakra-colors-simulated)"
            strokeDasharray="4 3"
            strokeWidth="1.6"
          />
        )}
      </Svg>
      <Flex justify="space-between" color="softInk" fontSize="12.5px">
        <Box>{formatDay(low)}</Box>
        <Box>band: with; dashes: without</Box>
        <Box>{formatDay(high)}</Box>
      </Flex>
    </Box>
  );
}
