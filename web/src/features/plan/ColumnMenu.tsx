import { Menu, Portal } from "@chakra-ui/react";
import { Columns3 } from "lucide-react";
import type { PlanColumn } from "../../shared/planGrid/columns";
import { ToolButton } from "../../shared/ui/ToolButton";
import { isShown, type useColumnChoice } from "./columnChoice";

const ALWAYS = new Set(["code", "name"]);

/** Chooses the columns of the plan. */
export function ColumnMenu({
  columns,
  choice,
}: {
  columns: PlanColumn[];
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
