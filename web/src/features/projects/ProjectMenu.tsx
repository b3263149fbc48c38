import { Menu, Portal } from "@chakra-ui/react";
import { Ellipsis } from "lucide-react";
import type { ProjectView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { type Shelf, useDuplicate, useShelve } from "../../shared/api/projects";
import { notify } from "../../shared/ui/notify";
import { ToolButton } from "../../shared/ui/ToolButton";

interface Props {
  project: ProjectView;
  shelf: Shelf;
  onRename: () => void;
}

const DONE: Record<Shelf, string> = {
  open: "is at hand again",
  archived: "is put away",
  deleted: "is deleted; for 30 days it can be brought back",
};

/** What can be done with a project in the list; each has its way back. */
export function ProjectMenu({ project, shelf, onRename }: Props) {
  const duplicate = useDuplicate();
  const shelve = useShelve();
  const failed = (error: unknown) => notify(refusalOf(error));
  const put = (to: Shelf) =>
    shelve.mutate(
      { project: project.id, shelf: to },
      {
        onSuccess: () =>
          notify(`“${project.name}” ${DONE[to]}.`, {
            label: "Take back",
            run: () => shelve.mutate({ project: project.id, shelf }, { onError: failed }),
          }),
        onError: failed,
      },
    );
  return (
    <Menu.Root positioning={{ placement: "bottom-end" }}>
      <Menu.Trigger asChild>
        <ToolButton label={`More for ${project.name}`}>
          <Ellipsis size={16} />
        </ToolButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel">
            <Menu.Item value="rename" onSelect={onRename}>
              Rename
            </Menu.Item>
            <Menu.Item
              value="duplicate"
              onSelect={() =>
                duplicate.mutate(project.id, {
                  onSuccess: (copy) => notify(`“${copy.name}” is made.`),
                  onError: failed,
                })
              }
            >
              Duplicate
            </Menu.Item>
            <Menu.Separator borderColor="line" />
            {shelf !== "open" && (
              <Menu.Item value="open" onSelect={() => put("open")}>
                Bring back
              </Menu.Item>
            )}
            {shelf === "open" && (
              <Menu.Item value="archive" onSelect={() => put("archived")}>
                Put away
              </Menu.Item>
            )}
            {shelf !== "deleted" && (
              <Menu.Item value="delete" color="risk" onSelect={() => put("deleted")}>
                Delete
              </Menu.Item>
            )}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
