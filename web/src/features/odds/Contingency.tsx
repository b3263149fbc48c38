import { Box, Flex } from "@chakra-ui/react";
import type { PlanView } from "../../shared/api/client";
import { formatChance } from "../../shared/format/numbers";
import { Word } from "../../shared/words/Word";
import { contingencyWords } from "../../shared/odds/sentences";
import { PROJECT, type QuantityName } from "../../shared/odds/subject";
import { useQuantity, useReading } from "./useOdds";

const NO_LEVELS: number[] = [];

interface Props {
  plan: PlanView;
  run: string;
  /** 0 to 1, at the reading line. */
  chance: number;
}

/** What has to be added to the plan, in days and in money, to be as sure as the reading line says. */
export function Contingency({ plan, run, chance }: Props) {
  return (
    <Box as="section" aria-label="Contingency">
      <Box as="h2" fontWeight="650" mb="1">
        <Word id="contingency">Contingency</Word> to be {formatChance(chance)} sure
      </Box>
      <Part name="Time" what="finish" plan={plan} run={run} chance={chance} />
      {plan.plannedCost !== 0 && <Part name="Money" what="cost" plan={plan} run={run} chance={chance} />}
    </Box>
  );
}

function Part({ name, what, plan, run, chance }: Props & { name: string; what: QuantityName }) {
  const subject = { what, of: PROJECT };
  const quantity = useQuantity(run, subject, { levels: NO_LEVELS, currency: plan.project.currency });
  const reading = useReading(run, subject, { by: "chance", chance: Math.round(chance * 1e4) / 100 });
  return (
    <Flex justify="space-between" gap="3" py="4px" borderBottomWidth="1px" borderColor="line">
      <Box>{name}</Box>
      <Box textAlign="right">
        {quantity.data && reading.data ? contingencyWords(quantity.data, reading.data) : "…"}
      </Box>
    </Flex>
  );
}
