import { Menu, Portal } from "@chakra-ui/react";
import { Ellipsis } from "lucide-react";
import { ToolButton } from "../ui/ToolButton";
import type { Command } from "./commands";

interface Props {
  label: string;
  commands: readonly Command[];
  /** What the files that can be taken out are headed by. */
  filesTitle: string;
}

/** What can be done with a stage as a whole, and what can be taken out of it. */
export function StageMenu({ label, commands, filesTitle }: Props) {
  const files = commands.filter((command) => command.href);
  return (
    <Menu.Root positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <ToolButton label={label}>
          <Ellipsis size={16} />
        </ToolButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" minW="60">
            {commands
              .filter((command) => command.run)
              .map((command) => (
                <Menu.Item key={command.id} value={command.id} onSelect={command.run}>
                  {command.label}
                  {command.keys && ` (${command.keys})`}
                </Menu.Item>
              ))}
            <Menu.Separator borderColor="line" />
            <Menu.ItemGroup>
              <Menu.ItemGroupLabel color="softInk">{filesTitle}</Menu.ItemGroupLabel>
              {files.map((file) => (
                <Menu.Item key={file.id} value={file.id} asChild>
                  <a href={file.href} download>
                    {file.label}
                  </a>
                </Menu.Item>
              ))}
            </Menu.ItemGroup>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
