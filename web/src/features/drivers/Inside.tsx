import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { InsideActivity } from "../../shared/api/client";
import { formatMoney, formatOne, formatSigned } from "../../shared/format/numbers";
import { PartLine } from "./PartLine";

const Button = chakra("button");

/** What makes an activity late, and dear: its own estimate, each risk on it, waiting, and their overlap; it adds up. */
export function Inside({ inside, currency }: { inside: InsideActivity; currency: string }) {
  const [money, setMoney] = useState(false);
  const hasMoney = inside.money !== undefined && Math.abs(inside.money.total) >= 1;
  const side = money && inside.money ? inside.money : inside.time;
  const say = (value: number) =>
    money
      ? formatSigned(value, (amount) => formatMoney(amount, currency))
      : `${formatSigned(value, formatOne)} d`;
  const parts = [
    { name: money ? "its own amounts and time" : "its own estimate", mark: "estimate", value: side.own },
    ...side.risks.map(({ id, title, mark, value }) => ({ name: `${title} (${id})`, mark, value })),
    ...(money ? [] : [{ name: "waiting for what comes before", mark: undefined, value: side.waiting }]),
    { name: "overlap", mark: undefined, value: side.overlap },
  ].filter(({ value }) => Math.abs(value) >= (money ? 1 : 0.05));
  const most = Math.max(...parts.map(({ value }) => Math.abs(value)), 1e-9);
  return (
    <Box data-testid="inside">
      <Flex align="baseline" gap="3" mb="1">
        <Box fontWeight="650">What is in it at P{Math.round(inside.level)}</Box>
        {hasMoney && (
          <Button color="action" cursor="pointer" minH="24px" onClick={() => setMoney(!money)}>
            {money ? "in days" : "in money"}
          </Button>
        )}
      </Flex>
      {parts.length === 0 && <Box color="softInk">Nothing moves it from its plan.</Box>}
      {parts.map(({ name, mark, value }) => (
        <PartLine key={name} mark={mark} name={name} text={say(value)} share={Math.abs(value) / most} />
      ))}
      <Flex borderTopWidth="1px" borderColor="line" pt="1" mt="1" fontWeight="650">
        <Box flex="1">{money ? "above its planned cost" : "after its planned finish"}</Box>
        <Box>{say(side.total)}</Box>
      </Flex>
    </Box>
  );
}
