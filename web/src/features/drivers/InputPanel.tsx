import { Box, chakra, Flex } from "@chakra-ui/react";
import type { PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { formatChance, formatDays, formatSigned } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import type { Look } from "./driversStore";
import { type Goal, outputKey } from "./goal";
import { Inside } from "./Inside";
import { Members } from "./Members";
import type { InputRow } from "./measures";
import { rowSentence, slopeText } from "./measureWords";
import { conditional, drawnWords } from "./scatter";
import { ScatterBox } from "./ScatterBox";
import { useThings } from "./toThing";
import { useInside, useScatter } from "./useDrivers";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  run: string;
  row: InputRow;
  /** What belongs to it, where it is a group. */
  members: InputRow[];
  goal: Goal;
  look: Look & { set: (look: Partial<Look>) => void };
  onFuture: (number: number) => void;
}

/** The input that is selected: what it does, its cloud, what is in it, and the way to the thing itself. */
export function InputPanel({ plan, run, row, members, goal, look, onFuture }: Props) {
  const { currency } = plan.project;
  const input = row.driver?.input;
  const y = outputKey(goal.subject);
  const scatter = useScatter(run, input?.key ?? "", y, look.cuts[input?.key ?? ""], look.cuts[y]);
  const activity = input?.kind === "estimate" ? input.id : undefined;
  const inside = useInside(run, activity);
  const things = useThings(plan);
  const cut = (key: string) => (value: number) => look.set({ cuts: { ...look.cuts, [key]: value } });
  const view = input && scatter.data;
  return (
    <Aside label="The selected input" width={400}>
      <Box>
        <Box fontSize="16px" fontWeight="650" lineHeight="1.25">
          {row.name}
        </Box>
        <Box mt="1" color="softInk" data-testid="row-sentence">
          {rowSentence(row, look.measure, goal)} {view && conditional(view, currency, "it")}
        </Box>
      </Box>
      {row.group && (
        <Members
          members={members}
          measure={look.measure}
          goal={goal}
          goOf={({ driver }) => driver && things.ofInput(driver.input.kind, driver.input.id)[0]?.go}
        />
      )}
      {input && scatter.isError && <Box role="alert">{refusalOf(scatter.error)}</Box>}
      {view && (
        <Box>
          <Box height="270px">
            <ScatterBox
              view={view}
              currency={currency}
              onX={cut(view.x.key)}
              onY={cut(view.y.key)}
              onFuture={onFuture}
            />
          </Box>
          <Flex justify="space-between" color="softInk" fontSize="12.5px">
            <Box title={drawnWords(view)}>
              {input.mark === "money" ? "its amount" : crossName(input.kind)}
            </Box>
            <Button
              color="action"
              cursor="pointer"
              minH="24px"
              onClick={() => look.set({ view: "scatter", x: input.key, y })}
            >
              Larger, with lines typed
            </Button>
          </Flex>
        </Box>
      )}
      {inside.data && <Inside inside={inside.data} currency={currency} />}
      {inside.isError && activity && <Box role="alert">{refusalOf(inside.error)}</Box>}
      {row.driver && (
        <Box color="softInk" fontSize="12.5px">
          {facts(row, goal)}
        </Box>
      )}
      {input && (
        <Flex gap="5">
          {things.ofInput(input.kind, input.id).map(({ label, go }) => (
            <Button key={label} color="action" cursor="pointer" minH="24px" onClick={go}>
              {label}
            </Button>
          ))}
        </Flex>
      )}
    </Aside>
  );
}

const crossName = (kind: string) =>
  kind === "risk" || kind === "occurrence"
    ? "what it adds where it strikes"
    : kind === "group"
      ? "all of them together"
      : kind === "impact"
        ? "the size of a strike"
        : "its duration";

/** Every measure that is known, in one line. */
function facts(row: InputRow, goal: Goal): string {
  const { spearman, slope, unit = "day", coefficient, contribution } = row.driver ?? {};
  return [
    spearman !== undefined && `Rank correlation ${formatSigned(spearman, formatDays)}`,
    slope !== undefined && `slope ${slopeText(slope, unit, goal)}`,
    coefficient !== undefined && `coefficient ${formatSigned(coefficient, formatDays)}`,
    contribution !== undefined && contribution >= 0 && `${formatChance(contribution)} of the variance`,
  ]
    .filter(Boolean)
    .join(" · ");
}
