import { Box, Flex } from "@chakra-ui/react";
import { useMemo } from "react";
import type { Criticality } from "../../shared/api/client";
import { formatChance, formatOne, formatWhole } from "../../shared/format/numbers";
import { Grid } from "../../shared/grid/Grid";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import { Notice } from "../../shared/ui/Notice";
import { Ring } from "../../shared/ui/Ring";
import { fading } from "../../shared/ui/fading";
import { shareOfFutures } from "../../shared/odds/sentences";
import { useCriticality } from "./useOdds";
import { oddsKey } from "./oddsKey";

type Row = GridRow & Criticality;

const positive = (days: number) => (days > 0 ? formatOne(days) : "");

const COLUMNS: Column<Row>[] = [
  { id: "code", title: "Code", width: 70, kept: true, soft: true, text: (row) => row.id },
  { id: "name", title: "Activity", width: 280, kept: true, gives: true, text: (row) => row.name },
  {
    id: "drives",
    title: "Drives",
    word: "criticality",
    hint: "Share of futures in which it lies on a longest path",
    width: 92,
    align: "right",
    text: (row) => formatChance(row.share),
    render: (row) => (
      <Flex align="center" gap="2">
        {formatChance(row.share)}
        <Ring share={row.share} />
      </Flex>
    ),
  },
  {
    id: "mean",
    title: "Mean days",
    word: "mean",
    width: 86,
    align: "right",
    text: (row) => positive(row.meanDays),
  },
  {
    id: "sd",
    title: "± sd",
    word: "sd",
    hint: "Standard deviation of its duration, in days",
    width: 70,
    align: "right",
    text: (row) => positive(row.sdDays),
  },
];

const SHARES: Drawing<Row> = {
  width: 160,
  header: () => null,
  row: (row, width) => (
    <Box
      height={`${ROW_HEIGHT - 1}px`}
      display="flex"
      alignItems="center"
      px="3"
      title={`${shareOfFutures(row.share)}: ${row.name} drove the finish`}
    >
      <Box height="6px" bg="simulated" opacity="0.65" style={{ width: `${row.share * (width - 24)}px` }} />
    </Box>
  ),
};

/** How often each activity drove the finish, the most frequent first. */
export function CriticalityTable({ run, onOdds }: { run: string; onOdds: (activity: string) => void }) {
  const rows = useCriticality(run);
  const sorted = useMemo<Row[]>(
    () =>
      [...(rows.data ?? [])]
        .filter((row) => row.share > 0)
        .sort((a, b) => b.share - a.share)
        .map((row) => ({ ...row, depth: 0 })),
    [rows.data],
  );
  if (rows.isError) return <Notice alert>{rows.error.message}</Notice>;
  if (!rows.data) return <Notice>Reading the run…</Notice>;
  const never = rows.data.length - sorted.length;
  return (
    <Flex direction="column" height="100%" pt="4" {...fading(rows.isPlaceholderData)}>
      <Box px="5" fontSize="19px" fontWeight="600">
        {formatWhole(sorted.filter((row) => row.share >= 0.5).length)} activities drive the finish in at least
        half of all futures.
      </Box>
      <Box px="5" color="softInk" mb="2">
        An activity drives the finish of a future when it lies on a longest path there. {formatWhole(never)}{" "}
        never do.
      </Box>
      <Box flex="1" minH="0">
        <Grid
          state="criticality"
          label="Criticality"
          rows={sorted}
          columns={COLUMNS}
          drawing={SHARES}
          keys={oddsKey(onOdds)}
        />
      </Box>
    </Flex>
  );
}
