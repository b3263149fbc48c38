import { Box, chakra, Menu, Portal } from "@chakra-ui/react";
import { KINDS } from "./kinds";

const Button = chakra("button");

/** Adds a block of any kind. */
export function AddBlock({ onAdd }: { onAdd: (kind: string) => void }) {
  return (
    <Menu.Root positioning={{ placement: "right-start" }}>
      <Menu.Trigger asChild>
        <Button textAlign="left" color="action" mt="1">
          Add a block
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" maxH="70vh" overflow="auto" minW="72">
            {KINDS.map(({ kind, name, about }) => (
              <Menu.Item key={kind} value={kind} onSelect={() => onAdd(kind)}>
                <Box flex="1">{name}</Box>
                <Box color="softInk">{about}</Box>
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
