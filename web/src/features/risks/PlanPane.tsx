import { Box, Flex } from "@chakra-ui/react";
import { useMemo } from "react";
import type { PlanView } from "../../shared/api/client";
import { useLiveSpans } from "../../shared/api/live";
import type { OwnKeys } from "../../shared/grid/types";
import {
  type BoundColumn,
  codeColumn,
  daysColumn,
  nameColumn,
  type PlanColumn,
} from "../../shared/planGrid/columns";
import { PlanGrid } from "../../shared/planGrid/PlanGrid";
import type { Row } from "../../shared/planGrid/rows";
import { useSimulated, useTimeline } from "../../shared/timeline/useTimeline";

interface Props {
  plan: PlanView;
  /** What is said above it. */
  hint: string;
  /** Rows that the selected risk hits, or that something is held over. */
  lit: ReadonlySet<string>;
  onAssign: (rows: string[]) => void;
}

const gripped: PlanColumn = {
  ...codeColumn,
  render: (row) => (
    <span data-grip={row.id} style={{ cursor: "grab", touchAction: "none" }} title="Drag onto a risk">
      {codeColumn.text(row)}
    </span>
  ),
};
const COLUMNS = [gripped, nameColumn(280), daysColumn];

/** The plan beside the register: what a risk hits lights up, and rows take risks that are dropped on them. */
export function PlanPane({ plan, hint, lit, onAssign }: Props) {
  const live = useLiveSpans(plan.project.id, plan.project.revision);
  const simulated = useSimulated(live.spans, !live.current);
  const { drawing } = useTimeline(plan, live.spans, simulated, "whole");
  const keys = useMemo<OwnKeys<Row, BoundColumn>>(
    () => (event, at) => {
      if (!event.altKey || event.key.toLowerCase() !== "a") return false;
      onAssign(at.selected());
      return true;
    },
    [onAssign],
  );
  return (
    <Flex direction="column" height="42%" minH="180px" borderTopWidth="1px" borderColor="strongLine">
      <Box px="3" py="1" color="softInk" truncate>
        {hint}
      </Box>
      <Box flex="1" minH="0" data-takes="rows">
        <PlanGrid
          plan={plan}
          label="The plan beside the register"
          columns={COLUMNS}
          drawing={drawing}
          lit={lit}
          ownKeys={keys}
          costs
        />
      </Box>
    </Flex>
  );
}
