import { Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";

interface Props {
  label: string;
  width?: number;
  children: ReactNode;
}

const USUAL = 376;

/** What is chosen, explained at the right of a view. */
export function Aside({ label, width = USUAL, children }: Props) {
  return (
    <Flex
      as="aside"
      aria-label={label}
      direction="column"
      gap="3.5"
      width={`${width}px`}
      flexShrink="0"
      height="100%"
      px="5"
      py="4"
      bg="panel"
      borderLeftWidth="1px"
      borderColor="line"
      overflow="auto"
    >
      {children}
    </Flex>
  );
}
