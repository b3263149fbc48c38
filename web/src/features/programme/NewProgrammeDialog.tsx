import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { ProjectSummary } from "../../shared/api/client";
import { useBeginProgramme } from "../../shared/api/programmes";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { Entry } from "../../shared/ui/Entry";
import { DialogEnd } from "./DialogEnd";

const Check = chakra("input");
const Label = chakra("label");

/** Begins a programme of projects that are there. */
export function NewProgrammeDialog({
  projects,
  onClose,
}: {
  projects: ProjectSummary[];
  onClose: () => void;
}) {
  const begin = useBeginProgramme();
  const [name, setName] = useState("");
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const single = projects.filter(({ project }) => !project.programme);
  const currencies = new Set(
    single.filter(({ project }) => chosen.includes(project.id)).map(({ project }) => project.currency),
  );
  return (
    <WideDialog title="A programme of projects" width="600px" onClose={onClose}>
      <Box asChild flex="1">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            begin.mutate({ name, projects: chosen.map((project) => ({ project })) }, { onSuccess: onClose });
          }}
        >
          <Box color="softInk">
            They are simulated together, in the same futures. Each keeps its own life, people and rights; what
            you see in the programme is edited there.
          </Box>
          <Entry label="Name" required value={name} onChange={(event) => setName(event.target.value)} />
          <Box mt="4" fontWeight="600">
            Projects
          </Box>
          {single.map(({ project }) => (
            <Label key={project.id} display="flex" gap="2" py="1" alignItems="center">
              <Check
                type="checkbox"
                value={project.name}
                checked={chosen.includes(project.id)}
                onChange={(event) =>
                  setChosen(
                    event.target.checked
                      ? [...chosen, project.id]
                      : chosen.filter((one) => one !== project.id),
                  )
                }
              />
              {project.name}
            </Label>
          ))}
          {currencies.size > 1 && (
            <Box color="softInk" mt="2">
              They count in {[...currencies].join(" and ")}. Begin with those of one currency; the others are
              taken in with a rate and its day.
            </Box>
          )}
          {begin.error && <Refusal mt="4">{begin.error.message}</Refusal>}
          <DialogEnd
            act="Begin the programme"
            busy={begin.isPending}
            disabled={chosen.length === 0 || name.trim() === ""}
            onLeave={onClose}
          />
        </form>
      </Box>
    </WideDialog>
  );
}
