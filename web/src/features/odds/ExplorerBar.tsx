import { Box, chakra, Flex } from "@chakra-ui/react";
import type { PlanView, RunView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRowEdits } from "../../shared/api/rowEdits";
import { notify } from "../../shared/ui/notify";
import { Choice } from "../../shared/ui/Choice";
import { useOddsStore } from "../../shared/odds/oddsStore";
import { barWidth, type Quantity } from "../../shared/odds/quantity";
import { LIVE_CHOICE, SourcePicker } from "../../shared/odds/SourcePicker";
import { SubjectPicker } from "../../shared/odds/SubjectPicker";
import { PROJECT, QUANTITIES, type Subject } from "../../shared/odds/subject";

const Input = chakra("input");
const Label = chakra("label");
const NOTHING = { value: "", label: "nothing" };
const FEWEST_BARS = 5;
const MOST_BARS = 200;

interface Props {
  plan: PlanView;
  subject: Subject;
  quantity?: Quantity;
  /** What it can be compared with, and what it is. */
  runs: RunView[];
  shown?: string;
  compared: string;
  onCompare: (source: string) => void;
  between: boolean;
  onBetween: (between: boolean) => void;
}

/** What is looked at and how: of what, which quantity, beside which other odds, between which values, in how many bars. */
export function ExplorerBar({ plan, subject, quantity, runs, shown, compared, ...on }: Props) {
  const { look, bins, setBins } = useOddsStore();
  const { id } = plan.project;
  const money = plan.plannedCost !== 0;
  const choices = money ? QUANTITIES : QUANTITIES.filter((one) => one.value !== "cost");
  const others = runs.filter((run) => run.id !== shown && run.state !== "running");
  return (
    <Flex align="center" gap="4" height="28px" color="softInk" whiteSpace="nowrap">
      <Flex align="center" gap="1.5">
        <SubjectPicker plan={plan} subject={subject} onChange={(of) => look(id, { ...subject, of })} />
        <Choice
          label="Which quantity"
          choices={choices}
          value={subject.what}
          onChange={(what) => look(id, { ...subject, what })}
        />
      </Flex>
      <Watch plan={plan} subject={subject} />
      <Box flex="1" />
      <Label
        display="flex"
        alignItems="center"
        gap="1.5"
        title="A second line, for the chance between two values"
      >
        <input
          type="checkbox"
          aria-label="Between two"
          checked={on.between}
          onChange={(event) => on.onBetween(event.target.checked)}
        />
        Between two
      </Label>
      <Label
        display="flex"
        alignItems="center"
        gap="1.5"
        title={quantity && `${quantity.counts.length} bars of ${barWidth(quantity)} each`}
      >
        Bars
        <Input
          type="range"
          width="60px"
          aria-label="Number of bars"
          aria-valuetext={quantity && `${quantity.counts.length} bars of ${barWidth(quantity)}`}
          min={FEWEST_BARS}
          max={MOST_BARS}
          value={Math.min(MOST_BARS, bins ?? quantity?.counts.length ?? FEWEST_BARS)}
          accentColor="var(--chakra-colors-action)"
          onChange={(event) => setBins(Number(event.target.value))}
        />
      </Label>
      <Flex align="center" gap="1.5">
        Beside
        <SourcePicker
          label="Compare with"
          width="6.4rem"
          brief
          runs={others}
          value={compared}
          first={shown ? [NOTHING, LIVE_CHOICE] : [NOTHING]}
          onChange={on.onCompare}
        />
      </Flex>
    </Flex>
  );
}

/** Whether runs keep all values of an activity, and wait for its finish. */
function Watch({ plan, subject }: { plan: PlanView; subject: Subject }) {
  const edits = useRowEdits(plan.project.id);
  const activity = plan.activities.find((one) => one.id === subject.of);
  if (subject.of === PROJECT || !activity) return null;
  return (
    <Label
      display="flex"
      alignItems="center"
      gap="1.5"
      title="Recorded runs keep all its values, and a run until steady waits for its finish too"
    >
      <input
        type="checkbox"
        checked={activity.watch}
        onChange={(event) =>
          void edits
            .rows([{ id: activity.id, watch: event.target.checked }])
            .catch((error: unknown) => notify(refusalOf(error)))
        }
      />
      Watched
    </Label>
  );
}
