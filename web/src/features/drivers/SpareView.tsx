import { Box, Flex } from "@chakra-ui/react";
import { useMemo, useRef } from "react";
import type { PlanView, SpareRow } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { editedNumber, formatMoney, formatOne, formatWhole, parseNumber } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import { fading } from "../../shared/ui/fading";
import { TextField } from "../../shared/ui/Field";
import { Notice } from "../../shared/ui/Notice";
import type { ViewProps } from "./MovesView";
import { PICTURE_ROOM, RowsPicture } from "./RowsPicture";
import { useThings } from "./toThing";
import { useSpare } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

type Row = GridRow & SpareRow;

const PICTURED = 30;
const days = (value: number) => (value > 0 ? formatOne(value) : "");

/** Where the plan has more time than it needs: nobody likes to be told only where more is needed. */
export function SpareView({ plan, run, look }: ViewProps) {
  const level = look.level === undefined ? undefined : Math.max(1, Math.min(99, Math.round(look.level)));
  const spare = useSpare(run, level);
  const chart = useRef<HTMLDivElement>(null);
  const things = useThings(plan);
  const rows = useMemo<Row[]>(
    () => (spare.data?.rows ?? []).map((row) => ({ ...row, depth: 0 })),
    [spare.data],
  );
  const columns = useMemo(() => columnsOf(plan, spare.data?.level ?? 0), [plan, spare.data?.level]);
  const drawing = useMemo(() => drawingOf(rows), [rows]);
  if (spare.isError) return <Notice alert>{refusalOf(spare.error)}</Notice>;
  if (!spare.data) return <Notice>Looking for time that no future needs…</Notice>;
  const view = spare.data;
  const title = sentence(view.rows, view.level, plan);
  const most = mostOf(rows);
  const wide = (value: number) => (value / most) * (PICTURE_ROOM[1] - PICTURE_ROOM[0]);
  return (
    <Flex direction="column" height="100%" pt="3" {...fading(view.run !== run)}>
      <ViewHeading
        px="5"
        name="too much time"
        title={title}
        chart={chart}
        table={() => table(view.rows)}
        letter={title}
      />
      <Flex px="5" py="1.5" gap="5" align="center" color="softInk">
        <Box flex="1">
          An activity has time to give back where its planned duration is kept with more than the confidence
          asked for, risks included. Float that no future uses, of {formatWhole(view.floatFutures)} looked at,
          is slack that other work could have.
        </Box>
        <Box width="230px" flexShrink="0">
          <TextField
            label="To be kept with, %"
            name="level"
            value={editedNumber(view.level)}
            onHandIn={(text) => {
              const percent = parseNumber(text.replace(/[p%\s]/gi, ""));
              if (percent === undefined || percent < 1 || percent > 99 || percent !== Math.round(percent))
                return `A whole percentage from 1 to 99 is needed, not “${text}”.`;
              look.set({ level: percent });
              return undefined;
            }}
          />
        </Box>
      </Flex>
      <Box flex="1" minH="0">
        <Grid
          state={`spare ${plan.project.id}`}
          label="Time to spare"
          rows={rows}
          columns={columns}
          drawing={drawing}
          keys={(event, { row }) => {
            if (!event.altKey || event.key !== "Enter" || !row) return false;
            things.ofActivity(row.id)[0]?.go();
            return true;
          }}
        />
      </Box>
      <RowsPicture
        ref={chart}
        rows={rows
          .slice(0, PICTURED)
          .map((row) => ({ ...row, code: row.id, text: days(row.giveBack || row.leastFloat) }))}
        ticks={[]}
        draw={(row, y) => (
          <g>
            <rect
              x={PICTURE_ROOM[0]}
              width={wide(row.giveBack)}
              y={y - 6}
              height="7"
              fill="var(--chakra-colors-action)"
              opacity="0.6"
            />
            <rect
              x={PICTURE_ROOM[0]}
              width={wide(row.leastFloat)}
              y={y + 2}
              height="4"
              fill="var(--chakra-colors-simulated-soft)"
            />
          </g>
        )}
      />
    </Flex>
  );
}

