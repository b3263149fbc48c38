import { Box, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import type { PlanView, RunView } from "../../shared/api/client";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import { chanceSentence, costHeading, finishHeading, type Heading } from "../../shared/heading/heading";
import { HeadingDrawing } from "../../shared/heading/HeadingDrawing";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { progressWords, soFarSentence } from "./runWords";

/** A run at work: what its futures come to so far, how sure that is by now, and how far it is. */
export function RunInProgress({ plan, run }: { plan: PlanView; run: RunView }) {
  const { currency } = plan.project;
  const sight = run.progress?.sight;
  const finish = sight && finishHeading(sight.outlook, run.level);
  const cost = sight && costHeading(sight.outlook, run.level);
  return (
    <Flex direction="column" height="100%" px="5" pt="4" pb="3" data-testid="at-work">
      <Box as="h1" fontSize="21px" fontWeight="600" lineHeight="1.3">
        {finish ? soFarSentence(finish, cost, currency) : `Run ${run.number} is at work.`}
      </Box>
      <Box role="status" mt="1">
        {progressWords(run)}
      </Box>
      <Box color="softInk" mt="1">
        {sight
          ? `By ${formatWhole(sight.outlook.iterations)} futures mean and P${run.level} are known to ${formatChance(sight.unsteadiness)} of their standard deviation${run.tolerance === undefined ? "" : `; the run ends by itself at ${formatChance(run.tolerance)}`}. `
          : "What it finds is drawn as soon as there is something to see, unless that was switched off. "}
        You may leave this page: the run goes on.
      </Box>
      {finish && <Growing heading={finish} currency={currency} />}
      {cost && <Growing heading={cost} currency={currency} />}
    </Flex>
  );
}

/** The distribution as it grows, in whatever room there is. */
function Growing({ heading, currency }: { heading: Heading; currency: string }) {
  const box = useRef<HTMLDivElement>(null);
  const [width, height] = [useWidth(box), useHeight(box)];
  return (
    <Flex direction="column" flex="1" minH="0" mt="4" data-growing={heading.name}>
      <Box>
        <b>{heading.name === "finish" ? "Finish" : "Cost"}.</b> {chanceSentence(heading, currency)}
      </Box>
      <Box ref={box} flex="1" minH="0" overflow="hidden">
        {width > 0 && height > 0 && (
          <HeadingDrawing heading={heading} currency={currency} width={width} height={height} old={false} />
        )}
      </Box>
    </Flex>
  );
}
