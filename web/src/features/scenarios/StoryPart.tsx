import { Box, chakra, Flex } from "@chakra-ui/react";
import { ArrowDown, ArrowUp } from "lucide-react";
import { type RefObject, useRef } from "react";
import type { PlanView, ScenariosView, StoryView } from "../../shared/api/client";
import { useStory } from "../../shared/api/scenarios";
import { landing } from "../../shared/charts/landing";
import { SizedSteps } from "../../shared/charts/SizedSteps";
import type { StepDrawn } from "../../shared/charts/Steps";
import { formatDay } from "../../shared/format/dates";
import { formatMoney } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { ToolButton } from "../../shared/ui/ToolButton";
import { strokeOf } from "./scenarioLook";
import type { ScenariosLook } from "./scenariosStore";
import { daysSigned, differenceWords, moneySigned } from "./scenarioWords";
import { orderOf, overlapSentence, payers, storySentence } from "./story";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  view: ScenariosView;
  look: ScenariosLook;
}

/** Cost against benefit as a story: scenarios in the order in which one would do them, each with what it adds to those before it. */
export function StoryPart({ plan, view, look }: Props) {
  const chart = useRef<HTMLDivElement>(null);
  const order = orderOf(view.rows, look.order);
  const story = useStory(plan.project.id, order.length > 0 ? String(view.revision) : "", order, view.level);
  return (
    <Flex height="100%">
      <Box flex="1" minW="0" height="100%" {...fading(story.isPlaceholderData)}>
        {story.error && <Notice alert>{story.error.message}</Notice>}
        {!story.error && order.length === 0 && (
          <Notice>Choose scenarios at the right, in the order in which you would do them.</Notice>
        )}
        {!story.error && order.length > 0 && !story.data && <Notice>Laying one over the other…</Notice>}
        {story.data && order.length > 0 && (
          <Told plan={plan} view={view} story={story.data} look={look} chart={chart} />
        )}
      </Box>
      <Order view={view} order={order} look={look} story={story.data} currency={plan.project.currency} />
    </Flex>
  );
}

interface ToldProps extends Props {
  story: StoryView;
  chart: RefObject<HTMLDivElement | null>;
}

function Told({ plan, view, story, look, chart }: ToldProps) {
  const { currency } = plan.project;
  const title = storySentence(story, currency);
  const level = `P${story.level}`;
  const drawn = (
    of: (step: StoryView["steps"][number]) => number,
    first: string,
    label: (value: number) => string,
  ) => {
    let at = 0;
    const steps: StepDrawn[] = [landing("plan", "as it stands", 0, first)];
    for (const step of story.steps) {
      const change = of(step);
      at += change;
      steps.push({
        id: step.id,
        name: step.name,
        at,
        change,
        label: label(change),
        colour: strokeOf(view.rows, step.id).colour,
        opens: true,
      });
    }
    return steps;
  };
  return (
    <Flex direction="column" height="100%" pl="5" pr="3" pt="3" pb="2">
      <ViewHeading
        name="scenarios one after the other"
        title={title}
        chart={chart}
        table={() => ({
          columns: [
            "Scenario",
            "Adds working days",
            "Adds cost",
            "Costs now",
            "Alone: days",
            "Alone: cost",
            `${level} finish`,
            `${level} cost`,
          ],
          rows: story.steps.map((step) => [
            step.name,
            step.adds.days,
            step.adds.cost,
            step.adds.now,
            step.alone.days,
            step.alone.cost,
            step.numbers.finishLevel.replace("T", " "),
            step.numbers.costLevel,
          ]),
        })}
        letter={[title, ...payers(story, currency)].join(" ")}
      >
        {payers(story, currency)[0] ??
          "Each is laid over those before it, with the same random numbers, so the steps add up."}
      </ViewHeading>
      <Flex ref={chart} direction="column" flex="1" minH="0">
        <Box color="softInk" fontSize="12.5px">
          {level} of the finish, in working days
        </Box>
        <Box flex="1" minH="120px">
          <SizedSteps
            steps={drawn((step) => step.adds.days, formatDay(story.plan.finishLevel), daysSigned)}
            chosen={look.chosen}
            tick={daysSigned}
            onOpen={(id) => look.set({ chosen: id })}
          />
        </Box>
        <Box color="softInk" fontSize="12.5px">
          {level} of the cost, what they cost included
        </Box>
        <Box flex="1" minH="120px">
          <SizedSteps
            steps={drawn(
              (step) => step.adds.cost,
              formatMoney(story.plan.costLevel, currency),
              (value) => moneySigned(value, currency),
            )}
            chosen={look.chosen}
            tick={(value) => moneySigned(value, currency)}
            onOpen={(id) => look.set({ chosen: id })}
          />
        </Box>
      </Flex>
    </Flex>
  );
}

