import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import type { ExceptionWords } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { readShifts, shiftText } from "./calendarWords";

const Button = chakra("button");
const Input = chakra("input");
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "1", minW: 0 } as const;

interface Props {
  exceptions: readonly ExceptionWords[];
  onChange: (exceptions: ExceptionWords[]) => void;
}

/** The days on which other hours hold than in the ordinary week. */
export function ExceptionList({ exceptions, onChange }: Props) {
  if (exceptions.length === 0) return <Box color="softInk">None yet.</Box>;
  const change = (index: number, part: Partial<ExceptionWords>) =>
    onChange(exceptions.map((one, i) => (i === index ? { ...one, ...part } : one)));
  return (
    <>
      {exceptions.map((one, i) => (
        <Box key={`${one.from} ${one.to} ${one.name}`} mb="1.5" data-exception={one.from}>
          <Flex gap="1">
            <Input
              {...FIELD}
              flex="1"
              aria-label="Name of the exception"
              defaultValue={one.name}
              onBlur={(event) => event.target.value !== one.name && change(i, { name: event.target.value })}
            />
            <Input
              {...FIELD}
              width="96px"
              aria-label={`Hours in ${one.name}`}
              placeholder="closed"
              title="Hours worked, such as 8-12; nothing for closed"
              defaultValue={shiftText(one.shifts)}
              onBlur={(event) => {
                const shifts = readShifts(event.target.value);
                if (shifts) change(i, { shifts });
                else event.target.value = shiftText(one.shifts);
              }}
            />
            <Button
              minW="24px"
              minH="24px"
              aria-label={`Remove ${one.name}`}
              color="softInk"
              onClick={() => onChange(exceptions.filter((_, at) => at !== i))}
            >
              <X size={14} />
            </Button>
          </Flex>
          <Box fontSize="12px" color="softInk">
            {one.from === one.to ? formatDay(one.from) : `${formatDay(one.from)} to ${formatDay(one.to)}`}
          </Box>
        </Box>
      ))}
    </>
  );
}
