import { Box } from "@chakra-ui/react";
import type { RunView } from "../api/client";

/** Says so as soon as the plan is no longer the one that was simulated. */
export function StaleBand({ run, revision }: { run: RunView; revision: number }) {
  if (run.revision === revision) return null;
  return (
    <Box role="status" px="5" py="1.5" bg="riskTint" borderBottomWidth="1px" borderColor="risk">
      <b>The plan has changed since run {run.number}.</b> These odds are of the plan as it was then; simulate
      again for the odds as it is now.
    </Box>
  );
}
