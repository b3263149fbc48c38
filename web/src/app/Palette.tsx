import { Dialog, Portal } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import { useMatch, useNavigate } from "react-router";
import { usePlan } from "../shared/api/plan";
import { useRegister } from "../shared/api/risks";
import { useProjects } from "../shared/api/projects";
import { selectRisk } from "../shared/risks/registerKey";
import { reveal } from "../shared/planGrid/reveal";
import { useCommands } from "../shared/stage/commands";
import { Picker } from "../shared/ui/Picker";
import { itemsFor } from "./paletteItems";

/** Looks for anything by name: what can be done here, stages, rows, projects, words. */
export function Palette({ onClose }: { onClose: () => void }) {
  const [text, setText] = useState("");
  const navigate = useNavigate();
  const match = useMatch("/projects/:projectId/:stage");
  const project = match?.params.projectId ?? "";
  const plan = usePlan(project).data;
  const register = useRegister(project, plan?.project.revision ?? 0);
  const projects = useProjects();
  const offered = useCommands((state) => state.offered);
  const stage = match?.params.stage;
  const items = useMemo(
    () =>
      itemsFor(text, {
        plan,
        risks: register.data?.risks,
        projects: projects.data ?? [],
        offered,
        go: (address) => void navigate(address),
        onRisk: (risk) => {
          selectRisk(project, risk);
          void navigate(`/projects/${project}/risks`);
        },
        onRow: (row) => {
          if (!plan) return;
          reveal(plan, row);
          if (stage === "odds" || stage === "drivers")
            void navigate(`/projects/${plan.project.id}/${stage}?of=${encodeURIComponent(row)}`);
        },
      }),
    [text, plan, project, register.data, projects.data, offered, navigate, stage],
  );
  return (
    <Dialog.Root
      open
      onOpenChange={(change) => !change.open && onClose()}
      placement="top"
      size="lg"
      restoreFocus={false}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="panel" color="ink" p="3" aria-label="Search and commands">
            <Picker
              label="Search and commands"
              placeholder="What to do, a row, a project, a word…"
              items={items}
              foot={items.length === 0 ? "Nothing is called so here." : undefined}
              onText={setText}
              onChoose={(item) => {
                onClose();
                item.run();
              }}
            />
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
