import { Menu, Portal } from "@chakra-ui/react";
import { Columns3 } from "lucide-react";
import { ToolButton } from "../ui/ToolButton";
import { isShown, type Spared, type useColumnChoice } from "./columnChoice";

const ALWAYS = new Set(["code", "name", "title"]);

/** Chooses the columns of a grid. */
export function ColumnMenu({
  columns,
  choice,
}: {
  columns: readonly Spared[];
  choice: ReturnType<typeof useColumnChoice>;
}) {
  return (
    <Menu.Root closeOnSelect={false} positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <ToolButton label="Columns">
          <Columns3 size={16} />
        </ToolButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" maxH="60vh" overflow="auto">
            {columns
              .filter((column) => !ALWAYS.has(column.id))
              .map((column) => (
                <Menu.CheckboxItem
                  key={column.id}
                  value={column.id}
                  checked={isShown(choice.kept, column)}
                  onCheckedChange={(checked) => choice.show(column.id, checked)}
                >
                  <Menu.ItemIndicator />
                  {column.title}
                </Menu.CheckboxItem>
              ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
