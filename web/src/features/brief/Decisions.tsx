import { Box, chakra, Flex } from "@chakra-ui/react";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import type { BriefBlock, BriefDecision, PlanView } from "../../shared/api/client";
import { DAY_EXAMPLE, formatDay, typedDay } from "../../shared/format/dates";
import { formatMoney, parseMoney } from "../../shared/format/numbers";
import { ToolButton } from "../../shared/ui/ToolButton";
import { PAPER } from "./paper";

const Button = chakra("button");
const Input = chakra("input");

interface Props {
  plan: PlanView;
  block: BriefBlock;
  onChange: (decisions: BriefDecision[]) => Promise<string | undefined>;
}

/** What is to be decided, typed row by row. As long as nothing is, it is what the option that gains most would need. */
export function Decisions({ plan, block, onChange }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const { currency } = plan.project;
  const rows = block.decisions;
  const set = (index: number, change: Partial<BriefDecision>) =>
    void onChange(rows.map((row, i) => (i === index ? { ...row, ...change } : row))).then(setRefusal);
  const field = (label: string, value: string, width: string, onText: (text: string) => void) => (
    <Input
      key={value}
      aria-label={label}
      placeholder={label}
      defaultValue={value}
      width={width}
      px="1"
      bg={PAPER.sheet}
      borderBottom={`1px solid ${PAPER.line}`}
      onBlur={(event) => event.target.value !== value && onText(event.target.value.trim())}
      onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
    />
  );
  const day = (index: number, text: string) => {
    const typed = typedDay(text);
    if ("refusal" in typed) setRefusal(`By when: ${typed.refusal}`);
    else set(index, { by: typed.day?.slice(0, 10) });
  };
  const money = (index: number, text: string) => {
    const cost = text === "" ? undefined : parseMoney(text);
    if (text !== "" && cost === undefined) setRefusal(`Cost: “${text}” is no amount, such as 18k`);
    else set(index, { cost });
  };
  return (
    <Box fontSize="13px" mt="2">
      {rows.map((row, i) => (
        <Flex key={i} gap="2" mb="1" align="center">
          {field("What is to be decided", row.what, "46%", (what) => set(i, { what }))}
          {field("By whom", row.who, "22%", (who) => set(i, { who }))}
          {field(`By when, as ${DAY_EXAMPLE}`, row.by ? formatDay(row.by) : "", "16%", (text) =>
            day(i, text),
          )}
          {field("Cost", row.cost === undefined ? "" : formatMoney(row.cost, currency), "12%", (text) =>
            money(i, text),
          )}
          <ToolButton
            label={`Take “${row.what}” out`}
            color={PAPER.soft}
            onClick={() => void onChange(rows.filter((_, at) => at !== i)).then(setRefusal)}
          >
            <Trash2 size={14} />
          </ToolButton>
        </Flex>
      ))}
      {refusal && (
        <Box role="alert" color={PAPER.again}>
          {refusal}
        </Box>
      )}
      <Button
        color={PAPER.action}
        onClick={() => void onChange([...rows, { what: "To be said", who: "" }]).then(setRefusal)}
      >
        Add a decision
      </Button>
    </Box>
  );
}
