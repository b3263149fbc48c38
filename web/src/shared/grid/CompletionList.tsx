import { Box } from "@chakra-ui/react";
import type { Completion } from "./types";

interface Props {
  completions: Completion[];
  chosen: number;
  onChoose: (index: number) => void;
}

/** What the last word of an open cell may go on as; arrows choose, Enter takes. */
export function CompletionList({ completions, chosen, onChoose }: Props) {
  return (
    <Box
      role="listbox"
      aria-label="Completions"
      position="absolute"
      top="100%"
      left="0"
      zIndex="6"
      minW="18rem"
      bg="panel"
      borderWidth="1px"
      borderColor="strongLine"
      textAlign="left"
    >
      {completions.map((completion, i) => (
        <Box
          key={completion.value}
          role="option"
          tabIndex={-1}
          aria-selected={i === chosen}
          px="2"
          whiteSpace="nowrap"
          overflow="hidden"
          textOverflow="ellipsis"
          bg={i === chosen ? "actionTint" : undefined}
          cursor="pointer"
          onMouseDown={(event) => {
            event.preventDefault();
            onChoose(i);
          }}
        >
          <b>{completion.value}</b> {completion.label}
        </Box>
      ))}
    </Box>
  );
}
