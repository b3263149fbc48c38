import { Box, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A part of what stands beside the page. */
export function AsidePart({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Flex direction="column" gap="1.5">
      <Box as="h2" fontWeight="650">
        {title}
      </Box>
      {children}
    </Flex>
  );
}
