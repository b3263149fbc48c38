import { Box, Flex } from "@chakra-ui/react";
import type { CriticalityRow, CriticalityView } from "../../shared/api/client";
import { formatChance, formatDays, formatOne } from "../../shared/format/numbers";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import { shareOfFutures } from "../../shared/odds/sentences";
import { codeColumn, nameColumn, type PlanColumn } from "../../shared/planGrid/columns";
import { Ring } from "../../shared/ui/Ring";

export type Row = GridRow & CriticalityRow;
export type Order = "share" | "index" | "cruciality" | "near" | "float";
export type Filter = "" | "seldom" | "often" | "near" | "never";

export const ORDERS: { value: Order; label: string }[] = [
  { value: "share", label: "criticality" },
  { value: "index", label: "sensitivity index" },
  { value: "cruciality", label: "cruciality" },
  { value: "near", label: "nearly critical" },
  { value: "float", label: "least mean float" },
];

export const FILTERS: { value: Filter; label: string }[] = [
  { value: "", label: "all that ever drive" },
  { value: "seldom", label: "on the plan's path, but seldom on the futures'" },
  { value: "often", label: "off the plan's path, but often on the futures'" },
  { value: "near", label: "often nearly critical" },
  { value: "never", label: "those that never drive" },
];

const SELDOM = 0.2;
const OFTEN_NEAR = 0.5;

const PASSES: Record<Filter, (row: CriticalityRow) => boolean> = {
  "": ({ share }) => share > 0,
  seldom: ({ planned, share }) => planned && share < SELDOM,
  often: ({ planned, share }) => !planned && share >= SELDOM,
  near: ({ near }) => (near ?? 0) >= OFTEN_NEAR,
  never: ({ share }) => share === 0,
};

const SIZES: Record<Order, (row: CriticalityRow) => number> = {
  share: ({ share }) => share,
  index: ({ index }) => index,
  cruciality: ({ cruciality }) => Math.abs(cruciality),
  near: ({ near }) => near ?? -1,
  float: ({ meanFloat }) => -(meanFloat ?? Infinity),
};

/** Rows that pass a filter, the largest by an order first. */
export const ranked = (rows: readonly CriticalityRow[], order: Order, filter: Filter): Row[] =>
  rows
    .filter(PASSES[filter])
    .map((row) => ({ ...row, depth: 0 }))
    .sort((a, b) => SIZES[order](b) - SIZES[order](a) || b.share - a.share);

const days = (value: number | undefined) => (value === undefined ? "" : formatOne(value));
const share = (value: number | undefined) => (value === undefined ? "" : formatChance(value));

const Drives = ({ of }: { of: number }) => (
  <Flex align="center" gap="2">
    {formatChance(of)}
    <Ring share={of} />
  </Flex>
);

interface Figure {
  id: string;
  title: string;
  word?: string;
  hint: string;
  width: number;
  text: (row: CriticalityRow) => string;
  ring?: boolean;
}

const figures = (view: CriticalityView | undefined): Figure[] => [
  {
    id: "drives",
    title: "Drives",
    word: "criticality",
    hint: "Share of futures in which it lies on a longest path",
    width: 92,
    text: (row) => share(row.share),
    ring: true,
  },
  {
    id: "near",
    title: `≤ ${formatDays(view?.nearDays ?? 0)} d float`,
    word: "nearly critical",
    hint: "Share of futures in which its float is within so many days",
    width: 94,
    text: (row) => share(row.near),
  },
  {
    id: "float",
    title: "Mean float",
    word: "total float",
    hint: "Days by which it could slip without moving the end, over the futures",
    width: 90,
    text: (row) => days(row.meanFloat),
  },
  {
    id: "cruciality",
    title: "Cruciality",
    word: "cruciality",
    hint: "Correlation of its duration with the end",
    width: 88,
    text: (row) => formatDays(row.cruciality),
  },
  {
    id: "index",
    title: "Index",
    word: "sensitivity index",
    hint: "Criticality times its standard deviation over that of the end",
    width: 66,
    text: (row) => formatDays(row.index),
  },
  {
    id: "planned",
    title: "Plan's path",
    word: "longest path",
    hint: "Whether it lies on the plan's longest path",
    width: 88,
    text: (row) => (row.planned ? "yes" : ""),
  },
];

/** The figures as columns of a list. */
export const listColumns = (view: CriticalityView | undefined): Column<Row>[] => [
  { id: "code", title: "Code", width: 62, kept: true, widens: true, soft: true, text: (row) => row.id },
  { id: "name", title: "Activity", width: 260, kept: true, gives: true, text: (row) => row.name },
  ...figures(view).map(({ ring, ...figure }): Column<Row> => ({
    ...figure,
    align: "right",
    render: ring ? (row) => <Drives of={row.share} /> : undefined,
  })),
];

/** The figures as columns beside the plan's rows, where nothing can be edited. */
export function planColumnsOf(view: CriticalityView): PlanColumn[] {
  const byId = new Map(view.rows.map((row) => [row.id, row]));
  const readOnly = (column: PlanColumn): PlanColumn => ({
    ...column,
    edit: undefined,
    editBranch: undefined,
    editNew: undefined,
  });
  return [
    readOnly(codeColumn),
    readOnly(nameColumn(200)),
    ...figures(view)
      .slice(0, 4)
      .map(({ ring, text, ...figure }): PlanColumn => ({
        ...figure,
        align: "right",
        text: (row) => {
          const one = byId.get(row.id);
          return one ? text(one) : "";
        },
        render: ring
          ? (row) => {
              const one = byId.get(row.id);
              return one && <Drives of={one.share} />;
            }
          : undefined,
      })),
  ];
}

/** How often each drove, over how often it was near it. */
export const SHARES: Drawing<Row> = {
  width: 150,
  header: () => null,
  row: (row, width) => (
    <Box
      height={`${ROW_HEIGHT - 1}px`}
      display="flex"
      alignItems="center"
      px="3"
      title={`${shareOfFutures(row.share)}: ${row.name} drove; within the days of float in ${formatChance(row.near ?? 0)}`}
    >
      <Box position="relative" height="8px" width="100%">
        <Box
          position="absolute"
          height="8px"
          bg="simulatedSoft"
          style={{ width: `${Math.max(row.near ?? 0, row.share) * (width - 24)}px` }}
        />
        <Box
          position="absolute"
          top="1px"
          height="6px"
          bg="simulated"
          style={{ width: `${row.share * (width - 24)}px` }}
        />
      </Box>
    </Box>
  ),
};
