import { Flex } from "@chakra-ui/react";
import type { ProgrammeView } from "../../shared/api/client";
import { useLetOut } from "../../shared/api/programmes";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { notify } from "../../shared/ui/notify";

const CHOICES = [
  { value: "nothing", label: "nothing" },
  { value: "milestones", label: "its name, odds and milestones" },
] as const;

/** What the projects that one owns let those see in a programme who may not read them. */
export function LettingOut({ programme }: { programme: ProgrammeView }) {
  const letOut = useLetOut(programme.id);
  const owned = programme.projects.filter((one) => one.owned && one.project);
  if (owned.length === 0) return null;
  return (
    <Flex gap="5" mt="3" wrap="wrap" color="softInk" fontSize="12.5px">
      {owned.map((one) => (
        <LabelledSelect
          key={one.code}
          label={`What others see of ${one.name}`}
          before={`Who may not read ${one.code} sees of it`}
          value={one.shown}
          choices={CHOICES}
          onPick={(what) =>
            one.project &&
            letOut.mutate({ member: one.project, what }, { onError: (error) => notify(error.message) })
          }
        />
      ))}
    </Flex>
  );
}
