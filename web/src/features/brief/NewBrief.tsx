import { Box, chakra, Menu, Portal } from "@chakra-ui/react";
import { type Starter, STARTERS } from "./kinds";

const Plain = chakra("button");

/** Begins another brief, or takes this one away. */
export function NewBrief({ onMake, onRemove }: { onMake: (starter: Starter) => void; onRemove: () => void }) {
  return (
    <Menu.Root positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <Plain color="action">New brief</Plain>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" minW="80">
            {STARTERS.map(({ starter, label, about }) => (
              <Menu.Item key={starter} value={starter} onSelect={() => onMake(starter)}>
                <Box flex="1">{label}</Box>
                <Box color="softInk">{about}</Box>
              </Menu.Item>
            ))}
            <Menu.Separator borderColor="line" />
            <Menu.Item value="remove" onSelect={onRemove}>
              Remove this brief
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
