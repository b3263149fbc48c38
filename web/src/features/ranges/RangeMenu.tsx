import { Menu } from "@chakra-ui/react";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { StageMenu } from "../../shared/ui/StageMenu";

const FILES = [
  { value: "ranges.xlsx", label: "Ranges as a spreadsheet (XLSX)" },
  { value: "ranges.csv", label: "Ranges as a table of text (CSV)" },
  { value: "grades.json", label: "Grades, for another project" },
] as const;

/** Ranges into and out of files. */
export function RangeMenu({ project, onFile }: { project: string; onFile: () => void }) {
  const row = useGridStore((state) => viewOf(state, project).active?.row);
  return (
    <StageMenu label="More for ranges" project={project} title="Take out" files={FILES} row={row}>
      <Menu.Item value="file" onSelect={onFile}>
        Ranges from a file…
      </Menu.Item>
    </StageMenu>
  );
}
