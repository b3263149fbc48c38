import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useState } from "react";
import type { PlanView, RiskAction } from "../../shared/api/client";
import { formatDay, parseDay, toCivilText, typedDay } from "../../shared/format/dates";
import { formatMoney, parseMoney, parseNumber } from "../../shared/format/numbers";
import { Refusal } from "../../shared/ui/Refusal";
import { ACTION_STATES } from "./riskWords";

const Input = chakra("input");
const Select = chakra("select");
const Button = chakra("button");
const FIELD = {
  bg: "ground",
  borderWidth: "1px",
  borderColor: "line",
  px: "1.5",
  py: "0.5",
  minW: 0,
} as const;
const A_MONTH = 30 * 86_400_000;

interface Props {
  plan: PlanView;
  actions: readonly RiskAction[];
  onActions: (actions: RiskAction[]) => Promise<string | undefined>;
}

/** What is done about a risk: each action with its cost, dates, owner and state; and a line for another. */
export function ActionList({ plan, actions, onActions }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const [fresh, setFresh] = useState("");
  const { currency } = plan.project;
  const put = async (index: number, change: Partial<RiskAction>) => {
    setRefusal(await onActions(actions.map((one, i) => (i === index ? { ...one, ...change } : one))));
  };
  /** A field that hands its text in when it is left. */
  const field = (
    index: number,
    name: string,
    value: string,
    width: string | number,
    take: (text: string) => Partial<RiskAction> | { refusal: string },
  ) => (
    <Input
      {...FIELD}
      key={value}
      width={width}
      flex={width === 1 ? 1 : undefined}
      aria-label={`${name} of action ${index + 1}`}
      defaultValue={value}
      onKeyDown={(event) => {
        if (event.key === "Enter") event.currentTarget.blur();
        if (event.key === "Escape") event.currentTarget.value = value;
      }}
      onBlur={(event) => {
        const text = event.target.value;
        if (text === value) return;
        const taken = take(text);
        if ("refusal" in taken) setRefusal(taken.refusal);
        else void put(index, taken);
      }}
    />
  );
  const day = (name: "start" | "finish") => (text: string) => {
    const typed = typedDay(text);
    if ("refusal" in typed) return typed;
    return typed.day === null ? { refusal: "An action needs its days." } : { [name]: typed.day };
  };
  const add = async () => {
    if (fresh.trim() === "") return;
    const from = plan.project.dataDate ?? plan.project.start;
    const start = from.slice(0, 10);
    const finish = toCivilText((parseDay(start) ?? 0) + A_MONTH).slice(0, 10);
    const refused = await onActions([
      ...actions,
      { name: fresh.trim(), cost: 0, start, finish, owner: "", state: "planned", progress: 0 },
    ]);
    setRefusal(refused);
    if (!refused) setFresh("");
  };
  return (
    <Box mt="2">
      {actions.map((action, i) => (
        <Box key={i} mb="2" data-action={i}>
          <Flex gap="1">
            {field(i, "Name", action.name, 1, (text) => ({ name: text.trim() }))}
            {field(i, "Cost", formatMoney(action.cost, currency, true), "92px", (text) => {
              const cost = parseMoney(text);
              return cost === undefined ? { refusal: `A cost is an amount, not “${text}”.` } : { cost };
            })}
            <Button
              aria-label={`Remove action ${i + 1}`}
              color="softInk"
              minW="24px"
              minH="24px"
              onClick={() => void onActions(actions.filter((_, other) => other !== i)).then(setRefusal)}
            >
              <X size={14} />
            </Button>
          </Flex>
          <Flex gap="1" mt="1">
            {field(i, "Start", formatDay(action.start), "96px", day("start"))}
            {field(i, "Finish", formatDay(action.finish), "96px", day("finish"))}
            {field(i, "Owner", action.owner, 1, (text) => ({ owner: text.trim() }))}
            <Select
              {...FIELD}
              aria-label={`State of action ${i + 1}`}
              value={action.state}
              onChange={(event) => void put(i, stateOf(event.target.value, plan))}
            >
              {ACTION_STATES.map((state) => (
                <option key={state.value} value={state.value}>
                  {state.label}
                </option>
              ))}
            </Select>
            {field(i, "Progress", `${Math.round(action.progress * 100)} %`, "54px", (text) => {
              const percent = parseNumber(text.replace(/\s*%$/, ""));
              return percent === undefined
                ? { refusal: `Progress is a percentage, not “${text}”.` }
                : { progress: percent / 100 };
            })}
          </Flex>
          {action.state === "done" && (
            <Flex gap="1" mt="1" align="center" color="softInk">
              done on
              {field(i, "Done", action.done ? formatDay(action.done) : "", "96px", (text) => {
                const typed = typedDay(text);
                return "refusal" in typed ? typed : { done: typed.day ?? undefined };
              })}
            </Flex>
          )}
        </Box>
      ))}
      <Input
        {...FIELD}
        width="100%"
        aria-label="Add an action"
        placeholder="Add an action: what is done, then Enter"
        value={fresh}
        onChange={(event) => setFresh(event.target.value)}
        onKeyDown={(event) => event.key === "Enter" && void add()}
      />
      {refusal && <Refusal mt="1">{refusal}</Refusal>}
    </Box>
  );
}

/** What is done is done wholly, on the data date unless somebody says otherwise. */
const stateOf = (state: string, { project }: PlanView): Partial<RiskAction> =>
  state === "done"
    ? { state, progress: 1, done: project.dataDate?.slice(0, 10) }
    : { state, done: undefined };
