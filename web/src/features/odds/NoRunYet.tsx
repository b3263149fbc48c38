import { Box } from "@chakra-ui/react";

/** Before the first run: what to do, and what it will tell. */
export function NoRunYet({ running }: { running: boolean }) {
  return (
    <Box px="10" py="12" maxW="46rem">
      <Box fontSize="22px" fontWeight="600" mb="3">
        {running
          ? "The first futures are being simulated."
          : "No future of this plan has been simulated yet."}
      </Box>
      <Box fontSize="15px" color="softInk">
        A run draws every range thousands of times, works out the dates and costs of each future, and keeps
        them. It tells how sure the plan date is, which date to promise for the confidence you want, and which
        activities drive it. {!running && "Press Simulate, at the top right."}
      </Box>
    </Box>
  );
}
