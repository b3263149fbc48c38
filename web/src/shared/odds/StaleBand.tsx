import { Box } from "@chakra-ui/react";
import type { ProjectView, RunView } from "../api/client";
import { isOfPlan } from "./source";

/** Says so as soon as the plan is no longer the one that was simulated. */
export function StaleBand({ run, project }: { run: RunView; project: ProjectView }) {
  if (isOfPlan(run, project)) return null;
  return (
    <Box role="status" px="5" py="1.5" bg="riskTint" borderBottomWidth="1px" borderColor="risk">
      <b>The plan has changed since run {run.number}.</b> These odds are of the plan as it was then; simulate
      again for the odds as it is now.
    </Box>
  );
}
