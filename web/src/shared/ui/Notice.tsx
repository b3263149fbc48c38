import { Box, Button } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A sentence where there is nothing else to show, with a way on. */
export function Notice({
  children,
  retry,
  alert,
}: {
  children: ReactNode;
  retry?: () => void;
  alert?: boolean;
}) {
  return (
    <Box
      p="10"
      maxW="44rem"
      fontSize="15px"
      color={alert ? "ink" : "softInk"}
      role={alert ? "alert" : "status"}
    >
      {children}
      {retry && (
        <Box mt="4">
          <Button size="sm" bg="action" color="onAction" onClick={retry}>
            Try again
          </Button>
        </Box>
      )}
    </Box>
  );
}
