import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { ProjectView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { PROJECTS_KEY } from "../../shared/api/projects";
import { queryClient } from "../../shared/api/queryClient";
import { useSettingsEdit } from "../../shared/api/settingsEdits";
import { Input } from "../../shared/ui/Input";

/** The name of a project in the list, as long as it is typed anew. */
export function Renaming({ project, onDone }: { project: ProjectView; onDone: () => void }) {
  const edit = useSettingsEdit(project.id);
  const [name, setName] = useState(project.name);
  const [refusal, setRefusal] = useState<string>();
  const rename = () =>
    edit({ name }).then(
      () => {
        void queryClient.invalidateQueries({ queryKey: PROJECTS_KEY });
        onDone();
      },
      (error: unknown) => setRefusal(refusalOf(error)),
    );
  return (
    <>
      <Input
        autoFocus
        aria-label="Name of the project"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") void rename();
          if (event.key === "Escape") onDone();
        }}
      />
      {refusal && (
        <Box role="alert" color="risk">
          {refusal}
        </Box>
      )}
    </>
  );
}
