import type { PlanView } from "../../shared/api/client";
import { previewMoney, useCostEdits } from "../../shared/api/costs";
import { TableFileDialog } from "../../shared/files/TableFileDialog";

/** Cost lines, resources or funding out of a table: its columns say which. */
export function MoneyFileDialog({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const edits = useCostEdits(plan.project.id);
  return (
    <TableFileDialog
      title="Money from a table"
      intro={
        <>
          A spreadsheet or a text table with a row a cost line (Code, Name, On, Amount, Due anyway, Paid,
          Category, Spent, To go …), a resource (Code, Name, Rate, Per, Limit, Work …) or a step of funding
          (Date, Amount, Name); the columns say which. Amounts may be written as 84,000, 84.000,00, 84k or{" "}
          {plan.project.currency} 1.2m; those of another currency are refused. Rows are known by code, or by
          name. What you take out comes in again unchanged.
        </>
      }
      many="rows of money"
      preview={(table, mended) => previewMoney(plan.project.id, table, mended)}
      takeOver={edits.table}
      onClose={onClose}
    />
  );
}
