import type { PlanView } from "../api/client";
import { useGridStore, viewOf } from "../grid/gridStore";
import { ActivitySheetPanel } from "./ActivitySheetPanel";
import { CostSheetPanel } from "./CostSheetPanel";
import { BranchSheetPanel } from "./BranchSheetPanel";
import { useSheetStore } from "./sheetStore";

interface Props {
  plan: PlanView;
  /** Whether the range of a row comes before all else, as where ranges are worked on. */
  rangeFirst?: boolean;
}

/** The sheet of the selected row: everything about it in one place. */
export function RowSheet({ plan, rangeFirst }: Props) {
  const { close } = useSheetStore();
  const selected = useGridStore((state) => viewOf(state, plan.project.id).active?.row);
  const activity = plan.activities.find((one) => one.id === selected);
  if (activity)
    return (
      <ActivitySheetPanel
        key={activity.id}
        plan={plan}
        activity={activity}
        rangeFirst={rangeFirst}
        onClose={close}
      />
    );
  const cost = plan.costs.find((one) => one.id === selected);
  if (cost)
    return <CostSheetPanel key={cost.id} plan={plan} cost={cost} rangeFirst={rangeFirst} onClose={close} />;
  const branch = plan.branches.find((one) => one.id === selected) ?? plan.branches[0];
  return branch ? <BranchSheetPanel key={branch.id} plan={plan} branch={branch} onClose={close} /> : null;
}
