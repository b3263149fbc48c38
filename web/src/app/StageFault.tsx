import { Box, Button, Flex } from "@chakra-ui/react";
import { isRouteErrorResponse, Link, useRouteError } from "react-router";

/** Stands in for a stage that failed: what happened, what is safe, and how to go on. */
export function StageFault() {
  const fault = useRouteError();
  return (
    <Box as="section" role="alert" p="10" maxW="44rem" fontSize="15px">
      <Box as="h1" fontSize="20px" fontWeight="650" mb="2">
        This view could not be shown.
      </Box>
      <Box>
        The plan is safe: what was handed in is kept on the server, and nothing else was changed. Read it
        anew, or go on in another stage.
      </Box>
      <Box mt="3" color="softInk">
        What went wrong: {wordsOf(fault)}
      </Box>
      <Flex mt="5" gap="4" align="center">
        <Button size="sm" bg="action" color="onAction" onClick={() => window.location.reload()}>
          Read it anew
        </Button>
        <Box color="action">
          <Link to="/projects">All projects</Link>
        </Box>
      </Flex>
    </Box>
  );
}

function wordsOf(fault: unknown): string {
  if (isRouteErrorResponse(fault)) return `${fault.status} ${fault.statusText}`;
  return fault instanceof Error ? fault.message : "nothing that says more";
}
