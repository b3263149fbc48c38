import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A page for who is not in yet: the product's name and one thing to do. */
export function Threshold({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="main" maxW="26rem" mx="auto" px="6" pt="16vh" fontSize="15px">
      <Box color="action" fontWeight="650" letterSpacing="0.02em" mb="6">
        Tychon
      </Box>
      <Box as="h1" fontSize="24px" fontWeight="650" lineHeight="1.25">
        {title}
      </Box>
      {children}
    </Box>
  );
}
