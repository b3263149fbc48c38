import { Box, chakra, Flex, Table } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useState } from "react";
import { formatDays, parseNumber } from "../../shared/format/numbers";
import { differenceOf, type Quantity, type Reading } from "./quantity";
import { isDate } from "./subject";
import type { Line } from "./useOdds";

const Input = chakra("input");
const Button = chakra("button");
const MOST_LEVELS = 30;

interface Props {
  quantity: Quantity;
  /** What it is compared with, and what that is called. */
  beside?: { quantity: Quantity; called: string };
  levels: number[];
  line: Line;
  onLine: (line: Line) => void;
  onLevels: (levels: number[]) => void;
}

const HEADS = { finish: "Finish", start: "Start", cost: "Cost", duration: "Duration" } as const;

const levelName = (chance: number) => `P${formatDays(chance * 100)}`;

/** The percentiles the analyst wants, each with its sampling error and its distance from the plan. */
export function ConfidenceTable({ quantity, beside, levels, line, onLine, onLevels }: Props) {
  return (
    <Box as="section" aria-label="Confidence">
      <Box as="h2" fontWeight="650" mb="1">
        Confidence
      </Box>
      <Table.Root size="sm" css={{ "& td, & th": { px: 0, py: "4px", borderColor: "line" } }}>
        <Table.Header>
          <Table.Row bg="transparent" color="softInk">
            <Table.ColumnHeader color="softInk">Level</Table.ColumnHeader>
            <Table.ColumnHeader color="softInk" textAlign="right">
              {HEADS[quantity.name]}
            </Table.ColumnHeader>
            <Table.ColumnHeader
              color="softInk"
              textAlign="right"
              title="Half the 95 % interval of the percentile itself: what another seed might give"
            >
              error
            </Table.ColumnHeader>
            <Table.ColumnHeader
              color="softInk"
              textAlign="right"
              title={
                beside
                  ? `How far it lies from ${beside.called}`
                  : isDate(quantity.name)
                    ? "Calendar days after the plan"
                    : "Above the plan"
              }
            >
              {beside ? `than ${beside.called}` : "from plan"}
            </Table.ColumnHeader>
            <Table.ColumnHeader width="18px" />
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {quantity.levels.map((level) => {
            const percent = Math.round(level.chance * 1e6) / 1e4;
            const here = line.by === "chance" && line.chance === percent;
            return (
              <Table.Row
                key={percent}
                bg={here ? "actionTint" : "transparent"}
                fontWeight={here ? 650 : undefined}
                cursor="pointer"
                data-level={percent}
                onClick={() => onLine({ by: "chance", chance: percent })}
              >
                <Table.Cell>{levelName(level.chance)}</Table.Cell>
                <Table.Cell textAlign="right" whiteSpace="nowrap">
                  {quantity.format(level.value)}
                </Table.Cell>
                <Table.Cell textAlign="right" whiteSpace="nowrap" color="softInk" fontWeight="400">
                  {quantity.formatError(level)}
                </Table.Cell>
                <Table.Cell textAlign="right" whiteSpace="nowrap">
                  {beside
                    ? besideWords(quantity, level, beside.quantity)
                    : quantity.formatFromPlan(level.fromPlan)}
                </Table.Cell>
                <Table.Cell textAlign="right">
                  <Button
                    aria-label={`Leave out ${levelName(level.chance)}`}
                    color="softInk"
                    opacity="0.5"
                    _hover={{ opacity: 1 }}
                    onClick={(event) => {
                      event.stopPropagation();
                      onLevels(levels.filter((other) => other !== percent));
                    }}
                  >
                    <X size={11} />
                  </Button>
                </Table.Cell>
              </Table.Row>
            );
          })}
        </Table.Body>
      </Table.Root>
      <AddLevel levels={levels} onLevels={onLevels} />
    </Box>
  );
}

/** How far a level lies from the same level of what it is compared with. */
function besideWords(quantity: Quantity, level: Reading, other: Quantity): string {
  const same = other.levels.find((one) => one.chance === level.chance);
  return same ? quantity.formatFromPlan(differenceOf(quantity, level.value, same.value)) : "";
}

function AddLevel({ levels, onLevels }: Pick<Props, "levels" | "onLevels">) {
  const [text, setText] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const add = () => {
    const percent = parseNumber(text.replace(/^p/i, "").replace("%", ""));
    if (percent === undefined || percent < 0 || percent > 100) {
      setRefusal(`A level is a number from 0 to 100, not “${text}”.`);
    } else if (levels.length >= MOST_LEVELS) {
      setRefusal(`At most ${MOST_LEVELS} levels; leave one out first.`);
    } else {
      onLevels([...new Set([...levels, Math.round(percent * 1e4) / 1e4])].sort((a, b) => a - b));
      setRefusal(undefined);
      setText("");
    }
  };
  return (
    <Box mt="1.5">
      <Flex align="center" gap="2">
        <Input
          aria-label="Another level"
          placeholder="another level, 85"
          value={text}
          width="9.5rem"
          px="2"
          height="26px"
          bg="panel"
          borderWidth="1px"
          borderColor="strongLine"
          borderRadius="4px"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && add()}
        />
        <Button color="action" onClick={add}>
          Add
        </Button>
      </Flex>
      {refusal && (
        <Box role="alert" mt="1" color="risk">
          {refusal}
        </Box>
      )}
    </Box>
  );
}
