import { Box, chakra, Flex, Grid } from "@chakra-ui/react";
import { type KeyboardEvent, useRef, useState } from "react";
import type { CalendarWords } from "../../shared/api/client";
import { civil, DAY_MS, formatDay, formatMonth } from "../../shared/format/dates";
import { type DayState, dayState } from "./calendarWords";

const LOOK: Record<DayState, { bg?: string; color?: string; fontWeight?: number }> = {
  work: {},
  free: { color: "softInk", bg: "closed" },
  closed: { bg: "strongLine", color: "ink", fontWeight: 650 },
  other: { bg: "actionTint", color: "action", fontWeight: 650 },
};

const STATES: Record<DayState, string> = {
  work: "worked",
  free: "free every week",
  closed: "closed",
  other: "other hours",
};

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

const Day = chakra("button");

interface Props {
  calendar: CalendarWords;
  year: number;
  /** The first day chosen of a stretch, where one is being chosen. */
  from?: string;
  onDay: (day: string) => void;
}

/** A year of a calendar, day by day; arrows go from day to day, Enter chooses one. */
export function CalendarYear({ calendar, year, from, onDay }: Props) {
  const [at, setAt] = useState(`${year}-01-01`);
  const box = useRef<HTMLDivElement>(null);
  const here = at.startsWith(String(year)) ? at : `${year}-01-01`;
  const onKeyDown = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    const day = (event.target as HTMLElement).dataset.day;
    if (by === undefined || !day) return;
    event.preventDefault();
    const next = new Date(civil(day) + by * DAY_MS).toISOString().slice(0, 10);
    setAt(next);
    box.current?.querySelector<HTMLElement>(`[data-day="${next}"]`)?.focus();
  };
  return (
    // Its days have the keyboard, one at a time.
    // oxlint-disable-next-line jsx-a11y/interactive-supports-focus
    <Grid
      ref={box}
      templateColumns="repeat(4, 1fr)"
      gap="3"
      aria-label={`The year ${year}`}
      role="toolbar"
      onKeyDown={onKeyDown}
    >
      {Array.from({ length: 12 }, (_, month) => (
        <Month
          key={month}
          calendar={calendar}
          year={year}
          month={month}
          from={from}
          at={here}
          onDay={onDay}
        />
      ))}
    </Grid>
  );
}

function Month({ calendar, year, month, from, at, onDay }: Props & { month: number; at: string }) {
  const first = Date.UTC(year, month, 1);
  const lead = (new Date(first).getUTCDay() + 6) % 7;
  const length = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  return (
    <Box>
      <Box fontWeight="650" fontSize="12.5px">
        {formatMonth(first)}
      </Box>
      <Grid templateColumns="repeat(7, 1fr)" fontSize="11px" lineHeight="24px" textAlign="center">
        {Array.from({ length: lead }, (_, i) => (
          <Box key={`lead ${i}`} />
        ))}
        {Array.from({ length }, (_, i) => {
          const day = new Date(Date.UTC(year, month, i + 1)).toISOString().slice(0, 10);
          const { state, name } = dayState(calendar, day);
          return (
            <Day
              key={day}
              tabIndex={day === at ? 0 : -1}
              aria-pressed={from === day}
              aria-label={`${formatDay(day)}: ${name || STATES[state]}`}
              data-day={day}
              data-state={state}
              title={`${formatDay(day)}${name ? `: ${name}` : ""}`}
              cursor="pointer"
              outline={from === day ? "2px solid" : undefined}
              outlineColor="action"
              {...LOOK[state]}
              onClick={() => onDay(day)}
            >
              {i + 1}
            </Day>
          );
        })}
      </Grid>
    </Box>
  );
}

/** What the tints of the year mean. */
export function YearKey() {
  const keys: [DayState, string][] = [
    ["work", "worked"],
    ["free", "free every week"],
    ["closed", "closed"],
    ["other", "other hours"],
  ];
  return (
    <Flex gap="3" fontSize="12px" color="softInk">
      {keys.map(([state, text]) => (
        <Flex key={state} gap="1" align="center">
          <Box width="12px" height="12px" borderWidth="1px" borderColor="line" bg={LOOK[state].bg} />
          {text}
        </Flex>
      ))}
    </Flex>
  );
}
