import { Box, chakra, Flex } from "@chakra-ui/react";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import { colourOf } from "./spindles";

const Button = chakra("button");
const BAR = 84;

interface Props {
  /** What it is told apart by; nothing for what is left over. */
  mark?: string;
  name: string;
  text: string;
  /** How long its bar is, of the longest. */
  share: number;
  /** The way to the thing itself. */
  go?: () => void;
}

/** One thing among several that make something together: its mark, its name, how much. */
export function PartLine({ mark, name, text, share, go }: Props) {
  return (
    <Flex align="center" gap="2" minH="25px">
      <svg width="12" height="14" aria-hidden="true" style={{ flexShrink: 0 }}>
        {mark && <Mark kind={mark as MarkKind} x={6} y={7} size={4.6} />}
      </svg>
      {go ? (
        <Button
          flex="1"
          minW="0"
          minH="25px"
          truncate
          textAlign="left"
          cursor="pointer"
          title={name}
          _hover={{ color: "action" }}
          onClick={go}
        >
          {name}
        </Button>
      ) : (
        <Box flex="1" minW="0" truncate title={name}>
          {name}
        </Box>
      )}
      <Box width={`${BAR}px`} flexShrink="0">
        <Box
          height="9px"
          opacity="0.6"
          style={{
            width: `${Math.min(1, share) * BAR}px`,
            background: mark ? colourOf(mark) : "var(--chakra-colors-strong-line)",
          }}
        />
      </Box>
      <Box width="70px" flexShrink="0" textAlign="right">
        {text}
      </Box>
    </Flex>
  );
}
