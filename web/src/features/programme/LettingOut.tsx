import { chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { ProgrammeView } from "../../shared/api/client";
import { useLetOut } from "../../shared/api/programmes";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { tellRefusal } from "../../shared/ui/notify";
import { PickerPopover } from "../../shared/ui/PickerPopover";
import { FEW, memberPicks } from "./memberPicks";

const Plain = chakra("button");
const CHOICES = [
  { value: "nothing", label: "nothing" },
  { value: "milestones", label: "its name, odds and milestones" },
] as const;

/** What the projects that one owns let those see in a programme who may not read them. */
export function LettingOut({ programme }: { programme: ProgrammeView }) {
  const letOut = useLetOut(programme.id);
  const owned = programme.projects.filter((one) => one.owned && one.project);
  const [chosen, setChosen] = useState<string>();
  if (owned.length === 0) return null;
  const many = owned.length > FEW;
  return (
    <Flex gap="5" mt="3" wrap="wrap" color="softInk" fontSize="12.5px">
      {many && (
        <PickerPopover
          title="Projects that you own"
          label="Of which project"
          placeholder="Code or name"
          find={memberPicks(owned)}
          onChoose={({ id }) => setChosen(id)}
        >
          <Plain color="action">What others see of a project</Plain>
        </PickerPopover>
      )}
      {owned
        .filter(({ code }) => !many || code === chosen)
        .map((one) => (
          <LabelledSelect
            key={one.code}
            label={`What others see of ${one.name}`}
            before={`Who may not read ${one.code} sees of it`}
            value={one.shown}
            choices={CHOICES}
            onPick={(what) => one.project && letOut.mutate({ member: one.project, what }, tellRefusal)}
          />
        ))}
    </Flex>
  );
}
