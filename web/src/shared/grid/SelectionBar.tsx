import { Box, chakra, Flex } from "@chakra-ui/react";
import type { PlanView } from "../api/client";
import type { RowActions } from "./useRowActions";
import type { useGridEditing } from "./useGridEditing";

const Button = chakra("button");
const Select = chakra("select");

interface Props {
  plan: PlanView;
  actions: RowActions;
  editing: ReturnType<typeof useGridEditing>;
  /** Gives the keyboard back to the grid. */
  onDone: () => void;
}

/** At the foot of the grid: what was refused, and what can be done to many selected rows at once. */
export function SelectionBar({ plan, actions, editing, onDone }: Props) {
  const selected = actions.selected();
  const activities = selected.filter((id) => plan.activities.some((activity) => activity.id === id));
  if (!editing.refusal && selected.length < 2) return null;
  const does = (action: () => unknown) => () => {
    action();
    onDone();
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
