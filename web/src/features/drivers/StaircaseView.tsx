import { Box, Flex } from "@chakra-ui/react";
import { type ReactNode, useRef } from "react";
import type { RunView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { SourcePicker } from "../../shared/odds/SourcePicker";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { Aside } from "../../shared/stage/Aside";
import { ChangeSteps } from "./ChangeSteps";
import { LevelField } from "./LevelField";
import type { ViewProps } from "./MovesView";
import { SizedSteps } from "../../shared/charts/SizedSteps";
import { StairSums } from "./StairSums";
import { stairSentence, stepName } from "./staircaseWords";
import { drawn, opened, stairTable, tickText } from "./stairSteps";
import { StepInside } from "./StepInside";
import { useStaircase, useStep } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

const CAUSES = { value: "", label: "the plan, by cause" };

/** From the plan to a percentile, one cause after the other; or from a recorded run, one kind of change after the other. */
export function StaircaseView(props: ViewProps & { runs: RunView[] }) {
  const { plan, goal, look, runs, run } = props;
  const level = <LevelField look={look} confidence={plan.project.confidence} />;
  const from = (
    <Flex align="center" gap="2" color="softInk" mb="2">
      <Box width="112px" flexShrink="0" fontSize="12.5px">
        From
      </Box>
      <SourcePicker
        label="Steps from"
        width="100%"
        runs={runs.filter((one) => one.id !== run)}
        value={look.from}
        first={[CAUSES]}
        onChange={(source) => look.set({ from: source })}
      />
    </Flex>
  );
  const tools = (
    <>
      {level}
      {from}
    </>
  );
  return look.from === "" ? (
    <Causes {...props} goal={goal} tools={tools} />
  ) : (
    <ChangeSteps {...props} tools={tools} />
  );
}

/** One cause after the other. */
function Causes({ plan, run, goal, look, tools }: ViewProps & { tools: ReactNode }) {
  const stairs = useStaircase(run, goal.subject, look.level);
  const open = opened(stairs.data, look.step);
  const inside = useStep(run, goal.subject, open, look.level);
  const chart = useRef<HTMLDivElement>(null);
  if (stairs.isError) return <Notice alert>{refusalOf(stairs.error)}</Notice>;
  if (!stairs.data) return <Notice>Simulating one cause after the other…</Notice>;
  const view = stairs.data;
  const title = stairSentence(view, goal);
  const steps = drawn(view, goal);
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="3" pt="3" pb="2">
        <ViewHeading
          name={`staircase of ${goal.name}`}
          title={title}
          chart={chart}
          table={() => stairTable(view, inside.data)}
          letter={[
            title,
            ...view.steps.slice(1).map(({ cause, change }) => `${stepName(cause)}: ${goal.signed(change)}.`),
          ].join(" ")}
        >
          {goal.money && goal.subject.of === "project"
            ? "Each step adds a part of the cost of the same futures, so the steps add up."
            : "Each step is a simulation with one thing more and the same random numbers, so the steps add up."}{" "}
          {goal.money ? "" : "In working days. "}Open a step to see what is in it.
        </ViewHeading>
        <Box ref={chart} flex="1" minH="260px">
          <SizedSteps
            steps={steps}
            target={
              view.target && view.targetChange !== undefined
                ? {
                    at: view.targetChange,
                    label: `${goal.money ? "budget" : "target"} ${goal.value(view.target)}`,
                  }
                : undefined
            }
            chosen={open}
            tick={(value) => tickText(value, goal)}
            onOpen={(step) => look.set({ step })}
          />
        </Box>
        <StairSums view={view} goal={goal} />
      </Flex>
      <Aside label="What is in a step" width={380}>
        <Box>{tools}</Box>
        {inside.isError && <Box role="alert">{refusalOf(inside.error)}</Box>}
        {inside.data && inside.data.cause === open ? (
          <StepInside inside={inside.data} goal={goal} plan={plan} />
        ) : (
          <Box color="softInk">
            {inside.isFetching
              ? "Trying what is in it one by one…"
              : "Click a step, or go to it by Tab and open it by Enter: what is in it is listed here."}
          </Box>
        )}
      </Aside>
    </Flex>
  );
}
