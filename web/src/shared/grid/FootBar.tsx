import { Box, chakra, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";

const Button = chakra("button");

interface Props {
  refusal?: string;
  onUnderstood: () => void;
  /** How many rows are selected; nothing is offered for fewer than two. */
  selected: number;
  children: ReactNode;
}

/** At the foot of a grid: what was refused, and what can be done to many selected rows at once. */
export function FootBar({ refusal, onUnderstood, selected, children }: Props) {
  if (!refusal && selected < 2) return null;
  return (
    <Flex
      role={refusal ? "alert" : "toolbar"}
      aria-label={refusal ? undefined : "Selected rows"}
      position="absolute"
      bottom="4"
      left="4"
      zIndex="4"
      gap="4"
      px="3"
      py="2"
      align="center"
      maxW="90%"
      bg={refusal ? "riskTint" : "panel"}
      borderWidth="1px"
      borderColor={refusal ? "risk" : "strongLine"}
    >
      {refusal ? (
        <>
          <Box>{refusal}</Box>
          <Button color="action" onClick={onUnderstood}>
            Understood
          </Button>
        </>
      ) : (
        <>
          <Box color="softInk">{selected} rows selected</Box>
          {children}
        </>
      )}
    </Flex>
  );
}
