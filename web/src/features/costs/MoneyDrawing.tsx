import { Box, chakra } from "@chakra-ui/react";
import { formatAmount, formatMoney } from "../../shared/format/numbers";
import { roundTicks } from "../../shared/charts/roundTicks";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { PlanDrawing } from "../../shared/planGrid/PlanGrid";
import type { Row } from "../../shared/planGrid/rows";
import type { Money } from "./money";

const Svg = chakra("svg");
const LEFT = 12;
const ROOM = 1.18;
const BASE = ROW_HEIGHT - 10;
const TALLEST = ROW_HEIGHT - 15;
const BAR = 5;

const scaleOf = (width: number, most: number) => (amount: number) =>
  LEFT + (amount / (most * ROOM)) * (width - LEFT);

/** Money row by row on one axis: what is due anyway and what grows with time as planned, and what futures make of it over that. */
export function moneyDrawing(
  money: ReadonlyMap<string, Money>,
  most: number,
  currency: string,
  level: number,
): PlanDrawing {
  const ticks = (width: number) =>
    most > 0 ? roundTicks(0, most * ROOM, Math.max(2, Math.floor(width / 90))) : [];
  return {
    width: 300,
    header: (width) => (
      <Box position="absolute" inset="0" fontSize="12px" color="softInk">
        <Box position="absolute" top="2px" left="3" whiteSpace="nowrap">
          Planned, and simulated over it
        </Box>
        {ticks(width).map((value) => (
          <Box
            key={value}
            position="absolute"
            bottom="2px"
            left={`${scaleOf(width, most)(value)}px`}
            transform={value === 0 ? undefined : "translateX(-50%)"}
          >
            {value === 0 ? "0" : formatMoney(value, currency).replace(/\.0+(?=[a-z]|$)/i, "")}
          </Box>
        ))}
      </Box>
    ),
    behind: (width, height) => (
      <Svg width={width} height={height} display="block">
        {ticks(width).map((value) => (
          <line
            key={value}
            x1={scaleOf(width, most)(value)}
            x2={scaleOf(width, most)(value)}
            y2={height}
            stroke="var(--chakra-colors-line)"
          />
        ))}
      </Svg>
    ),
    row: (row, width) => {
      const one = money.get(row.id);
      return one && most > 0 ? (
        <MoneyBars
          row={row}
          money={one}
          x={scaleOf(width, most)}
          width={width}
          currency={currency}
          level={level}
        />
      ) : null;
    },
  };
}

interface Props {
  row: Row;
  money: Money;
  x: (amount: number) => number;
  width: number;
  currency: string;
  level: number;
}

function MoneyBars({ row, money, x, width, currency, level }: Props) {
  const { planned, fixed, simulated } = money;
  const said = `${formatMoney(planned, currency, true)} planned, ${formatMoney(fixed, currency, true)} of it due anyway${
    simulated ? `; P${level} ${formatMoney(simulated.at, currency, true)}` : ""
  }`;
  if (row.kind === "branch")
    return (
      <svg width={width} height={ROW_HEIGHT} style={{ display: "block" }} aria-hidden="true">
        <path
          d={`M${x(0)} ${BASE - 2}V${BASE - 8}H${Math.min(x(planned), width - 1)}${x(planned) < width ? `V${BASE - 2}` : ""}`}
          fill="none"
          stroke="var(--chakra-colors-ink)"
        />
        <title>{said}</title>
      </svg>
    );
  if (row.kind === "activity") return null;
  return (
    <svg width={width} height={ROW_HEIGHT} style={{ display: "block" }} aria-hidden="true">
      {simulated && simulated.heights.length > 0 && (
        <path
          d={outline(simulated.low, simulated.high, simulated.heights, x)}
          fill="var(--chakra-colors-simulated)"
          fillOpacity="0.3"
          stroke="var(--chakra-colors-simulated)"
        />
      )}
      {simulated && (
        <path
          d={`M${x(simulated.at)} ${BASE}V${BASE - 12}`}
          stroke="var(--chakra-colors-ink)"
          strokeWidth="2"
        />
      )}
      <rect
        x={x(Math.min(0, fixed))}
        y={BASE + 2}
        width={Math.abs(x(fixed) - x(0))}
        height={BAR}
        fill="var(--chakra-colors-plan)"
      />
      <rect
        x={Math.min(x(fixed), x(planned))}
        y={BASE + 2}
        width={Math.abs(x(planned) - x(fixed))}
        height={BAR}
        fill="var(--chakra-colors-plan)"
        fillOpacity="0.45"
      />
      <title>{said}</title>
    </svg>
  );
}

function outline(
  low: number,
  high: number,
  heights: readonly number[],
  x: (amount: number) => number,
): string {
  const step = (high - low) / heights.length;
  const points = heights.map(
    (height, i) => `${x(low + (i + 0.5) * step).toFixed(1)} ${(BASE - (TALLEST * height) / 100).toFixed(1)}`,
  );
  return `M${x(low).toFixed(1)} ${BASE}L${points.join("L")}L${x(high).toFixed(1)} ${BASE}Z`;
}

/** Money in a cell: 84k, 4.4m; nothing where there is none. */
export const cellMoney = (amount: number | undefined) =>
  amount === undefined || amount === 0 ? "" : formatAmount(amount);
