import { Box, Flex } from "@chakra-ui/react";
import type { ComponentProps, ReactNode } from "react";
import { TakeOutMenu } from "../charts/TakeOutMenu";

interface Props extends Omit<ComponentProps<typeof TakeOutMenu>, "title"> {
  /** The answer of the view, in a sentence. */
  title: string;
  /** How it is read. */
  children?: ReactNode;
  px?: string;
  testId?: string;
}

/** The answer of a view first, with the way to take it out, and how it is read beneath. */
export function ViewHeading({ title, children, px, testId = "headline", ...takenOut }: Props) {
  return (
    <>
      <Flex px={px} gap="3" align="flex-start">
        <Box
          as="h1"
          flex="1"
          fontSize="19px"
          fontWeight="600"
          lineHeight="1.3"
          aria-live="polite"
          data-testid={testId}
        >
          {title || " "}
        </Box>
        <TakeOutMenu title={title} {...takenOut} />
      </Flex>
      {children && (
        <Box px={px} mt="0.5" mb="1.5" color="softInk">
          {children}
        </Box>
      )}
    </>
  );
}
