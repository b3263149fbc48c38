import { Box, chakra } from "@chakra-ui/react";
import type { CorrelationEffect, FinishHeading } from "../../shared/api/client";
import { FootAxis } from "../../shared/charts/axes";
import { Density } from "../../shared/charts/Density";
import { plotOf } from "../../shared/charts/plot";
import { dateTicks } from "../../shared/charts/roundTicks";
import { civil } from "../../shared/format/dates";

const Svg = chakra("svg");
const WIDTH = 420;
const HEIGHT = 185;
const MARGINS = { left: 8, right: 8, top: 8, bottom: 24 };
const MOST_TICKS = 3;

interface Props {
  effect: CorrelationEffect;
  shown: readonly ("with" | "without")[];
}

/** The finish with and without correlation on one axis: with as a band, without as a line. */
export function TwoDensities({ effect, shown }: Props) {
  const all = [effect.with.finish, effect.without.finish];
  const low = Math.min(...all.map((one) => civil(one.low)));
  const high = Math.max(...all.map((one) => civil(one.high)));
  const plot = plotOf({ min: low, max: high }, WIDTH, HEIGHT, MARGINS);
  // The same area under both, so that the wider one is the lower.
  const area = (one: FinishHeading) =>
    (one.density.reduce((sum, tall) => sum + tall, 0) * (civil(one.high) - civil(one.low))) /
    one.density.length;
  const tallest = Math.max(...all.map((one) => 100 / area(one)));
  const curve = (one: FinishHeading) => ({
    plot,
    heights: one.density.map((tall) => tall / area(one) / tallest),
    from: civil(one.low),
    to: civil(one.high),
    colour: "var(--chakra-colors-simulated)",
  });
  return (
    <Box>
      <Svg
        width={WIDTH}
        height={HEIGHT}
        fontSize="12px"
        role="img"
        aria-label="Finish with and without correlation"
      >
        {shown.includes("with") && <Density {...curve(effect.with.finish)} />}
        {shown.includes("without") && <Density {...curve(effect.without.finish)} look="dashed" />}
        <FootAxis plot={plot} ticks={dateTicks(low, high, MOST_TICKS)} />
      </Svg>
      <Box color="softInk" fontSize="12.5px" textAlign="center">
        band: with; dashes: without
      </Box>
    </Box>
  );
}
