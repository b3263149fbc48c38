import { Menu, Portal } from "@chakra-ui/react";
import { Ellipsis } from "lucide-react";
import { useNavigate } from "react-router";
import type { PlanView } from "../../shared/api/client";
import { ToolButton } from "../../shared/ui/ToolButton";

const FILES = [
  { value: "file", label: "Project file, everything in it" },
  { value: "schedule.xlsx", label: "Spreadsheet (XLSX)" },
  { value: "schedule.csv", label: "Table of text (CSV)" },
] as const;

interface Props {
  plan: PlanView;
  onSettings: () => void;
  onCalendars: () => void;
}

/** What can be done with the plan as a whole. */
export function PlanMenu({ plan, onSettings, onCalendars }: Props) {
  const navigate = useNavigate();
  const project = plan.project.id;
  return (
    <Menu.Root positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <ToolButton label="More for the plan">
          <Ellipsis size={16} />
        </ToolButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" minW="60">
            <Menu.Item value="settings" onSelect={onSettings}>
              Settings of the project…
            </Menu.Item>
            <Menu.Item value="calendars" onSelect={onCalendars}>
              Calendars…
            </Menu.Item>
            <Menu.Item value="update" onSelect={() => void navigate(`/projects/${project}/update`)}>
              Update from a newer file…
            </Menu.Item>
            <Menu.Separator borderColor="line" />
            <Menu.ItemGroup>
              <Menu.ItemGroupLabel color="softInk">Take out as</Menu.ItemGroupLabel>
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
