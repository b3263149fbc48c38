import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { PlanView, RowEdit } from "../api/client";
import { FootBar } from "../grid/FootBar";
import type { GridEditing } from "../grid/useGridEditing";
import type { RowActions, RowsAt } from "./rowActions";
import type { Row } from "./rows";

const Button = chakra("button");
const Select = chakra("select");
const INHERITED = "?";

interface Props {
  plan: PlanView;
  at: RowsAt;
  actions: RowActions;
  editing: GridEditing<Row, RowEdit>;
  /** What else the stage offers for the selected rows. */
  more?: (rows: string[]) => ReactNode;
}

/** What can be done to many selected rows of the plan at once. */
export function RowsBar({ plan, at, actions, editing, more }: Props) {
  const selected = at.selected();
  const activities = selected.filter((id) => plan.activities.some((activity) => activity.id === id));
  const does = (action: () => unknown) => () => {
    action();
    at.focus();
  };
  /** Grades of whatever can have one; a range of their own goes. */
  const grade = (id: string) => {
    const timeless = new Set(plan.activities.filter((one) => one.kind !== "task").map((one) => one.id));
    const branches = new Set(plan.branches.map((branch) => branch.id));
    return editing.sendBlock(
      selected
        .filter((row) => !timeless.has(row))
        .map((row) => ({
          id: row,
          grade: id === INHERITED ? null : id,
          ...(!branches.has(row) && { estimate: null }),
        })),
    );
  };
  const set = (calendar: string) => editing.sendBlock(activities.map((id) => ({ id, calendar })));
  return (
    <FootBar refusal={editing.refusal} onUnderstood={does(editing.dismiss)} selected={selected.length}>
      {plan.grades.length > 0 && (
        <Select
          aria-label="Grade of the selected rows"
          bg="panel"
          borderWidth="1px"
          borderColor="line"
          maxW="10rem"
          value=""
          onChange={(event) => does(() => grade(event.target.value))()}
        >
          <option value="">Grade…</option>
          <option value={INHERITED}>as inherited</option>
          {plan.grades.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Select>
      )}
      {activities.length > 0 && (
        <Select
          aria-label="Calendar of the selected activities"
          bg="panel"
          borderWidth="1px"
          borderColor="line"
          maxW="12rem"
          value=""
          onChange={(event) => does(() => set(event.target.value))()}
        >
          <option value="">Calendar…</option>
          {plan.calendars.map((calendar) => (
            <option key={calendar.id} value={calendar.id}>
              {calendar.name}
            </option>
          ))}
        </Select>
      )}
      {more?.(selected)}
      <Button color="action" title="Alt ←" onClick={does(() => actions.move("out"))}>
        Outdent
      </Button>
      <Button color="action" title="Alt →" onClick={does(() => actions.move("in"))}>
        Indent
      </Button>
      <Button color="action" title="Ctrl Delete" onClick={does(() => actions.remove())}>
        Remove
      </Button>
      <Box color="softInk" fontSize="12.5px">
        Type and press Ctrl Enter to fill all of them.
      </Box>
    </FootBar>
  );
}
