import { Box, chakra, Flex, Table } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useState } from "react";
import { formatDays, parseNumber } from "../../shared/format/numbers";
import { differenceOf, type Quantity, type Reading } from "../../shared/odds/quantity";
import { isDate, type Subject } from "../../shared/odds/subject";
import type { Line } from "../../shared/odds/place";
import { ValueRow } from "./ValueRow";

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
  /** Dates or amounts whose chance is wanted, and the run it is read from. */
  values: number[];
  onValues: (values: number[]) => void;
  run: string;
  subject: Subject;
}

const HEADS = { finish: "Finish", start: "Start", cost: "Cost", duration: "Duration" } as const;

const levelName = (chance: number) => `P${formatDays(chance * 100)}`;

/** The percentiles and the values the analyst wants, each with its sampling error and its distance from the plan. */
export function ConfidenceTable(props: Props) {
  const { quantity, beside, levels, line, onLine, onLevels, values, onValues, run, subject } = props;
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
          {values.map((value) => (
            <ValueRow
              key={value}
              quantity={quantity}
              value={value}
              run={run}
              subject={subject}
              onLook={() => onLine({ by: "value", value })}
              onLeaveOut={() => onValues(values.filter((other) => other !== value))}
            />
          ))}
        </Table.Body>
      </Table.Root>
      <AddLevel quantity={quantity} levels={levels} onLevels={onLevels} values={values} onValues={onValues} />
    </Box>
  );
}

/** How far a level lies from the same level of what it is compared with. */
function besideWords(quantity: Quantity, level: Reading, other: Quantity): string {
  const same = other.levels.find((one) => one.chance === level.chance);
  return same ? quantity.formatFromPlan(differenceOf(quantity, level.value, same.value)) : "";
}

type AddProps = Pick<Props, "quantity" | "levels" | "onLevels" | "values" | "onValues">;

/** A level gives its value; a date or an amount gives its chance. */
function AddLevel({ quantity, levels, onLevels, values, onValues }: AddProps) {
  const [text, setText] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const add = () => {
    const percent = parseNumber(text.replace(/^p/i, "").replace("%", ""));
    const isLevel = percent !== undefined && percent >= 0 && percent <= 100;
    const value = isLevel ? undefined : quantity.parse(text);
    if (levels.length + values.length >= MOST_LEVELS) {
      setRefusal(`At most ${MOST_LEVELS} rows; leave one out first.`);
    } else if (isLevel) {
      onLevels([...new Set([...levels, Math.round(percent * 1e4) / 1e4])].sort((a, b) => a - b));
      setRefusal(undefined);
      setText("");
    } else if (value !== undefined) {
      onValues([...new Set([...values, value])].sort((a, b) => a - b));
      setRefusal(undefined);
      setText("");
    } else {
      setRefusal(`Type a level from 0 to 100, or ${quantity.example}, not “${text}”.`);
    }
  };
  return (
    <Box mt="1.5">
      <Flex align="center" gap="2">
        <Input
          aria-label="Another level or value"
          placeholder={isDate(quantity.name) ? "85, or a date" : "85, or an amount"}
          title="A level from 0 to 100 gives its value; a value gives its chance"
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
