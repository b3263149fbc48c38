import { Box, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { ProgrammeView } from "../../shared/api/client";
import { useTakeIn } from "../../shared/api/programmes";
import { useProjects } from "../../shared/api/projects";
import { parseDay, toCivilText } from "../../shared/format/dates";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { Entry } from "../../shared/ui/Entry";
import { DialogEnd } from "./DialogEnd";

/** Takes one more project into a programme; where its money is of another currency, by a rate with its day. */
export function TakeInDialog({ programme, onClose }: { programme: ProgrammeView; onClose: () => void }) {
  const within = new Set(programme.projects.map((one) => one.project));
  const free = (useProjects().data ?? []).filter(
    ({ project }) => !project.programme && !within.has(project.id),
  );
  const [chosen, setChosen] = useState("");
  const [code, setCode] = useState("");
  const [worth, setWorth] = useState("");
  const [day, setDay] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const takeIn = useTakeIn(programme.id);
  const one = free.find(({ project }) => project.id === chosen) ?? free[0];
  const foreign = one && one.project.currency !== programme.currency;
  const send = () => {
    if (!one) return;
    const on = foreign ? parseDay(day) : undefined;
    if (foreign && (on === undefined || !(Number(worth.replace(",", ".")) > 0)))
      return setRefusal(
        `${one.project.name} counts in ${one.project.currency}: say what one is worth in ${programme.currency}, and on which day.`,
      );
    setRefusal(undefined);
    takeIn.mutate(
      {
        project: one.project.id,
        code: code.trim() || undefined,
        worth: foreign ? Number(worth.replace(",", ".")) : undefined,
        worthOn: on === undefined ? undefined : toCivilText(on).slice(0, 10),
      },
      { onSuccess: onClose },
    );
  };
  return (
    <WideDialog title={`Take a project into ${programme.name}`} width="560px" onClose={onClose}>
      <Box asChild flex="1">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            send();
          }}
        >
          {!one && <Box color="softInk">All projects that you may edit are part of it already.</Box>}
          {one && (
            <>
              <LabelledSelect
                label="Project"
                value={one.project.id}
                width="100%"
                choices={free.map(({ project }) => ({ value: project.id, label: project.name }))}
                onPick={setChosen}
              />
              <Entry
                label="Code"
                hint="Stands before the ids of its rows, such as VC; empty for the first letters of its name"
                value={code}
                onChange={(event) => setCode(event.target.value)}
              />
              {foreign && (
                <Flex gap="4">
                  <Entry
                    label={`One ${one.project.currency} is worth, in ${programme.currency}`}
                    value={worth}
                    onChange={(event) => setWorth(event.target.value)}
                  />
                  <Entry
                    label="On"
                    hint="The day of that rate"
                    value={day}
                    onChange={(event) => setDay(event.target.value)}
                  />
                </Flex>
              )}
              {(refusal ?? takeIn.error) && <Refusal mt="4">{refusal ?? takeIn.error?.message}</Refusal>}
              <DialogEnd act="Take it in" busy={takeIn.isPending} onLeave={onClose} />
            </>
          )}
        </form>
      </Box>
    </WideDialog>
  );
}
