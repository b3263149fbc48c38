import { Box, chakra } from "@chakra-ui/react";
import type { BriefLine } from "../../shared/api/client";
import { PAPER } from "./paper";

const Strong = chakra("b");
const Button = chakra("button");

interface Props {
  lines: readonly BriefLine[];
  large: boolean;
  /** Says that the words stand although their numbers have changed; nothing where nothing can be changed. */
  onStillRight?: () => void;
}

/** The paragraphs of a block, with numbers that follow the run. */
export function Lines({ lines, large, onStillRight }: Props) {
  return (
    <Box fontSize={large ? "17px" : "14.5px"} lineHeight="1.45">
      {lines.map((line, i) => (
        <Box key={i}>
          <Box as="p" dir="auto" mb="1.5" whiteSpace="pre-wrap">
            {line.pieces.map((piece, p) =>
              piece.field ? (
                <Strong
                  key={p}
                  fontWeight="600"
                  color={piece.lost ? PAPER.again : undefined}
                  title={piece.lost ? "There is no such number in this run" : undefined}
                >
                  {piece.text}
                </Strong>
              ) : (
                piece.text
              ),
            )}
          </Box>
          {line.changed.length > 0 && onStillRight && (
            <Box
              fontSize="13px"
              bg={PAPER.againTint}
              color={PAPER.again}
              px="2"
              py="1"
              mb="2"
              data-testid="second-look"
            >
              Look again: {line.changed.map((one) => `${one.was} is ${one.now} now`).join("; ")}.{" "}
              <Button textDecoration="underline" onClick={onStillRight}>
                The words still hold
              </Button>
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
