import { Box, chakra, CloseButton, Dialog, Flex, Portal } from "@chakra-ui/react";
import { wordOf } from "./glossary";
import { useExplained } from "./wordStore";

const Button = chakra("button");

/** What a word means, and the words that belong to it. */
export function WordDialog() {
  const { word: id = "", explain, close } = useExplained();
  const word = wordOf(id);
  if (!word) return null;
  return (
    <Dialog.Root open onOpenChange={(change) => !change.open && close()} size="sm" placement="center">
      <Portal>
        <Dialog.Positioner>
          <Dialog.Content bg="panel" color="ink" borderWidth="1px" borderColor="strongLine">
            <Dialog.Header pb="2">
              <Dialog.Title fontSize="17px">{word.term}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body fontSize="14.5px" lineHeight="1.5">
              {word.means}
              {word.also && (
                <Box mt="2" color="softInk">
                  Also: {word.also.join(", ")}
                </Box>
              )}
              {word.see && (
                <Flex mt="3" gap="4" wrap="wrap">
                  {word.see.map((other) => (
                    <Button key={other} color="action" onClick={() => explain(other)}>
                      {wordOf(other)?.term}
                    </Button>
                  ))}
                </Flex>
              )}
            </Dialog.Body>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
