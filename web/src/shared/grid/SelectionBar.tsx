import { Box, chakra, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { PlanView } from "../api/client";
import type { RowActions } from "./useRowActions";
import type { useGridEditing } from "./useGridEditing";

const Button = chakra("button");
const Select = chakra("select");
const INHERITED = "?";

interface Props {
  plan: PlanView;
  actions: RowActions;
  editing: ReturnType<typeof useGridEditing>;
  /** What else the stage offers for the selected rows. */
  more?: (rows: string[]) => ReactNode;
  /** Gives the keyboard back to the grid. */
  onDone: () => void;
}

/** At the foot of the grid: what was refused, and what can be done to many selected rows at once. */
export function SelectionBar({ plan, actions, editing, more, onDone }: Props) {
  const selected = actions.selected();
  const activities = selected.filter((id) => plan.activities.some((activity) => activity.id === id));
  if (!editing.refusal && selected.length < 2) return null;
  const does = (action: () => unknown) => () => {
    action();
    onDone();
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
    <Flex
      role={editing.refusal ? "alert" : "toolbar"}
      aria-label={editing.refusal ? undefined : "Selected rows"}
      position="absolute"
      bottom="4"
      left="4"
      zIndex="4"
      gap="4"
      px="3"
      py="2"
      align="center"
      maxW="90%"
      bg={editing.refusal ? "riskTint" : "panel"}
      borderWidth="1px"
      borderColor={editing.refusal ? "risk" : "strongLine"}
    >
      {editing.refusal ? (
        <>
          <Box>{editing.refusal}</Box>
          <Button color="action" onClick={does(editing.dismiss)}>
            Understood
          </Button>
        </>
      ) : (
        <>
          <Box color="softInk">{selected.length} rows selected</Box>
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
        </>
      )}
    </Flex>
  );
}
