import { Box } from "@chakra-ui/react";
import type { ReactNode, Ref } from "react";
import { Mark, type MarkKind } from "../../shared/charts/marks";

const WIDTH = 1000;
const NAMES = 430;
const VALUES = 100;
const LINE = 26;
const HEAD = 30;
const LONGEST = 56;

/** Where the drawing of a row may lie, from the left. */
export const PICTURE_ROOM: [number, number] = [NAMES + 20, WIDTH - VALUES - 20];

/** A row of a picture. */
export interface PicturedRow {
  id: string;
  code: string;
  name: string;
  mark?: string;
  /** What stands at its right. */
  text: string;
}

interface Props<R extends PicturedRow> {
  ref: Ref<HTMLDivElement>;
  rows: readonly R[];
  /** Round values of the common axis, and where they lie. */
  ticks: readonly { x: number; label: string }[];
  draw: (row: R, y: number) => ReactNode;
}

/** A list with what is drawn beside it as one drawing, out of sight, for pictures that are taken out. */
export function RowsPicture<R extends PicturedRow>({ ref, rows, ticks, draw }: Props<R>) {
  const height = HEAD + rows.length * LINE + 10;
  return (
    <Box ref={ref} position="absolute" left="-9999px" top="0" width={`${WIDTH}px`} aria-hidden="true">
      <svg width={WIDTH} height={height} fontSize="13" fill="var(--chakra-colors-ink)">
        {ticks.map(({ x, label }) => (
          <g key={label}>
            <line x1={x} x2={x} y1={HEAD - 6} y2={height} stroke="var(--chakra-colors-line)" />
            <text x={x} y={HEAD - 12} textAnchor="middle" fill="var(--chakra-colors-soft-ink)">
              {label}
            </text>
          </g>
        ))}
        {rows.map((row, i) => {
          const y = HEAD + i * LINE + LINE / 2;
          return (
            <g key={row.id}>
              <text x="8" y={y + 4} fill="var(--chakra-colors-soft-ink)">
                {row.code}
              </text>
              {row.mark && <Mark kind={row.mark as MarkKind} x={78} y={y} size={4.6} />}
              <text x="92" y={y + 4}>
                {row.name.length > LONGEST ? `${row.name.slice(0, LONGEST - 1)}…` : row.name}
              </text>
              {draw(row, y)}
              <text x={WIDTH - 8} y={y + 4} textAnchor="end">
                {row.text}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

/** Ticks of an axis of shares. */
export const SHARE_TICKS = [0, 0.25, 0.5, 0.75, 1].map((share) => ({
  x: PICTURE_ROOM[0] + share * (PICTURE_ROOM[1] - PICTURE_ROOM[0]),
  label: `${share * 100} %`,
}));

/** Where a share lies along that axis. */
export const shareX = (share: number) => PICTURE_ROOM[0] + share * (PICTURE_ROOM[1] - PICTURE_ROOM[0]);
