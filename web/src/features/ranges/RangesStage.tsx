import { Box, Flex } from "@chakra-ui/react";
import { RowSheet } from "../../shared/sheet/RowSheet";
import { useSheetStore } from "../../shared/sheet/sheetStore";
import { formatWhole } from "../../shared/format/numbers";
import { type Drawing, PlanGrid } from "../../shared/grid/PlanGrid";
import { StageRow } from "../../shared/ui/StageRow";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { canBeUncertain } from "./estimates";
import { RangeBackground, RangeDrawing, RangeHeader } from "./RangeDrawing";
import { RANGE_COLUMNS } from "./rangeColumns";

const DRAWING: Drawing = {
  width: 380,
  header: (width) => <RangeHeader width={width} />,
  behind: (width, height) => <RangeBackground width={width} height={height} />,
  row: (row, width) => <RangeDrawing row={row} width={width} />,
};

/** How sure the estimates are: three points and a shape a row, and what they look like against the plan. */
export function RangesStage() {
  const plan = usePlanOfStage();
  const tasks = plan.activities.filter(canBeUncertain);
  const ranged = tasks.filter((activity) => activity.range.density.length > 0).length;
  return (
    <Box height="100%" display="flex" flexDirection="column">
      <StageRow>
        <Box>
          <b>
            {formatWhole(ranged)} of {formatWhole(tasks.length)}
          </b>{" "}
          activities have a range; the rest count as certain.
        </Box>
        <Box color="softInk">
          Type low, likely and high in days. The short stroke under each shape is its mean.
        </Box>
      </StageRow>
      <Flex flex="1" minHeight="0">
        <Box flex="1" minW="0">
          <PlanGrid
            plan={plan}
            label="Ranges"
            columns={RANGE_COLUMNS}
            drawing={DRAWING}
            onSheet={useSheetStore.getState().toggle}
          />
        </Box>
        <RowSheet plan={plan} />
      </Flex>
    </Box>
  );
}
