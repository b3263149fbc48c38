import { Box, chakra, Flex } from "@chakra-ui/react";
import { useEffect } from "react";
import { useNotes } from "./notify";

const Button = chakra("button");

/** Shows what was just done or refused, with ways on where there are some, each with its key. */
export function NoteBar() {
  const { note, dismiss } = useNotes();
  useEffect(() => {
    if (!note) return undefined;
    const onKey = (event: KeyboardEvent) => {
      const action = event.altKey && note.actions.find((one) => one.key === event.key.toLowerCase());
      if (!action) return;
      event.preventDefault();
      dismiss();
      action.run();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [note, dismiss]);
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
      maxW="min(52rem, 94vw)"
      gap="4"
      px="4"
      py="2.5"
      bg="ink"
      color="ground"
    >
      <Box>{note.text}</Box>
      {note.actions.map((action) => (
        <Button
          key={action.label}
          fontWeight="650"
          whiteSpace="nowrap"
          aria-keyshortcuts={action.key && `Alt+${action.key.toUpperCase()}`}
          onClick={() => {
            dismiss();
            action.run();
          }}
        >
          {action.label}
          {action.key && ` (Alt ${action.key.toUpperCase()})`}
        </Button>
      ))}
      <Button whiteSpace="nowrap" onClick={dismiss}>
        Close
      </Button>
    </Flex>
  );
}
