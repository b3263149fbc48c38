import { Menu } from "@chakra-ui/react";
import { useNavigate } from "react-router";
import type { PlanView } from "../../shared/api/client";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { StageMenu } from "../../shared/ui/StageMenu";

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
  const row = useGridStore((state) => viewOf(state, project).active?.row);
  return (
    <StageMenu label="More for the plan" project={project} title="Take out as" files={FILES} row={row}>
      <Menu.Item value="settings" onSelect={onSettings}>
        Settings of the project…
      </Menu.Item>
      <Menu.Item value="calendars" onSelect={onCalendars}>
        Calendars…
      </Menu.Item>
      <Menu.Item value="update" onSelect={() => void navigate(`/projects/${project}/update`)}>
        Update from a newer file…
      </Menu.Item>
    </StageMenu>
  );
}
