import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PlanView, RiskView } from "../../shared/api/client";
import { DAY_EXAMPLE, formatDay, typedDay } from "../../shared/format/dates";
import { editedNumber, formatDays, formatMoney, parseMoney, parseNumber } from "../../shared/format/numbers";
import { SheetPart } from "../../shared/sheet/SheetPart";
import { ChoiceField, TextField } from "../../shared/ui/Field";
import { Refusal } from "../../shared/ui/Refusal";
import type { ChangeRisk } from "./RiskSheet";
import { STATES } from "./riskWords";

interface Props {
  plan: PlanView;
  risk: RiskView;
  change: ChangeRisk;
}

/** Whether it is still to be reckoned with: closed for a reason, or occurred with what it really took. */
export function StatePart({ plan, risk, change }: Props) {
  const [next, setNext] = useState<"closed" | "occurred">();
  const [why, setWhy] = useState("");
  const [on, setOn] = useState(formatDay(plan.project.dataDate ?? plan.project.start));
  const [days, setDays] = useState("");
  const [money, setMoney] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const choose = (state: string) => {
    setRefusal(undefined);
    if (state === "closed" || state === "occurred") {
      setNext(state);
      return undefined;
    }
    setNext(undefined);
    return change({ state });
  };
  const send = async (fields: Parameters<ChangeRisk>[0]) => {
    const refused = await change(fields);
    setRefusal(refused);
    if (!refused) setNext(undefined);
  };
  const close = () =>
    why.trim() === ""
      ? setRefusal("Say why it is closed: whoever reads the register later will ask.")
      : void send({ state: "closed", closedBecause: why.trim() });
  const occur = () => {
    const day = typedDay(on);
    const took = days.trim() === "" ? 0 : parseNumber(days);
    const cost = money.trim() === "" ? 0 : parseMoney(money);
    if ("refusal" in day || day.day === null)
      return setRefusal("refusal" in day ? day.refusal : `Say on which day, such as ${DAY_EXAMPLE}.`);
    if (took === undefined) return setRefusal(`Days are a number, not “${days}”.`);
    if (cost === undefined) return setRefusal(`Money is an amount, not “${money}”.`);
    void send({ state: "occurred", occurred: { on: day.day, days: took, money: cost } });
  };
  const said = (set: (text: string) => void) => (text: string) => {
    set(text);
    return undefined;
  };
  return (
    <SheetPart title="State">
      <ChoiceField label="State" value={next ?? risk.state} choices={STATES} onHandIn={choose} />
      {risk.state === "closed" && !next && (
        <TextField
          label="Closed because"
          value={risk.closedBecause}
          onHandIn={(closedBecause) => change({ closedBecause })}
        />
      )}
      {risk.occurred && !next && (
        <Box mb="2">
          It struck on <b>{formatDay(risk.occurred.on)}</b> and took{" "}
          <b>{formatDays(risk.occurred.days ?? 0)} working days</b> and{" "}
          <b>{formatMoney(risk.occurred.money ?? 0, plan.project.currency, true)}</b>: certain from now on. It
          was estimated at {risk.chanceText}
          {risk.timeText && `, ${risk.timeText}`}
          {risk.moneyText && `, ${risk.moneyText}`}.
        </Box>
      )}
      {next === "closed" && <TextField label="Because" value={why} onHandIn={said(setWhy)} />}
      {next === "occurred" && (
        <>
          <TextField label="On" value={on} onHandIn={said(setOn)} />
          <TextField
            label="Days it took"
            hint="Working days, of each activity that its effects on time name"
            value={days}
            onHandIn={said(setDays)}
          />
          <TextField
            label="Money it took"
            hint={`Such as ${editedNumber(40_000)}`}
            value={money}
            onHandIn={said(setMoney)}
          />
        </>
      )}
      {next && (
        <Flex gap="2">
          <Button
            size="xs"
            bg="action"
            color="onAction"
            onClick={() => (next === "closed" ? close() : occur())}
          >
            {next === "closed" ? "Close it" : "It has occurred"}
          </Button>
          <Button size="xs" variant="ghost" onClick={() => setNext(undefined)}>
            Leave it {risk.state}
          </Button>
        </Flex>
      )}
      {refusal && <Refusal mt="1">{refusal}</Refusal>}
    </SheetPart>
  );
}
