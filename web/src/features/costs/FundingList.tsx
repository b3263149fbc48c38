import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { FundingWords, PlanView } from "../../shared/api/client";
import { useCostEdits } from "../../shared/api/costs";
import { refusalOf } from "../../shared/api/edits";
import { formatDay, parseDay, toCivilText } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { Refusal } from "../../shared/ui/Refusal";

const Input = chakra("input");
const Link = chakra("button", { base: { cursor: "pointer", color: "action" } });
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "1.5", py: "0.5" } as const;

/** Steps of funding, typed: what becomes available from a day on. */
export function FundingList({ plan }: { plan: PlanView }) {
  const edits = useCostEdits(plan.project.id);
  const [fresh, setFresh] = useState({ date: "", amount: "", name: "" });
  const [refusal, setRefusal] = useState<string>();
  const words = (one: PlanView["funding"][number]): FundingWords => ({ ...one, amount: String(one.amount) });
  const put = async (all: FundingWords[]) => {
    try {
      await edits.funding(all);
      setRefusal(undefined);
      return true;
    } catch (error) {
      setRefusal(refusalOf(error));
      return false;
    }
  };
  const add = async () => {
    const day = parseDay(fresh.date);
    if (day === undefined)
      return setRefusal(`A date is needed, such as 1 Mar 2027, not “${fresh.date.trim()}”.`);
    const step = { ...fresh, date: toCivilText(day).slice(0, 10) };
    if (await put([...plan.funding.map(words), step])) setFresh({ date: "", amount: "", name: "" });
  };
  const field = (name: keyof typeof fresh, label: string, placeholder: string, width: string) => (
    <Input
      {...FIELD}
      width={width}
      aria-label={label}
      placeholder={placeholder}
      value={fresh[name]}
      onChange={(event) => setFresh({ ...fresh, [name]: event.target.value })}
      onKeyDown={(event) => event.key === "Enter" && void add()}
    />
  );
  return (
    <Box as="section" aria-label="Funding">
      <Box as="h2" fontWeight="650" mb="1">
        Funding
      </Box>
      <Box color="softInk" mb="2">
        {plan.funding.length === 0
          ? "When can how much be spent? Each step adds to what there is."
          : "Each step adds to what there is. Drag its square in the drawing, or type."}
      </Box>
      {plan.funding.map((one) => (
        <Flex
          key={one.date}
          gap="2"
          py="1"
          align="baseline"
          borderBottomWidth="1px"
          borderColor="line"
          data-step={one.date}
        >
          <Box width="92px" flexShrink="0">
            {formatDay(one.date)}
          </Box>
          <Box width="64px" flexShrink="0" textAlign="right">
            {formatMoney(one.amount, plan.project.currency)}
          </Box>
          <Box flex="1" minW="0" truncate color="softInk">
            {one.name}
          </Box>
          <Link
            aria-label={`Take out the step of ${formatDay(one.date)}`}
            onClick={() => void put(plan.funding.filter((other) => other.date !== one.date).map(words))}
          >
            ×
          </Link>
        </Flex>
      ))}
      <Flex gap="1.5" mt="2">
        {field("date", "Date of the step", "1 Mar 2027", "96px")}
        {field("amount", "Amount of the step", "900k", "74px")}
        {field("name", "Where it comes from", "grant", "76px")}
        <Link onClick={() => void add()}>Add</Link>
      </Flex>
      {refusal && <Refusal mt="2">{refusal}</Refusal>}
    </Box>
  );
}
