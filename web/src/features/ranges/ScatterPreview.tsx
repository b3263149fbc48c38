import { Box, chakra } from "@chakra-ui/react";
import { useCorrelatedPoints } from "../../shared/api/ranges";
import { plotOf } from "../../shared/charts/plot";

const Svg = chakra("svg");
const SIZE = 210;
const PLOT = plotOf({ min: 0, max: 1 }, SIZE, SIZE, { left: 4, right: 4, top: 4, bottom: 4 });

/** What a coefficient looks like: futures as points, early to late. */
export function ScatterPreview({ coefficient }: { coefficient: number }) {
  const points = useCorrelatedPoints(coefficient);
  return (
    <Box width={`${SIZE + 20}px`} flexShrink="0">
      <Svg
        width={SIZE}
        height={SIZE}
        bg="ground"
        borderWidth="1px"
        borderColor="line"
        role="img"
        aria-label={`300 futures of two durations with coefficient ${coefficient}`}
      >
        {(points.data ?? []).map(([x = 0, y = 0], i) => (
          <circle
            key={i}
            cx={PLOT.x(x)}
            cy={PLOT.y(y)}
            r="2"
            fill="var(--chakra-colors-action)"
            fillOpacity="0.55"
          />
        ))}
      </Svg>
      <Box color="softInk" fontSize="12.5px" mt="1">
        300 futures at {coefficient}: one duration from short to long across, the other upwards.
      </Box>
    </Box>
  );
}
