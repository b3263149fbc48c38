import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A part of a sheet under its title. */
export function SheetPart({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} mt="4" pt="3" borderTopWidth="1px" borderColor="line">
      <Box as="h3" fontWeight="650" mb="2">
        {title}
      </Box>
      {children}
    </Box>
  );
}
