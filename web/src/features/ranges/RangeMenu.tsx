import { Menu, Portal } from "@chakra-ui/react";
import { Ellipsis } from "lucide-react";
import { ToolButton } from "../../shared/ui/ToolButton";

const FILES = [
  { value: "ranges.xlsx", label: "Ranges as a spreadsheet (XLSX)" },
  { value: "ranges.csv", label: "Ranges as a table of text (CSV)" },
  { value: "grades.json", label: "Grades, for another project" },
] as const;

/** Ranges into and out of files. */
export function RangeMenu({ project, onFile }: { project: string; onFile: () => void }) {
  return (
    <Menu.Root positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <ToolButton label="More for ranges">
          <Ellipsis size={16} />
        </ToolButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" minW="60">
            <Menu.Item value="file" onSelect={onFile}>
              Ranges from a file…
            </Menu.Item>
            <Menu.Separator borderColor="line" />
            <Menu.ItemGroup>
              <Menu.ItemGroupLabel color="softInk">Take out</Menu.ItemGroupLabel>
              {FILES.map((file) => (
                <Menu.Item key={file.value} value={file.value} asChild>
                  <a href={`/api/projects/${project}/${file.value}`} download>
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
