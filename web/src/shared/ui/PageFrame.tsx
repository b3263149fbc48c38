import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A page that is about no project. */
export function PageFrame({ title, children, wide }: { title: string; children: ReactNode; wide?: boolean }) {
  return (
    <Box as="main" maxW={wide ? "1160px" : "860px"} mx="auto" px="6" py="8">
      <Box as="h1" fontSize="24px" fontWeight="650" mb="2">
        {title}
      </Box>
      {children}
    </Box>
  );
}

/** A part of such a page. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} borderTopWidth="1px" borderColor="line" pt="4" mt="6">
      <Box as="h2" fontSize="17px" fontWeight="650" mb="1">
        {title}
      </Box>
      {children}
    </Box>
  );
}
