import { Box, Flex } from "@chakra-ui/react";
import type { CashFlow, FlowPeriod, PlanView } from "../../shared/api/client";
import { formatMoney } from "../../shared/format/numbers";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import type { CostsLook } from "./costsStore";
import { fundedIn, periodName, withinWords } from "./flow";

interface PanelProps {
  plan: PlanView;
  flow: CashFlow;
  period: FlowPeriod;
  look: CostsLook;
}

/** One period in figures. */
export function PeriodPanel({ plan, flow, period, look }: PanelProps) {
  const { currency } = plan.project;
  const money = (amount: number) => formatMoney(amount, currency);
  const level = `P${Math.round(flow.level)}`;
  const funded = fundedIn(flow, period);
  const name = periodName(period.from, look.period);
  const lines: [string, string][] = [
    ["Planned to date", money(period.toDate.planned)],
    ...(period.toDate.outset === undefined
      ? []
      : [["Planned at the outset", money(period.toDate.outset)] as [string, string]]),
    ["P50 to date", money(period.toDate.p50)],
    [`${level} to date`, money(period.toDate.at)],
    ...(funded
      ? ([
          ["Funded by its end", money(funded.available)],
          ["Chance to stay within", withinWords(funded.within)],
        ] as [string, string][])
      : []),
  ];
  const within: [string, string][] = [
    ["Planned", money(period.within.planned)],
    ["P10", money(period.within.p10)],
    ["P50", money(period.within.p50)],
    [level, money(period.within.at)],
  ];
  return (
    <Box>
      <LabelledSelect
        label="Period"
        value={period.from}
        width="100%"
        choices={flow.periods.map((one) => ({ value: one.from, label: periodName(one.from, look.period) }))}
        onPick={(day) => look.set({ day })}
      />
      <Lines title={`By the end of ${name}`} lines={lines} />
      <Lines title={`In ${name} alone`} lines={within} />
    </Box>
  );
}

function Lines({ title, lines }: { title: string; lines: readonly [string, string][] }) {
  return (
    <Box mt="3">
      <Box as="h2" fontWeight="650" mb="1">
        {title}
      </Box>
      {lines.map(([label, value]) => (
        <Flex key={label} justify="space-between" py="1" borderBottomWidth="1px" borderColor="line">
          <Box>{label}</Box>
          <Box fontWeight={label.startsWith("Chance") ? 650 : undefined}>{value}</Box>
        </Flex>
      ))}
    </Box>
  );
}
