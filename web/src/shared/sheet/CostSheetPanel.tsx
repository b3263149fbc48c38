import { Box } from "@chakra-ui/react";
import type { CostView, PlanView } from "../api/client";
import { useRowEdits } from "../api/rowEdits";
import { editedNumber, formatMoney } from "../format/numbers";
import { RangeEditor } from "../range/RangeEditor";
import { TextField } from "../ui/Field";
import { CommentsPart } from "../together/CommentsPart";
import { ConfirmPart } from "../together/ConfirmPart";
import { SidePanel } from "../ui/SidePanel";
import { SheetPart } from "./SheetPart";
import { handedIn } from "./useHandIn";

interface Props {
  plan: PlanView;
  cost: CostView;
  /** Whether the range comes before all else, as where ranges are worked on. */
  rangeFirst?: boolean;
  onClose: () => void;
}

const number = (value: number | undefined) =>
  value === undefined ? "" : editedNumber(Math.round(value * 100) / 100);

/** Everything about a cost line, to be read and changed. */
export function CostSheetPanel({ plan, cost, rangeFirst, onClose }: Props) {
  const edits = useRowEdits(plan.project.id);
  const hand = (field: string) => (text: string) =>
    handedIn(() => edits.rows([{ id: cost.id, cost: { [field]: text } }]));
  const { currency } = plan.project;
  const on = [...plan.activities, ...plan.branches].find((one) => one.id === cost.on)?.name;
  const figure = plan.figures.find((one) => one.id === cost.id && !one.resource);
  const range = (
    <SheetPart title="Range">
      <RangeEditor plan={plan} one={cost} />
    </SheetPart>
  );
  return (
    <SidePanel label="Sheet" title={cost.name} onClose={onClose}>
      <Box mb="3" color="softInk">
        {cost.id}, on {on ?? "the whole project"}:{" "}
        {formatMoney(figure?.planned ?? cost.amount, currency, true)} as planned now
        {figure?.perDay !== undefined && `, ${formatMoney(figure.perDay, currency)} of it a working day`}.
      </Box>
      {rangeFirst && range}
      <TextField label="Name" value={cost.name} onHandIn={hand("name")} />
      <TextField
        label="Stands on"
        hint="Code or name of an activity, a hammock or a branch, or project"
        value={cost.on}
        onHandIn={hand("on")}
      />
      <TextField
        label={`Amount, ${currency}`}
        hint="84,000, 84k or 1.2m, at the prices of the project's start"
        value={number(cost.perDay === undefined ? cost.amount : figure?.planned)}
        onHandIn={hand("amount")}
      />
      <TextField
        label="Due anyway, %"
        hint="The share that is due however long it takes"
        value={number(
          cost.perDay === undefined ? 100 * cost.fixedShare : 100 * (cost.amount / (figure?.planned || 1)),
        )}
        onHandIn={hand("due")}
      />
      <TextField
        label="A working day"
        hint="What the rest comes to a day; the amount follows"
        value={number(figure?.perDay)}
        onHandIn={hand("perDay")}
      />
      <TextField
        label="Paid"
        hint="evenly, start, finish, or instalments such as 30 % on 2027-05-01; 70 % at E80"
        value={cost.paid}
        onHandIn={hand("paid")}
      />
      <TextField
        label="Category"
        hint="As in Optics/Mirror"
        value={cost.category}
        onHandIn={hand("category")}
      />
      <SheetPart title="Progress">
        <TextField
          label="Spent"
          hint="Up to the data date; emptied, it is not known"
          value={number(cost.spent)}
          onHandIn={hand("spent")}
        />
        <TextField
          label="To go"
          hint="As planned now; emptied, what of the amount is not spent"
          value={number(cost.toGo)}
          onHandIn={hand("toGo")}
        />
      </SheetPart>
      {!rangeFirst && range}
      <ConfirmPart project={plan.project.id} about={{ section: "ranges", key: cost.id }} />
      <CommentsPart project={plan.project.id} about={{ section: "costs", key: cost.id }} />
    </SidePanel>
  );
}
