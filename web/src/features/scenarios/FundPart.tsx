import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMemo, useRef, useState } from "react";
import type { BestSet, FundView, OptionRow, PlanView, ScenariosView } from "../../shared/api/client";
import { type FundGoal, useDecide, useFund, useStopFund } from "../../shared/api/fund";
import type { ScenarioEdits } from "../../shared/api/scenarios";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import { formatDay, formatShortDay } from "../../shared/format/dates";
import { formatChance, formatMoney } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { notify, tellRefusal } from "../../shared/ui/notify";
import { bestFor, firstBudget, fundSentence, gainWords, leftOutWords, named, triedSentence } from "./fund";
import { FundChart } from "./FundChart";
import { made, refused } from "./making";
import type { ScenariosLook } from "./scenariosStore";
import { freeName } from "./switches";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  view: ScenariosView;
  edits: ScenarioEdits;
  look: ScenariosLook;
  goal: FundGoal;
}

/** Which responses and options to pay for, for every sum. */
export function FundPart({ plan, view, edits, look, goal }: Props) {
  const chart = useRef<HTMLDivElement>(null);
  const { id, revision, currency } = plan.project;
  const [also, setAlso] = useState<readonly string[]>([]);
  const [typed, setTyped] = useState<number>();
  const asked = useMemo(() => ({ goal, level: view.level, scenarios: [...also] }), [goal, view.level, also]);
  const fund = useFund(id, revision, asked);
  const stop = useStopFund(id, revision, asked);
  const decide = useDecide(id);
  const data = fund.data;
  if (fund.isError) return <Notice alert>{fund.error.message}</Notice>;
  if (!data) return <Notice>Trying what can be funded…</Notice>;
  if (data.state === "refused") return <Notice alert>{sentence(data.refusal ?? "")}</Notice>;
  const budget = typed ?? firstBudget(data);
  const best = bestFor(data, budget);
  const title = fundSentence(data, budget, currency);
  const options = view.rows.filter((row) => row.id !== "" && !row.putAway && row.editCount > 0);
  const make = (set: BestSet) => {
    const { risks, scenarios } = partsOf(data, set);
    void made(edits, view.rows, look, {
      name: freeName(`Best for ${formatMoney(budget, currency)}`, view.rows),
      with: scenarios,
      risks: Object.fromEntries(risks.map((risk) => [risk, "response"])),
    }).then(() => look.set({ view: "side" }));
  };
  const decideIt = (set: BestSet) =>
    void decide(partsOf(data, set)).then(
      () => notify(`${named(set, data.options)} are decided. Ctrl Z takes that back.`),
      refused,
    );
  return (
    <Flex height="100%" {...fading(fund.isPlaceholderData)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="3" pt="3">
        <ViewHeading
          name={`what to fund by ${goal}`}
          title={title}
          chart={chart}
          table={() => ({
            columns: ["Options", "Cost", "Gain", "Best for its sum"],
            rows: data.tried.map((one) => [
              one.options.map((at) => data.options[at]?.id).join(" + "),
              one.cost,
              one.gain,
              data.best.some((set) => set.cost === one.cost && set.gain === one.gain) ? "yes" : "",
            ]),
          })}
          letter={title}
        >
          {triedSentence(data)}{" "}
          {data.state === "working" && (
            <Button
              minH="24px"
              color="action"
              cursor="pointer"
              onClick={() => stop.mutate(undefined, tellRefusal)}
            >
              Stop, and keep what is there
            </Button>
          )}
        </ViewHeading>
        <Box ref={chart} flex="1" minH="240px">
          <FundChart view={data} budget={budget} onBudget={setTyped} currency={currency} />
        </Box>
      </Flex>
      <Aside label="The best for the budget">
        {best && (
          <BestPart plan={plan} view={data} best={best} budget={budget} onMake={make} onDecide={decideIt} />
        )}
        {options.length > 0 && (
          <Box as="section" aria-label="Options beside responses">
            <Box fontWeight="650" mb="1">
              Options beside responses
            </Box>
            {options.map((row) => (
              <Flex asChild key={row.id} justify="space-between" align="center" minH="27px" cursor="pointer">
                <label>
                  {row.name}
                  <input
                    type="checkbox"
                    checked={also.includes(row.id)}
                    onChange={(event) =>
                      setAlso(event.target.checked ? [...also, row.id] : also.filter((one) => one !== row.id))
                    }
                  />
                </label>
              </Flex>
            ))}
          </Box>
        )}
      </Aside>
    </Flex>
  );
}

/** What is in a set: risks that are answered, and scenarios. */
function partsOf(view: FundView, set: BestSet) {
  const all = view.options.filter(({ kind }) => kind === "scenario").map(({ id }) => id);
  return {
    risks: set.options.filter((id) => !all.includes(id)),
    scenarios: set.options.filter((id) => all.includes(id)),
  };
}

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

interface BestProps {
  plan: PlanView;
  view: FundView;
  best: BestSet;
  budget: number;
  onMake: (best: BestSet) => void;
  onDecide: (best: BestSet) => void;
}

/** What is in the best set and what that comes to; what is left out, and why. */
function BestPart({ plan, view, best, budget, onMake, onDecide }: BestProps) {
  const { currency } = plan.project;
  const goal = view.goal as FundGoal;
  const inside = view.options.filter((option) => best.options.includes(option.id));
  const outside = view.options.filter((option) => !best.options.includes(option.id));
  const none = view.best[0]?.numbers;
  const its = best.numbers;
  return (
    <>
      <Box>
        <Box as="h2" fontSize="16px" fontWeight="650">
          The best for {formatMoney(budget, currency)}
        </Box>
        <Box color="softInk">{formatMoney(best.cost, currency)} of it is spent</Box>
      </Box>
      <Box data-testid="funded">
        {inside.length === 0 && "Nothing."}
        {inside.map((option) => (
          <Option
            key={option.id}
            option={option}
            note={`${formatMoney(option.cost, currency)} · ${share(best, option, goal, currency)}`}
          />
        ))}
      </Box>
      {its && none && (
        <Box>
          <Fact label={`P${view.level} finish`}>{formatDay(its.finishLevel)}</Fact>
          {its.finishChance !== undefined && none.finishChance !== undefined && (
            <Fact
              label={`Target, ${plan.project.targetFinish ? formatShortDay(plan.project.targetFinish) : ""}`}
            >
              {formatChance(none.finishChance)} → {formatChance(its.finishChance)}
            </Fact>
          )}
          <Fact label={`P${view.level} cost, all paid`}>
            {formatMoney(none.costLevel, currency)} → {formatMoney(its.costLevel, currency)}
          </Fact>
          {its.jointChance !== undefined && none.jointChance !== undefined && (
            <Fact label="Target and budget">
              {formatChance(none.jointChance)} → {formatChance(its.jointChance)}
            </Fact>
          )}
        </Box>
      )}
      {!view.complete && best.gap !== undefined && best.gap > 0 && (
        <Box color="softInk">
          Not every set was tried: one of no more cost could bring at most{" "}
          {gainWords(goal, best.gap, currency)} more.
        </Box>
      )}
      {view.state === "working" && (
        <Box color="softInk">Better ones may still be found: it is being worked out.</Box>
      )}
      {best.options.length > 0 && view.state !== "working" && (
        <Flex gap="5">
          <Button minH="24px" color="action" cursor="pointer" fontWeight="650" onClick={() => onMake(best)}>
            Make it a scenario
          </Button>
          <Button minH="24px" color="action" cursor="pointer" fontWeight="650" onClick={() => onDecide(best)}>
            Decide it
          </Button>
        </Flex>
      )}
      {outside.length > 0 && (
        <Box data-testid="left out">
          <Box fontWeight="650" mb="1">
            Left out, and why
          </Box>
          {outside.map((option) => (
            <Option
              key={option.id}
              option={option}
              note={leftOutWords(view, best, option, budget, currency)}
              hollow
            />
          ))}
        </Box>
      )}
    </>
  );
}

function share(best: BestSet, option: OptionRow, goal: FundGoal, currency: string): string {
  const gain = best.without.find((one) => one.id === option.id)?.gain;
  return gain === undefined
    ? "its own part was not tried"
    : `${gain < 0 ? "takes" : "brings"} ${gainWords(goal, gain, currency)} in this set`;
}

function Option({ option, note, hollow }: { option: OptionRow; note: string; hollow?: boolean }) {
  return (
    <Flex gap="2" py="1" borderTopWidth="1px" borderColor="line" data-option={option.id}>
      <svg width="16" height="18" aria-hidden="true">
        <Mark kind={option.mark as MarkKind} x={8} y={10} size={5} hollow={hollow} />
      </svg>
      <Box flex="1" minW="0" lineHeight="1.3">
        {option.kind === "scenario" ? option.title : `${option.id} ${option.what || option.title}`}
        <Box color="softInk" fontSize="12.5px">
          {note}
        </Box>
      </Box>
    </Flex>
  );
}

function Fact({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Flex justify="space-between" py="0.5">
      <Box color="softInk">{label}</Box>
      <Box>{children}</Box>
    </Flex>
  );
}
