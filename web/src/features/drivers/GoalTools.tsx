import { Flex } from "@chakra-ui/react";
import type { PlanView } from "../../shared/api/client";
import { useOddsStore } from "../../shared/odds/oddsStore";
import { QUANTITIES, type QuantityName, type Subject } from "../../shared/odds/subject";
import { SubjectPicker } from "../../shared/odds/SubjectPicker";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";

interface Props {
  plan: PlanView;
  subject: Subject;
  /** Which quantities the view can be asked of; none where only a date makes sense. */
  quantities: readonly QuantityName[];
}

/** Of what drivers are told: the project, a branch, a milestone or an activity, and which quantity of it. */
export function GoalTools({ plan, subject, quantities }: Props) {
  const look = useOddsStore((state) => state.look);
  const { id } = plan.project;
  const choices = QUANTITIES.filter(
    ({ value }) => quantities.includes(value) && (value !== "cost" || plan.plannedCost !== 0),
  );
  return (
    <Flex align="center" gap="1.5">
      {choices.length > 0 && (
        <LabelledSelect
          label="Which quantity"
          choices={choices}
          value={subject.what}
          onPick={(what) => look(id, { ...subject, what })}
        />
      )}
      <SubjectPicker plan={plan} subject={subject} onChange={(of) => look(id, { ...subject, of })} />
    </Flex>
  );
}
