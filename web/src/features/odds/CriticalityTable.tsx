import { Box, chakra, Flex } from "@chakra-ui/react";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useMemo, useRef } from "react";
import { formatChance, formatOne, formatWhole } from "../../shared/format/numbers";
import { Notice } from "../../shared/ui/Notice";
import { Ring } from "../../shared/ui/Ring";
import { fading } from "./fading";
import { shareOfFutures } from "./sentences";
import { useCriticality } from "./useOdds";

const Bar = chakra("div");
const ROW = 30;
const COLUMNS = "64px minmax(160px, 330px) 92px minmax(120px, 1fr) 90px 80px";

/** How often each activity drove the finish, the most frequent first. */
export function CriticalityTable({ run }: { run: string }) {
  const rows = useCriticality(run);
  const scroller = useRef<HTMLDivElement>(null);
  const sorted = useMemo(
    () => [...(rows.data ?? [])].filter((row) => row.share > 0).sort((a, b) => b.share - a.share),
    [rows.data],
  );
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
  });
  if (rows.isError) return <Notice alert>{rows.error.message}</Notice>;
  if (!rows.data) return <Notice>Reading the run…</Notice>;
  const never = rows.data.length - sorted.length;
  return (
    <Flex direction="column" height="100%" px="5" pt="4" {...fading(rows.isPlaceholderData)}>
      <Box fontSize="19px" fontWeight="600">
        {formatWhole(sorted.filter((row) => row.share >= 0.5).length)} activities drive the finish in at least
        half of all futures.
      </Box>
      <Box color="softInk" mb="2">
        An activity drives the finish of a future when it lies on a longest path there. {formatWhole(never)}{" "}
        never do.
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={COLUMNS}
        color="softInk"
        fontSize="12.5px"
        pb="1"
        borderBottomWidth="1px"
        borderColor="strongLine"
      >
        <Box>Code</Box>
        <Box>Activity</Box>
        <Box textAlign="right" pr="7">
          Drives
        </Box>
        <Box />
        <Box textAlign="right">Mean days</Box>
        <Box textAlign="right">± sd</Box>
      </Box>
      <Box
        ref={scroller}
        flex="1"
        overflow="auto"
        role="table"
        aria-label="Criticality"
        aria-rowcount={sorted.length}
      >
        <Box position="relative" height={`${virtual.getTotalSize()}px`}>
          {virtual.getVirtualItems().map((item) => {
            const row = sorted[item.index];
            return (
              row && (
                <Box
                  key={row.id}
                  role="row"
                  aria-rowindex={item.index + 1}
                  data-row={row.id}
                  title={`${shareOfFutures(row.share)}: ${row.name} drove the finish`}
                  position="absolute"
                  width="100%"
                  height={`${ROW}px`}
                  style={{ transform: `translateY(${item.start}px)` }}
                  display="grid"
                  gridTemplateColumns={COLUMNS}
                  alignItems="center"
                  borderBottomWidth="1px"
                  borderColor="line"
                >
                  <Box role="cell" color="softInk">
                    {row.id}
                  </Box>
                  <Box role="cell" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
                    {row.name}
                  </Box>
                  <Flex role="cell" justify="flex-end" align="center" gap="2">
                    {formatChance(row.share)}
                    <Ring share={row.share} />
                  </Flex>
                  <Box pl="4" aria-hidden="true">
                    <Bar
                      height="6px"
                      bg="simulated"
                      opacity="0.65"
                      style={{ width: `${row.share * 100}%` }}
                    />
                  </Box>
                  <Box role="cell" textAlign="right">
                    {row.meanDays > 0 && formatOne(row.meanDays)}
                  </Box>
                  <Box role="cell" textAlign="right" color="softInk">
                    {row.sdDays > 0 && formatOne(row.sdDays)}
                  </Box>
                </Box>
              )
            );
          })}
        </Box>
      </Box>
    </Flex>
  );
}