interface OrderProps {
  view: ScenariosView;
  order: string[];
  look: ScenariosLook;
  story: StoryView | undefined;
  currency: string;
}

/** The order in which they are chosen, to be changed; what else there is can be added. */
function Order({ view, order, look, story, currency }: OrderProps) {
  const set = (next: string[]) => look.set({ order: next });
  const rowOf = (id: string) => view.rows.find((row) => row.id === id);
  const others = view.rows.filter((row) => row.id !== "" && !row.putAway && !order.includes(row.id));
  const swap = (i: number, j: number) => {
    const next = [...order];
    const [a, b] = [next[i], next[j]];
    if (a === undefined || b === undefined) return;
    next[i] = b;
    next[j] = a;
    set(next);
  };
  return (
    <Aside label="The order in which they are chosen">
      <Box fontWeight="650">In this order</Box>
      {order.map((id, i) => {
        const step = story?.steps.find((one) => one.id === id);
        const overlap = step && overlapSentence(step);
        return (
          <Box key={id} data-story={id} borderTopWidth="1px" borderColor="line" pt="1.5">
            <Flex gap="1" align="center">
              <Box flex="1" fontWeight={look.chosen === id ? 650 : 400}>
                {i + 1}. {rowOf(id)?.name}
              </Box>
              <ToolButton
                label={`${rowOf(id)?.name} earlier`}
                disabled={i === 0}
                onClick={() => swap(i, i - 1)}
              >
                <ArrowUp size={14} />
              </ToolButton>
              <ToolButton
                label={`${rowOf(id)?.name} later`}
                disabled={i === order.length - 1}
                onClick={() => swap(i, i + 1)}
              >
                <ArrowDown size={14} />
              </ToolButton>
              <Button
                minH="24px"
                color="action"
                cursor="pointer"
                onClick={() => set(order.filter((one) => one !== id))}
              >
                Leave out
              </Button>
            </Flex>
            <Box color="softInk" fontSize="12.5px">
              {rowOf(id) && differenceWords(rowOf(id) as ScenariosView["rows"][number])}
            </Box>
            {step && (
              <Box>
                adds {daysSigned(step.adds.days)} and {moneySigned(step.adds.cost, currency)}, for{" "}
                {formatMoney(step.adds.now, currency)} now
                {overlap && (
                  <Box color="softInk" fontSize="12.5px">
                    {overlap}
                  </Box>
                )}
              </Box>
            )}
          </Box>
        );
      })}
      {others.length > 0 && (
        <Box>
          <Box fontWeight="650" mb="1">
            Left out
          </Box>
          {others.map((row) => (
            <Flex key={row.id} py="0.5" gap="2" borderTopWidth="1px" borderColor="line">
              <Box flex="1">{row.name}</Box>
              <Button
                minH="24px"
                color="action"
                cursor="pointer"
                aria-label={`Add ${row.name}`}
                onClick={() => set([...order, row.id])}
              >
                Add
              </Button>
            </Flex>
          ))}
        </Box>
      )}
    </Aside>
  );
}
