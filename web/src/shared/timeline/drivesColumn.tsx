import { Flex } from "@chakra-ui/react";
import type { Span } from "../api/client";
import { formatWhole } from "../format/numbers";
import type { PlanColumn } from "../planGrid/columns";
import { Ring } from "../ui/Ring";

/** How often each activity drove the finish in the last recorded run. */
export function drivesColumn(simulated: ReadonlyMap<string, Span>): PlanColumn {
  return {
    id: "drives",
    title: "Drives",
    word: "criticality",
    hint: "In how many of 100 simulated futures it drove the finish",
    width: 70,
    align: "right",
    text: (row) => {
      const span = simulated.get(row.id);
      return span ? inHundred(span.criticality) : "";
    },
    render: (row) => {
      const span = simulated.get(row.id);
      return (
        span && (
          <Flex gap="1.5" align="center" whiteSpace="nowrap">
            {inHundred(span.criticality)}
            <Ring share={span.criticality} />
          </Flex>
        )
      );
    },
  };
}

/** Whole percents; what happens at all never reads as nothing. */
function inHundred(share: number): string {
  return share > 0 && share < 0.005 ? "<1 %" : `${formatWhole(share * 100)} %`;
}