function sentence(rows: readonly SpareRow[], level: number, plan: PlanView): string {
  const giving = rows.filter(({ giveBack }) => giveBack > 0);
  const beyond = rows.filter((row) => row.beyond > 0).length;
  const idle = rows.filter(({ leastFloat }) => leastFloat > 0).length;
  const money = giving.reduce((sum, row) => sum + row.money, 0);
  const float = `${formatWhole(idle)} ${idle === 1 ? "activity has" : "activities have"} float that no future uses.`;
  if (giving.length === 0) return `No activity is planned longer than P${level} of what it takes. ${float}`;
  const whole = giving.reduce((sum, row) => sum + row.giveBack, 0);
  const cost = money >= 1 ? `, worth ${formatMoney(money, plan.project.currency)}` : "";
  return `${formatWhole(giving.length)} ${giving.length === 1 ? "activity could" : "activities could"} give back ${formatOne(whole)} days at P${level}${cost}${beyond > 0 ? `; ${formatWhole(beyond)} of them are planned beyond their own P90` : ""}. ${float}`;
}

const columnsOf = (plan: PlanView, level: number): Column<Row>[] => [
  { id: "code", title: "Code", width: 62, kept: true, widens: true, soft: true, text: (row) => row.id },
  { id: "name", title: "Activity", width: 280, kept: true, gives: true, text: (row) => row.name },
  {
    id: "planned",
    title: "Planned, days",
    hint: "Still to be worked",
    width: 104,
    align: "right",
    text: (row) => formatOne(row.planned),
  },
  {
    id: "giveBack",
    title: "To give back",
    word: "give back",
    hint: `Days of the planned duration that P${level} of it does not need`,
    width: 102,
    align: "right",
    text: (row) => days(row.giveBack),
  },
  {
    id: "beyond",
    title: "Beyond P90",
    hint: "Days planned beyond the P90 of its own estimate",
    width: 94,
    align: "right",
    text: (row) => days(row.beyond),
  },
  {
    id: "money",
    title: "Worth",
    hint: "What the plan would cost less without the days to give back",
    width: 84,
    align: "right",
    text: (row) => (row.money >= 1 ? formatMoney(row.money, plan.project.currency) : ""),
  },
  {
    id: "float",
    title: "Unused float",
    word: "total float",
    hint: "Days of float that are left in every future",
    width: 100,
    align: "right",
    text: (row) => days(row.leastFloat),
  },
];

/** The most days of either. */
const mostOf = (rows: readonly Row[]) =>
  Math.max(1, ...rows.flatMap(({ giveBack, leastFloat }) => [giveBack, leastFloat]));

/** Days to give back and float that no future uses, on one axis. */
function drawingOf(rows: readonly Row[]): Drawing<Row> {
  const most = mostOf(rows);
  return {
    width: 200,
    header: () => null,
    row: (row, width) => {
      const wide = (value: number) => `${(value / most) * (width - 24)}px`;
      return (
        <Flex direction="column" justify="center" gap="2px" height={`${ROW_HEIGHT - 1}px`} px="3">
          <Box height="7px" bg="action" opacity="0.6" style={{ width: wide(row.giveBack) }} />
          <Box height="4px" bg="simulatedSoft" style={{ width: wide(row.leastFloat) }} />
        </Flex>
      );
    },
  };
}

const table = (rows: readonly SpareRow[]) => ({
  columns: ["Code", "Activity", "Planned days", "To give back", "Beyond P90", "Worth", "Unused float, days"],
  rows: rows.map((row) => [
    row.id,
    row.name,
    row.planned,
    row.giveBack,
    row.beyond,
    row.money,
    row.leastFloat,
  ]),
});
