import { Box } from "@chakra-ui/react";
import type { CostView, PlanView } from "../api/client";
import { formatMoney } from "../format/numbers";
import { RangeEditor } from "../range/RangeEditor";
import { SidePanel } from "../ui/SidePanel";
import { SheetPart } from "./SheetPart";

interface Props {
  plan: PlanView;
  cost: CostView;
  onClose: () => void;
}

/** Everything about a cost line. */
export function CostSheetPanel({ plan, cost, onClose }: Props) {
  const on = [...plan.activities, ...plan.branches].find((one) => one.id === cost.on)?.name;
  return (
    <SidePanel label="Sheet" title={cost.name} onClose={onClose}>
      <Box color="softInk">
        {cost.id}: {formatMoney(cost.amount, plan.project.currency, true)} on {on ?? "the whole project"}.
      </Box>
      <SheetPart title="Range">
        <RangeEditor plan={plan} one={cost} />
      </SheetPart>
    </SidePanel>
  );
}
