import { Box } from "@chakra-ui/react";
import type { BranchView, PlanView, RowEdit } from "../api/client";
import { useRowEdits } from "../api/rowEdits";
import { formatDay } from "../format/dates";
import { formatWhole } from "../format/numbers";
import { ChoiceField, TextField } from "../ui/Field";
import { CommentsPart } from "../together/CommentsPart";
import { ConfirmPart } from "../together/ConfirmPart";
import { SidePanel } from "../ui/SidePanel";
import { handedIn } from "./useHandIn";

interface Props {
  plan: PlanView;
  branch: BranchView;
  onClose: () => void;
}

/** Everything about a branch, to be read and changed. */
export function BranchSheetPanel({ plan, branch, onClose }: Props) {
  const edits = useRowEdits(plan.project.id);
  const change = (fields: Omit<RowEdit, "id">) => handedIn(() => edits.rows([{ id: branch.id, ...fields }]));
  const own = plan.activities.filter((activity) => activity.wbs === branch.id).length;
  return (
    <SidePanel label="Sheet" title={branch.name} onClose={onClose}>
      <Box mb="3" color="softInk">
        {branch.start && branch.finish
          ? `Work from ${formatDay(branch.start)} to ${formatDay(branch.finish)}; ${formatWhole(own)} activities of its own.`
          : "Nothing lies in it yet. Insert adds an activity."}
      </Box>
      <TextField label="Name" value={branch.name} onHandIn={(name) => change({ name })} />
      <TextField
        label="Outline number"
        hint="Counted anew when branches move, where the plan counts 1, 1.1, 1.2"
        value={branch.code}
        onHandIn={(code) => change({ code })}
      />
      <ChoiceField
        label="Grade"
        hint="Holds for everything beneath that has none of its own"
        value={branch.grade ?? ""}
        choices={[
          { value: "", label: branch.inherited ? "as the branch above" : "none" },
          ...plan.grades.map((grade) => ({ value: grade.id, label: grade.name })),
        ]}
        onHandIn={(grade) => change({ grade: grade === "" ? null : grade })}
      />
      <ConfirmPart project={plan.project.id} about={{ section: "ranges", key: branch.id }} />
      <CommentsPart project={plan.project.id} about={{ section: "wbs", key: branch.id }} />
    </SidePanel>
  );
}
