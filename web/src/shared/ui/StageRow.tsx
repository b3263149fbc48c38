import { Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** The row under the top row: what the stage shows, and what can be done there. */
export function StageRow({ children }: { children: ReactNode }) {
  return (
    <Flex
      height="40px"
      px="4"
      gap="5"
      align="center"
      borderBottomWidth="1px"
      borderColor="line"
      flexShrink="0"
      // The sentence gives way before the tools do.
      css={{ "& > div:first-of-type": { minWidth: 0, overflow: "hidden", textOverflow: "ellipsis" } }}
    >
      {children}
    </Flex>
  );
}
