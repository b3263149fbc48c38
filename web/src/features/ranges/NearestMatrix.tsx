import { Box, Button, Flex } from "@chakra-ui/react";
import type { MatrixLook } from "../../shared/api/client";

interface Props {
  look: MatrixLook;
  onTake: () => void;
  onKeep: () => void;
}

/** Why coefficients cannot hold together, and the nearest that can, pair by pair. */
export function NearestMatrix({ look, onTake, onKeep }: Props) {
  return (
    <Box role="alert" mt="3" p="3" bg="riskTint" borderWidth="1px" borderColor="risk">
      <Box fontWeight="600">These coefficients cannot hold together.</Box>
      <Box mb="2">
        If one pair moves in step and another too, the third cannot do the opposite. The nearest set that can
        differs in {look.moved.length} {look.moved.length === 1 ? "pair" : "pairs"}:
      </Box>
      <Box maxH="130px" overflow="auto" mb="2">
        {look.moved.map((pair) => (
          <Box key={`${pair.one} ${pair.other}`}>
            {pair.one} with {pair.other}: {pair.asked} becomes <b>{pair.nearest}</b>
          </Box>
        ))}
      </Box>
      <Flex gap="2">
        <Button size="xs" bg="action" color="onAction" onClick={onTake}>
          Take the nearest
        </Button>
        <Button size="xs" variant="outline" onClick={onKeep}>
          Keep mine; the odds use the nearest
        </Button>
      </Flex>
    </Box>
  );
}
