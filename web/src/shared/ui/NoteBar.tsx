import { Box, chakra, Flex } from "@chakra-ui/react";
import { useNotes } from "./notify";

const Button = chakra("button");

/** Shows what was just done or refused, with a way back where there is one. */
export function NoteBar() {
  const { note, dismiss } = useNotes();
  if (!note) return null;
  return (
    <Flex
      role="status"
      data-testid="note"
      position="fixed"
      bottom="92px"
      left="50%"
      transform="translateX(-50%)"
      zIndex="1500"
      maxW="44rem"
      gap="4"
      px="4"
      py="2.5"
      bg="ink"
      color="ground"
    >
      <Box>{note.text}</Box>
      {note.action && (
        <Button
          fontWeight="650"
          whiteSpace="nowrap"
          onClick={() => {
            dismiss();
            note.action?.run();
          }}
        >
          {note.action.label}
        </Button>
      )}
      <Button whiteSpace="nowrap" onClick={dismiss}>
        Close
      </Button>
    </Flex>
  );
}
