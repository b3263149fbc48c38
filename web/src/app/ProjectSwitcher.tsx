import { Button, Menu, Portal } from "@chakra-ui/react";
import { ChevronDown } from "lucide-react";
import { useNavigate } from "react-router";
import { useProjects } from "../shared/api/projects";

/** The project's name; opens the list of the others. */
export function ProjectSwitcher({ projectId, name }: { projectId: string; name: string }) {
  const projects = useProjects();
  const navigate = useNavigate();
  return (
    <Menu.Root positioning={{ placement: "bottom-start" }}>
      <Menu.Trigger asChild>
        <Button
          variant="plain"
          px="0"
          height="auto"
          fontSize="15px"
          fontWeight="650"
          color="ink"
          alignSelf="center"
        >
          {name}
          <ChevronDown size={14} />
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" minW="64">
            {(projects.data ?? [])
              .map(({ project }) => project)
              .filter((project) => project.id !== projectId)
              .slice(0, 12)
              .map((project) => (
                <Menu.Item
                  key={project.id}
                  value={project.id}
                  onSelect={() => void navigate(`/projects/${project.id}/plan`)}
                >
                  {project.name}
                </Menu.Item>
              ))}
            <Menu.Separator borderColor="line" />
            <Menu.Item value="all" onSelect={() => void navigate("/projects")}>
              All projects, and bring one in…
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
