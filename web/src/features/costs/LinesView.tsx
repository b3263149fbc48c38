import { useMemo } from "react";
import type { MoneyRows, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRowEdits } from "../../shared/api/rowEdits";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import type { OwnKeys } from "../../shared/grid/types";
import type { BoundColumn } from "../../shared/planGrid/columns";
import { sieveOf } from "../../shared/planGrid/filters";
import { PlanGrid } from "../../shared/planGrid/PlanGrid";
import { placeOf, type Row, visibleRows } from "../../shared/planGrid/rows";
import { notify } from "../../shared/ui/notify";
import { costColumns } from "./costColumns";
import { goToFreshLine } from "./freshLine";
import { longest, type Money } from "./money";
import { moneyDrawing } from "./MoneyDrawing";

interface Props {
  plan: PlanView;
  money: ReadonlyMap<string, Money>;
  simulated?: MoneyRows;
  narrow: boolean;
  onSheet: () => void;
}

const NOTHING_CLOSED: ReadonlySet<string> = new Set();

/** Adds a cost line on a row, and goes to it. */
export function useNewLine(plan: PlanView) {
  const edits = useRowEdits(plan.project.id);
  return async (on: string) => {
    try {
      const result = await edits.rows([{ id: "", add: true, cost: { name: "New cost", on, amount: "0" } }]);
      goToFreshLine(plan, result);
    } catch (error) {
      notify(refusalOf(error));
    }
  };
}

/** Money under the plan's rows, each line beneath what it stands on, planned and simulated on one axis. */
export function LinesView({ plan, money, simulated, narrow, onSheet }: Props) {
  const project = plan.project.id;
  const level = simulated?.level ?? plan.project.confidence;
  const search = useGridStore((state) => viewOf(state, project).search);
  const sieve = useMemo(() => sieveOf(plan, search), [plan, search]);
  const columns = useMemo(() => costColumns({ plan, money, level, narrow }), [plan, money, level, narrow]);
  const most = useMemo(
    () => longest(money, visibleRows(plan, NOTHING_CLOSED, { costs: true, crews: true })),
    [plan, money],
  );
  const drawing = useMemo(
    () => moneyDrawing(money, most, plan.project.currency, level),
    [money, most, plan.project.currency, level],
  );
  const add = useNewLine(plan);
  const keys: OwnKeys<Row, BoundColumn> = (event, at) => {
    if (event.key !== "Insert" || event.shiftKey) return false;
    void add(at.row ? placeOf(at.row) : "project");
    return true;
  };
  return (
    <PlanGrid
      plan={plan}
      label="Costs"
      columns={columns}
      drawing={drawing}
      sieve={sieve}
      costs
      crews
      onSheet={onSheet}
      ownKeys={keys}
    />
  );
}
