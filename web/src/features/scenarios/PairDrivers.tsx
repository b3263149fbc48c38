import { Box } from "@chakra-ui/react";
import { useMemo } from "react";
import type { TwoDriversRow } from "../../shared/api/client";
import { MARK_COLOURS, type MarkKind } from "../../shared/charts/marks";
import { Grid } from "../../shared/grid/Grid";
import { HEADER_HEIGHT } from "../../shared/grid/GridHeader";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import { formatDays, formatMoney, formatSigned } from "../../shared/format/numbers";
import type { Stroke } from "./scenarioLook";

type Row = GridRow & TwoDriversRow;
const MOST = 60;
const EDGE = 12;

interface Props {
  project: string;
  rows: readonly TwoDriversRow[];
  names: [string, string];
  strokes: [Stroke | undefined, Stroke | undefined];
  money: boolean;
  currency: string;
}

/** What swings the finish or the cost in two scenarios, input by input. */
export function PairDrivers({ project, rows, names, strokes, money, currency }: Props) {
  const shown = useMemo<Row[]>(
    () => rows.slice(0, MOST).map((row) => ({ ...row, code: row.id, id: row.key, depth: 0 })),
    [rows],
  );
  const columns = useMemo<Column<Row>[]>(() => {
    const tell = (swing: number | undefined) =>
      swing === undefined
        ? ""
        : formatSigned(
            money ? swing : Math.round(swing * 10) / 10,
            money ? (value) => formatMoney(value, currency) : formatDays,
          );
    return [
      { id: "name", title: "Input", width: 260, kept: true, gives: true, text: (row) => row.name },
      {
        id: "one",
        title: names[0],
        hint: "By how much it swings from its lowest to its highest tenth",
        width: 110,
        align: "right",
        text: (row) => tell(row.one),
      },
      { id: "other", title: names[1], width: 110, align: "right", text: (row) => tell(row.other) },
    ];
  }, [names, money, currency]);
  const drawing = useMemo<Drawing<Row>>(() => {
    const most = Math.max(1e-9, ...rows.flatMap((row) => [Math.abs(row.one ?? 0), Math.abs(row.other ?? 0)]));
    const x = (swing: number | undefined, width: number) =>
      (Math.abs(swing ?? 0) / most) * (width - 2 * EDGE);
    return {
      width: 240,
      header: (width) => (
        <svg width={width} height={HEADER_HEIGHT} fontSize="12" fill="var(--chakra-colors-soft-ink)">
          <text x={EDGE} y={HEADER_HEIGHT - 8}>
            {money ? "swing in money" : "swing in working days"}
          </text>
        </svg>
      ),
      row: (row, width) => (
        <svg width={width} height={ROW_HEIGHT} aria-hidden="true">
          {[row.one, row.other].map((swing, i) => (
            <rect
              key={i}
              x={EDGE}
              y={6 + i * 10}
              width={Math.max(swing === undefined ? 0 : 1, x(swing, width))}
              height="7"
              fill={strokes[i]?.colour ?? MARK_COLOURS[row.mark as MarkKind]}
            />
          ))}
        </svg>
      ),
    };
  }, [rows, strokes, money]);
  return (
    <Box height="100%">
      <Grid
        state={`scenario drivers ${project}`}
        label="What drives two scenarios"
        rows={shown}
        columns={columns}
        drawing={drawing}
      />
    </Box>
  );
}
