import { Menu, Portal } from "@chakra-ui/react";
import { Ellipsis } from "lucide-react";
import type { ReactNode } from "react";
import { useNavigate } from "react-router";
import { ToolButton } from "./ToolButton";

interface Props {
  label: string;
  project: string;
  /** What the stage offers before its files. */
  children: ReactNode;
  title: string;
  /** The row that is selected, whose odds can be looked at. */
  row?: string;
  /** Files that can be taken out, by the end of their address. */
  files: readonly { value: string; label: string }[];
}

/** What can be done with a stage as a whole, and what can be taken out of it. */
export function StageMenu({ label, project, children, title, files, row }: Props) {
  const navigate = useNavigate();
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
            {row && (
              <Menu.Item
                value="odds"
                onSelect={() => void navigate(`/projects/${project}/odds?of=${encodeURIComponent(row)}`)}
              >
                Odds of {row} (Alt O)
              </Menu.Item>
            )}
            {children}
            <Menu.Separator borderColor="line" />
            <Menu.ItemGroup>
              <Menu.ItemGroupLabel color="softInk">{title}</Menu.ItemGroupLabel>
              {files.map((file) => (
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
