import { Box, Flex } from "@chakra-ui/react";
import type { StaircaseView as Stairs } from "../../shared/api/client";
import type { Goal } from "./goal";
import { stepName } from "./staircaseWords";

/** All steps in numbers, with their sums: what is drawn adds up. */
export function StairSums({ view, goal }: { view: Stairs; goal: Goal }) {
  const counted = view.steps.slice(1, view.asItIs);
  const beyond = view.steps.slice(view.asItIs);
  const sum = (steps: Stairs["steps"]) => steps.reduce((all, { change }) => all + change, 0);
  const one = ({ cause, change }: Stairs["steps"][number]) => (
    <Box key={cause} whiteSpace="nowrap">
      {stepName(cause)} <b data-change={change}>{goal.signed(change)}</b>
    </Box>
  );
  return (
    <Flex wrap="wrap" columnGap="5" rowGap="0.5" color="softInk" pt="1" data-testid="sums">
      {counted.map(one)}
      <Box whiteSpace="nowrap" color="ink">
        together <b data-whole={sum(counted)}>{goal.signed(sum(counted))}</b>
      </Box>
      {beyond.map(one)}
      {beyond.length > 0 && (
        <Box whiteSpace="nowrap" color="ink">
          with them <b>{goal.signed(sum(view.steps.slice(1)))}</b>
        </Box>
      )}
    </Flex>
  );
}
