import { Box, Flex } from "@chakra-ui/react";
import type { PlanView, StaircaseInside } from "../../shared/api/client";
import type { Goal } from "./goal";
import { PartLine } from "./PartLine";
import { stepMeans, stepName } from "./staircaseWords";
import { useThings } from "./toThing";

interface InsideProps {
  inside: StaircaseInside;
  goal: Goal;
  plan: PlanView;
}

const MOST_TOLD = 14;
const LEAST = { money: 0.5, days: 0.005 };

/** What each thing in a step would add alone, and what makes them add up. */
export function StepInside({ inside, goal, plan }: InsideProps) {
  const things = useThings(plan);
  const least = goal.money ? LEAST.money : LEAST.days;
  const parts = inside.parts.filter(({ change }) => Math.abs(change) >= least);
  const told = parts.slice(0, MOST_TOLD);
  const others = parts.slice(MOST_TOLD).reduce((sum, { change }) => sum + change, 0);
  const most = Math.max(...told.map(({ change }) => Math.abs(change)), Math.abs(inside.overlap), 1e-9);
  return (
    <Box data-testid="inside">
      <Box fontSize="16px" fontWeight="650">
        Inside “{stepName(inside.cause)}”, {goal.signed(inside.change)}
      </Box>
      <Box color="softInk" mb="2">
        {stepMeans(inside.cause)} Alone, each would add so much; where some matter in the same futures, they
        make more or less together.
      </Box>
      {told.map(({ input, change }) => (
        <PartLine
          key={input.key || input.name}
          mark={input.mark}
          name={input.name}
          text={goal.signed(change)}
          share={Math.abs(change) / most}
          go={things.ofInput(input.kind, input.id)[0]?.go}
        />
      ))}
      {parts.length > MOST_TOLD && (
        <PartLine
          text={goal.signed(others)}
          name={parts.length - MOST_TOLD === 1 ? "another" : `${parts.length - MOST_TOLD} others`}
          share={Math.abs(others) / most}
        />
      )}
      <PartLine text={goal.signed(inside.overlap)} name="overlap" share={Math.abs(inside.overlap) / most} />
      <Flex borderTopWidth="1px" borderColor="line" pt="1" mt="1" fontWeight="650">
        <Box flex="1">{stepName(inside.cause)}</Box>
        <Box>{goal.signed(inside.change)}</Box>
      </Flex>
    </Box>
  );
}
