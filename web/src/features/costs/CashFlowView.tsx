import { Box, chakra, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import type { FlowPeriod, FundingView, PlanView } from "../../shared/api/client";
import { type Period, useCashFlow, useCostEdits } from "../../shared/api/costs";
import { refusalOf } from "../../shared/api/edits";
import { ChartTable } from "../../shared/charts/ChartTable";
import { formatMoney } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { Choice } from "../../shared/ui/Choice";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { notify } from "../../shared/ui/notify";
import type { CostsLook } from "./costsStore";
import { FlowChart } from "./FlowChart";
import { flowSentence, flowTable, periodName } from "./flow";
import { FundingList } from "./FundingList";
import { categoriesOf } from "./money";
import { PeriodPanel } from "./PeriodPanel";

const Select = chakra("select");

const PERIODS: { value: Period; label: string }[] = [
  { value: "week", label: "Week" },
  { value: "month", label: "Month" },
  { value: "quarter", label: "Quarter" },
];

interface Props {
  plan: PlanView;
  run: string;
  current: boolean;
  look: CostsLook;
}

/** Money over time, of the project or a part of it, and whether the funding suffices. */
export function CashFlowView({ plan, run, current, look }: Props) {
  const chart = useRef<HTMLDivElement>(null);
  const { currency } = plan.project;
  const flow = useCashFlow(run, look.period, look);
  const edits = useCostEdits(plan.project.id);
  const fund = (funding: FundingView[]) =>
    void edits
      .funding(funding.map(({ date, amount, name }) => ({ date, amount: String(amount), name })))
      .catch((error: unknown) => notify(refusalOf(error)));
  if (flow.isError) return <Notice alert>{refusalOf(flow.error)}</Notice>;
  if (!flow.data) return <Notice>Laying the money over time…</Notice>;
  const { periods } = flow.data;
  const whole = look.of === "project" && look.category === "";
  const sentence = flowSentence(flow.data, look.period, currency);
  const breaking = flow.data.funding?.breaks?.from;
  const chosen =
    periods.find((one) => one.from === look.day) ??
    [...periods].reverse().find((one) => breaking !== undefined && one.from <= breaking) ??
    periods.reduce<FlowPeriod | undefined>(
      (most, one) => (!most || one.within.p50 > most.within.p50 ? one : most),
      undefined,
    );
  return (
    <Flex height="100%" {...fading(!current || flow.isPlaceholderData)}>
      <Flex direction="column" flex="1" minW="0" px="5" py="3">
        <ViewHeading
          title={sentence}
          chart={chart}
          name={`${plan.project.name}, cash flow`}
          table={() => flowTable(flow.data, look.period)}
          letter={sentence}
        >
          Spent by the end of each period. The band holds the middle 80 of 100 futures; percentiles are of
          each period by itself and of all money to date, not of one future.
        </ViewHeading>
        <Flex gap="4" mb="1" align="center" color="softInk" wrap="wrap">
          <PartPicker plan={plan} look={look} />
          <Choice
            label="Periods"
            choices={PERIODS}
            value={look.period}
            onChange={(period) => look.set({ period })}
          />
        </Flex>
        <Box position="relative">
          <ChartTable
            caption="Cash flow"
            columns={["Period", "Planned to date", "P50 to date", `P${Math.round(flow.data.level)} to date`]}
            rows={periods.map((one) => [
              periodName(one.from, look.period),
              formatMoney(one.toDate.planned, currency),
              formatMoney(one.toDate.p50, currency),
              formatMoney(one.toDate.at, currency),
            ])}
          />
        </Box>
        <Box ref={chart} flex="1" minH="240px">
          <FlowChart
            flow={flow.data}
            funding={whole ? plan.funding : []}
            currency={currency}
            budget={whole ? plan.project.targetCost : undefined}
            chosen={chosen?.from}
            onChoose={(day) => look.set({ day })}
            onFund={whole ? fund : undefined}
          />
        </Box>
      </Flex>
      <Aside label="A period explained" width={352}>
        {chosen && <PeriodPanel plan={plan} flow={flow.data} period={chosen} look={look} />}
        {whole && <FundingList plan={plan} />}
      </Aside>
    </Flex>
  );
}

/** The project, a branch, or a category. */
function PartPicker({ plan, look }: { plan: PlanView; look: CostsLook }) {
  const value = look.category === "" ? look.of : `/${look.category}`;
  return (
    <Select
      aria-label="Cash flow of"
      height="28px"
      px="1.5"
      maxW="20rem"
      bg="panel"
      color="ink"
      borderWidth="1px"
      borderColor="line"
      value={value}
      onChange={({ target }) =>
        look.set(
          target.value.startsWith("/")
            ? { of: "project", category: target.value.slice(1) }
            : { of: target.value, category: "" },
        )
      }
    >
      <option value="project">the whole project</option>
      <optgroup label="Branches">
        {plan.branches.map((branch) => (
          <option key={branch.id} value={branch.id}>
            {branch.code} {branch.name}
          </option>
        ))}
      </optgroup>
      <optgroup label="Categories">
        {categoriesOf(plan).map((category) => (
          <option key={category} value={`/${category}`}>
            {category}
          </option>
        ))}
      </optgroup>
    </Select>
  );
}
