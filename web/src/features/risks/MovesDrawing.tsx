import { Box } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";
import type { RiskMoves } from "../../shared/api/client";
import { Mark } from "../../shared/charts/marks";
import { changeWords, formatDays, formatOne, formatSigned, formatWhole } from "../../shared/format/numbers";
import { HEADER_HEIGHT } from "../../shared/grid/GridHeader";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Drawing } from "../../shared/grid/types";
import { axisOf, placesOf, type RegisterRow } from "./register";

const EDGE = 18;
const EACH_TICK = 64;
const MIDDLE = (ROW_HEIGHT - 1) / 2;

/** What each risk moves on one axis of days: filled as it stands, hollow after its response, with the way between. */
export function movesDrawing(rows: RegisterRow[], level: number, futures: number): Drawing<RegisterRow> {
  const domain = axisOf(rows);
  const isKnown = rows.some((row) => row.moves);
  const scaleOf = (width: number) => scaleLinear(domain, [EDGE, width - EDGE]);
  return {
    width: 300,
    header: (width) => {
      const scale = scaleOf(width);
      return (
        <svg width={width} height={HEADER_HEIGHT} fontSize="11" fill="var(--chakra-colors-soft-ink)">
          <text x={EDGE - 10} y="13">
            What it moves: days on the P{level} finish
            {futures > 0 && `, by ${formatWhole(futures)} futures`}
          </text>
          {isKnown &&
            scale.ticks(Math.max(2, width / EACH_TICK)).map((tick) => (
              <text key={tick} x={scale(tick)} y={HEADER_HEIGHT - 6} textAnchor="middle">
                {formatSigned(tick, formatDays)}
              </text>
            ))}
        </svg>
      );
    },
    behind: (width, height) => {
      const zero = scaleOf(width)(0);
      return (
        <svg width={width} height={height}>
          <line
            x1={zero}
            x2={zero}
            y1="0"
            y2={height}
            stroke="var(--chakra-colors-soft-ink)"
            strokeOpacity="0.6"
          />
        </svg>
      );
    },
    row: (row, width) =>
      row.moves && <Moves row={row} moves={row.moves} level={level} scale={scaleOf(width)} width={width} />,
  };
}

interface MovesProps {
  row: RegisterRow;
  moves: RiskMoves;
  level: number;
  scale: (days: number) => number;
  width: number;
}

function Moves({ row, moves, level, scale, width }: MovesProps) {
  const kind = row.risk?.kind === "opportunity" ? "opportunity" : "threat";
  const colour = `var(--chakra-colors-${kind === "threat" ? "risk" : "action"})`;
  const zero = scale(0);
  const places = placesOf(row);
  const now = scale(places?.now ?? 0);
  const after = places?.other === undefined ? undefined : scale(places.other);
  return (
    <Box title={movesSentence(row, moves, level)} height={`${ROW_HEIGHT - 1}px`}>
      <svg width={width} height={ROW_HEIGHT - 1} aria-hidden>
        <rect
          x={Math.min(zero, now)}
          width={Math.abs(now - zero)}
          y={MIDDLE - 4}
          height="8"
          fill={colour}
          opacity="0.35"
        />
        {after !== undefined && (
          <>
            <line x1={now} x2={after} y1={MIDDLE} y2={MIDDLE} stroke={colour} strokeWidth="1.5" />
            <Mark kind={kind} x={after} y={MIDDLE} hollow />
          </>
        )}
        <Mark kind={kind} x={now} y={MIDDLE} />
      </svg>
    </Box>
  );
}

/** What a risk moves, in a sentence, with how well that is known. */
export function movesSentence(row: RegisterRow, { moved, response }: RiskMoves, level: number): string {
  const now = `${row.risk?.title}: ${changeWords(moved.days, moved.daysError, formatOne)} working days on the P${level} finish`;
  if (!response) return now;
  const other = formatSigned(placesOf(row)?.other ?? 0, formatOne);
  return row.risk?.response?.decided
    ? `${now}; without the response that is decided on ${other}`
    : `${now}; after its response ${other}`;
}
