import { Menu } from "@chakra-ui/react";
import { StageMenu } from "../../shared/ui/StageMenu";

const FILES = [
  { value: "ranges.xlsx", label: "Ranges as a spreadsheet (XLSX)" },
  { value: "ranges.csv", label: "Ranges as a table of text (CSV)" },
  { value: "grades.json", label: "Grades, for another project" },
] as const;

/** Ranges into and out of files. */
export function RangeMenu({ project, onFile }: { project: string; onFile: () => void }) {
  return (
    <StageMenu label="More for ranges" project={project} title="Take out" files={FILES}>
      <Menu.Item value="file" onSelect={onFile}>
        Ranges from a file…
      </Menu.Item>
    </StageMenu>
  );
}
