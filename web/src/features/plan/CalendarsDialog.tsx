import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { useCalendars } from "./calendars";
import type { CalendarWords, PlanView } from "../../shared/api/client";
import { WideDialog } from "../../shared/ui/WideDialog";
import { CalendarEditor } from "./CalendarEditor";
import { plainCalendar } from "./calendarWords";

const Entry = chakra("button");

/** The working calendars of the project: chosen on the left, changed on the right, kept when one says so. */
export function CalendarsDialog({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const calendars = useCalendars(plan.project.id, plan.project.revision);
  const [chosen, setChosen] = useState(plan.project.calendar);
  const [fresh, setFresh] = useState<CalendarWords>();
  const kept = calendars.data ?? [];
  const isNew = fresh !== undefined && !kept.some((one) => one.id === fresh.id);
  const all = isNew ? [...kept, fresh] : kept;
  const calendar = all.find((one) => one.id === chosen) ?? all[0];
  const users = (id: string) => plan.activities.filter((activity) => activity.calendar === id).length;

  const begin = () => {
    let number = all.length + 1;
    while (all.some((one) => one.id === `cal${number}`)) number++;
    const made = plainCalendar(`cal${number}`, "New calendar");
    setFresh(made);
    setChosen(made.id);
  };

  return (
    <WideDialog title="Calendars" onClose={onClose}>
      <Flex direction="column" width="190px" flexShrink="0" gap="0.5">
        {all.map((one) => (
          <Entry
            key={one.id}
            textAlign="left"
            px="2"
            py="1"
            aria-pressed={one.id === calendar?.id}
            bg={one.id === calendar?.id ? "actionTint" : undefined}
            fontWeight={one.id === calendar?.id ? 650 : 400}
            onClick={() => setChosen(one.id)}
          >
            {one.name}
            <Box fontSize="12px" color="softInk" fontWeight="400">
              {one.id === plan.project.calendar ? "the project's, " : ""}
              {users(one.id)} {users(one.id) === 1 ? "activity" : "activities"}
            </Box>
          </Entry>
        ))}
        <Button size="xs" variant="outline" mt="2" onClick={begin}>
          New calendar
        </Button>
      </Flex>
      {calendar && (
        <CalendarEditor
          key={`${calendar.id} ${plan.project.revision}`}
          plan={plan}
          kept={calendar}
          isNew={isNew && calendar.id === fresh.id}
          removable={users(calendar.id) === 0 && calendar.id !== plan.project.calendar}
          onGone={() => {
            setFresh(undefined);
            setChosen(plan.project.calendar);
          }}
        />
      )}
    </WideDialog>
  );
}
