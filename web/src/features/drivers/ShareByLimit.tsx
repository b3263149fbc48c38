import { Box } from "@chakra-ui/react";
import type { PathsView } from "../../shared/api/client";
import { formatChance } from "../../shared/format/numbers";
import { ChartTable } from "../../shared/charts/ChartTable";
import { drawnPaths } from "./river";

const WIDTH = 330;
const HEIGHT = 92;
const FOOT = 18;
const LEFT = 4;

/** How the shares of the paths move as one looks at ever later futures. */
export function ShareByLimit({ view, chosen }: { view: PathsView; chosen: number }) {
  const paths = drawnPaths(view.paths);
  const most = Math.max(0.1, ...paths.flatMap(({ beyond }) => beyond));
  const x = (i: number) => LEFT + ((WIDTH - 2 * LEFT) * i) / (view.levels.length - 1);
  const y = (share: number) => (HEIGHT - FOOT) * (1 - share / most) + 2;
  const own = paths.find(({ number }) => number === chosen);
  return (
    <Box>
      <Box fontWeight="650" mb="1">
        Its share among ever later futures
      </Box>
      <svg
        width={WIDTH}
        height={HEIGHT}
        fontSize="11.5"
        fill="var(--chakra-colors-soft-ink)"
        aria-hidden="true"
      >
        {paths.map(({ number, beyond }) => (
          <path
            key={number}
            d={`M${beyond.map((share, i) => `${x(i)} ${y(share)}`).join("L")}`}
            fill="none"
            stroke={number === chosen ? "var(--chakra-colors-simulated)" : "var(--chakra-colors-strong-line)"}
            strokeWidth={number === chosen ? 2.4 : 1.3}
          />
        ))}
        <text x={LEFT} y={HEIGHT - 3}>
          all futures
        </text>
        <text x={WIDTH - LEFT} y={HEIGHT - 3} textAnchor="end">
          the latest tenth
        </text>
      </svg>
      {own && (
        <Box color="softInk">
          From {formatChance(own.beyond[0] ?? 0)} of all futures to {formatChance(own.beyond.at(-1) ?? 0)} of
          the latest tenth.
        </Box>
      )}
      <ChartTable
        caption="Share of each path among the futures beyond a percentile"
        columns={["Path", ...view.levels.map((level) => `P${level}`)]}
        rows={paths.map(({ number, beyond }) => [`${number}`, ...beyond.map(formatChance)])}
      />
    </Box>
  );
}
