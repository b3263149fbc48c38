import { Box } from "@chakra-ui/react";
import { type ReactNode, useMemo } from "react";
import { useNavigate } from "react-router";
import type { PlanView, RowEdit } from "../api/client";
import { useUndo } from "../api/edits";
import { useReads } from "../api/part";
import { useRowEdits } from "../api/rowEdits";
import { Grid } from "../grid/Grid";
import { useGridStore, viewOf } from "../grid/gridStore";
import type { Drawing, OwnKeys } from "../grid/types";
import { useGridEditing } from "../grid/useGridEditing";
import { type BoundColumn, bound, type PlanColumn } from "./columns";
import { FirstStep } from "./FirstStep";
import { type RowActions, type RowsAt, rowActions } from "./rowActions";
import { oddsOf, type Row, type Sieve, visibleRows } from "./rows";
import { RowsBar } from "./RowsBar";

export type PlanDrawing = Drawing<Row>;

interface Props {
  plan: PlanView;
  label: string;
  columns: PlanColumn[];
  drawing: PlanDrawing;
  /** What is looked for; all rows where there is none. */
  sieve?: Sieve;
  /** Whether cost lines are rows of their own. */
  costs?: boolean;
  /** Whether resources at work are. */
  crews?: boolean;
  /** What can be done to selected rows beside what every stage offers. */
  onSelection?: (rows: string[]) => ReactNode;
  /** Opens the sheet of the active row, or closes it. */
  onSheet?: () => void;
  /** Rows to be lit. */
  lit?: ReadonlySet<string>;
  /** Keys of the stage, which are asked first. */
  ownKeys?: OwnKeys<Row, BoundColumn>;
}

const ALT_ARROWS = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "out", ArrowRight: "in" } as const;

/** The plan's rows: columns that can be edited on the left, a drawing on the right. */
export function PlanGrid(props: Props) {
  const { plan, label, columns, drawing, sieve, costs, crews, onSelection, onSheet, lit } = props;
  const project = plan.project.id;
  const closed = useGridStore((state) => viewOf(state, project).closed);
  const all = useMemo(
    () => visibleRows(plan, closed, { sieve, costs, crews }),
    [plan, closed, sieve, costs, crews],
  );
  const rows = useMemo(
    () => (lit ? all.map((row) => (lit.has(row.id) ? { ...row, lit: true } : row)) : all),
    [all, lit],
  );
  const bounded = useMemo<BoundColumn[]>(() => columns.map(bound), [columns]);
  const edits = useRowEdits(project);
  const { undo } = useUndo(project);
  const editing = useGridEditing<Row, RowEdit>(edits.rows);
  const navigate = useNavigate();
  const reads = useReads((reading) => reading.reads);
  const actionsAt = (at: RowsAt): RowActions => rowActions({ plan, at, editing, edits, undo });

  const keys: OwnKeys<Row, BoundColumn> = (event, at) => {
    if (props.ownKeys?.(event, at)) return true;
    const actions = actionsAt(at);
    if (event.ctrlKey || event.metaKey) {
      if (event.key !== "Delete" && event.key !== "Backspace") return false;
      void actions.remove();
      return true;
    }
    if (event.altKey) {
      const direction = ALT_ARROWS[event.key as keyof typeof ALT_ARROWS];
      if (direction) void actions.move(direction);
      else if (event.key === "Enter" && onSheet) onSheet();
      else if (event.key.toLowerCase() === "o" && at.row) void navigate(oddsOf(project, at.row));
      else return false;
      return true;
    }
    if (event.key !== "Insert") return false;
    void (event.shiftKey ? actions.addBranch() : actions.add());
    return true;
  };

  return (
    <Box position="relative" height="100%">
      <Grid
        state={project}
        label={label}
        rows={rows}
        columns={bounded}
        drawing={drawing}
        editing={editing}
        keys={keys}
        onPaste={(text, at) => void actionsAt(at).paste(text)}
        foot={(at) => (
          <RowsBar plan={plan} at={at} actions={actionsAt(at)} editing={editing} more={onSelection} />
        )}
      />
      {plan.activities.length === 0 && !plan.project.programme && !reads && (
        <FirstStep plan={plan} below={rows.length} />
      )}
    </Box>
  );
}
