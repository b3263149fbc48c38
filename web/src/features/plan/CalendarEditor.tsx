import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useRef, useState } from "react";
import type { CalendarWords, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { formatDay } from "../../shared/format/dates";
import { handedIn } from "../../shared/sheet/useHandIn";
import { ToolButton } from "../../shared/ui/ToolButton";
import { TextField } from "../../shared/ui/Field";
import { editedNumber, parseNumber } from "../../shared/format/numbers";
import { calendarFile, useCalendarEdits, useCalendarLook, useHolidays } from "./calendars";
import { CalendarYear, YearKey } from "./CalendarYear";
import { DAYS, readShifts, shiftText, withExceptions } from "./calendarWords";
import { ExceptionList } from "./ExceptionList";

const FileLink = chakra("a");

const FileInput = chakra("input");
const NAMES = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

interface Props {
  plan: PlanView;
  kept: CalendarWords;
  isNew: boolean;
  removable: boolean;
  onGone: () => void;
}

/** One calendar under change: its week, its exceptions, a year of it, and what it does to the finish. */
export function CalendarEditor({ plan, kept, isNew, removable, onGone }: Props) {
  const [draft, setDraft] = useState(kept);
  const [year, setYear] = useState(Number(plan.project.start.slice(0, 4)));
  const [from, setFrom] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const edits = useCalendarEdits(plan.project.id);
  const holidays = useHolidays(plan.project.id);
  const changed = isNew || JSON.stringify(draft) !== JSON.stringify(kept);
  const look = useCalendarLook(plan.project.id, plan.project.revision, changed ? draft : undefined);
  /** Takes a part of the draft over; there is never a refusal, as a field wants to hear. */
  const change = (part: Partial<CalendarWords>): undefined => {
    setRefusal(undefined);
    setDraft({ ...draft, ...part });
  };

  const onDay = (day: string) => {
    if (from === undefined) return setFrom(day);
    const [first, last] = from < day ? [from, day] : [day, from];
    setFrom(undefined);
    change({
      exceptions: withExceptions(draft.exceptions, [{ from: first, to: last, name: "Closed", shifts: [] }]),
    });
  };
  const bringIn = (file: File | undefined) =>
    file &&
    holidays.mutate(file, {
      onSuccess: (days) => change({ exceptions: withExceptions(draft.exceptions, days) }),
      onError: (error) => setRefusal(refusalOf(error)),
    });

  return (
    <Flex flex="1" minW="0" gap="5" minH="0">
      <Box width="400px" flexShrink="0" overflow="auto" maxH="68vh" pr="1">
        <TextField label="Name" value={draft.name} onHandIn={(name) => change({ name })} />
        <TextField
          label="Hours in a day"
          hint="What a day of duration stands for"
          value={editedNumber(draft.hoursPerDay)}
          onHandIn={(text) => {
            const hours = parseNumber(text);
            if (hours === undefined || hours <= 0 || hours > 24)
              return `A number of hours up to 24 is needed, not “${text.trim()}”.`;
            return change({ hoursPerDay: hours });
          }}
        />
        {DAYS.map((day, i) => (
          <TextField
            key={day}
            label={NAMES[i] ?? day}
            value={shiftText(draft.week[day] ?? [])}
            onHandIn={(text) => {
              const shifts = readShifts(text);
              if (!shifts) return `Hours are needed, such as 8-12, 13-17, or nothing, not “${text.trim()}”.`;
              return change({ week: { ...draft.week, [day]: shifts } });
            }}
          />
        ))}
        <Flex align="baseline" mt="3" mb="1">
          <Box fontWeight="650" flex="1">
            Exceptions
          </Box>
          <Button size="xs" variant="ghost" color="action" onClick={() => input.current?.click()}>
            Bring in holidays
          </Button>
          <FileInput
            ref={input}
            type="file"
            accept=".ics,text/calendar"
            display="none"
            aria-label="iCalendar file of holidays"
            onChange={(event) => {
              bringIn(event.target.files?.[0]);
              event.target.value = "";
            }}
          />
        </Flex>
        <ExceptionList exceptions={draft.exceptions} onChange={(exceptions) => change({ exceptions })} />
      </Box>
      <Flex direction="column" flex="1" minW="0" gap="3">
        <Flex align="center" gap="1">
          <ToolButton label="The year before" onClick={() => setYear(year - 1)}>
            <ChevronLeft size={16} />
          </ToolButton>
          <Box fontWeight="650">{year}</Box>
          <ToolButton label="The year after" onClick={() => setYear(year + 1)}>
            <ChevronRight size={16} />
          </ToolButton>
          <Box flex="1" />
          <YearKey />
        </Flex>
        <CalendarYear calendar={draft} year={year} from={from} onDay={onDay} />
        <Box color="softInk" fontSize="12.5px">
          {from
            ? `From ${formatDay(from)}: now the last day that is closed.`
            : "Two clicks on days close what lies between them."}
        </Box>
        <Flex align="center" gap="3" mt="auto" pt="3" borderTopWidth="1px" borderColor="line">
          <Box flex="1" data-testid="calendar-look" role="status">
            {refusal ??
              (changed && look.error ? refusalOf(look.error) : effect(plan, changed, look.data?.finish))}
          </Box>
          <FileLink href={calendarFile(plan.project.id, kept.id)} color="action" hidden={isNew}>
            Take out as iCalendar
          </FileLink>
          {removable && !isNew && (
            <Button
              size="sm"
              variant="outline"
              onClick={() =>
                void handedIn(() => edits.remove(kept.id)).then((refused) =>
                  refused ? setRefusal(refused) : onGone(),
                )
              }
            >
              Remove
            </Button>
          )}
          <Button
            size="sm"
            variant="outline"
            disabled={!changed}
            onClick={() => (isNew ? onGone() : setDraft(kept))}
          >
            Take back
          </Button>
          <Button
            size="sm"
            bg="action"
            color="onAction"
            disabled={!changed || look.isError}
            onClick={() => void handedIn(() => edits.put(draft)).then(setRefusal)}
          >
            Keep
          </Button>
        </Flex>
      </Flex>
    </Flex>
  );
}

/** What keeping the calendar would do to the finish. */
function effect(plan: PlanView, changed: boolean, finish: string | undefined): string {
  if (!changed) return `The plan finishes on ${formatDay(plan.finish)}.`;
  if (!finish) return "Calculating what this does…";
  if (finish.slice(0, 10) === plan.finish.slice(0, 10))
    return `The plan would still finish on ${formatDay(finish)}.`;
  return `The plan would finish on ${formatDay(finish)} instead of ${formatDay(plan.finish)}.`;
}
