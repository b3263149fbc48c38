import { Box, chakra, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import { Link as RouterLink } from "react-router";
import type { CauseSum, CostCauses, PlanView } from "../../shared/api/client";
import { type GroupedBy, useCostCauses } from "../../shared/api/costs";
import { refusalOf } from "../../shared/api/edits";
import type { TakenTable } from "../../shared/charts/takeTable";
import { editedNumber, formatMoney, formatSigned, parseNumber } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { Choice } from "../../shared/ui/Choice";
import { fading } from "../../shared/ui/fading";
import { TextField } from "../../shared/ui/Field";
import { Notice } from "../../shared/ui/Notice";
import { CAUSES, CauseBars, causesOf } from "./CauseBars";
import { contingencySentence, dayWorthSentence, delaySentence } from "./costWords";
import type { CostsLook } from "./costsStore";

const Link = chakra(RouterLink, { base: { color: "action" } });

const BY: { value: GroupedBy; label: string }[] = [
  { value: "branch", label: "By branch" },
  { value: "category", label: "By category" },
];

const DEPTHS = [1, 2, 3].map((depth) => ({ value: String(depth), label: `Level ${depth}` }));

interface Props {
  plan: PlanView;
  run: string;
  current: boolean;
  look: CostsLook;
}

/** Total cost by cause at any confidence, in all and by branch or category. */
export function CausesView({ plan, run, current, look }: Props) {
  const chart = useRef<HTMLDivElement>(null);
  const causes = useCostCauses(run, look.by, look.depth, look.level);
  const { currency } = plan.project;
  if (causes.isError) return <Notice alert>{refusalOf(causes.error)}</Notice>;
  if (!causes.data) return <Notice>Taking the money apart…</Notice>;
  const data = causes.data;
  const level = `P${Math.round(data.level)}`;
  const sentence = delaySentence(data, currency);
  return (
    <Flex height="100%" {...fading(!current || causes.isPlaceholderData)}>
      <Flex direction="column" flex="1" minW="0" px="5" py="3" overflow="auto">
        <ViewHeading
          title={sentence}
          chart={chart}
          name={`${plan.project.name}, why it costs`}
          table={() => tableOf(plan, data)}
          letter={`${sentence} ${contingencySentence(data, currency)} ${dayWorthSentence(data, currency)}`.trim()}
        >
          From the plan to {level}, one cause after the other. Each row is at its own {level}; since not all
          are dear in the same future, they add up to more than the whole.
        </ViewHeading>
        <Flex gap="4" mb="2" align="center" color="softInk" wrap="wrap">
          <Choice label="Grouped" choices={BY} value={look.by} onChange={(by) => look.set({ by })} />
          <Choice
            label="Depth"
            choices={DEPTHS}
            value={String(look.depth)}
            onChange={(depth) => look.set({ depth: Number(depth) })}
          />
          <Box width="200px">
            <TextField
              label="At percentile"
              value={editedNumber(look.level ?? plan.project.confidence)}
              hint="Emptied, it is the project's own level of confidence"
              onHandIn={(text) => {
                const typed = text.replace(/[p%\s]/gi, "");
                const percent = parseNumber(typed);
                if (typed !== "" && (percent === undefined || percent < 1 || percent > 99))
                  return `A percentile lies between 1 and 99, not “${text}”.`;
                look.set({ level: percent });
                return undefined;
              }}
            />
          </Box>
        </Flex>
        <Box ref={chart}>
          <CauseBars
            rows={[data.whole, ...data.groups]}
            currency={currency}
            level={level}
            nameOf={(group, whole) => nameOf(plan, group, whole)}
          />
        </Box>
      </Flex>
      <Aside label="What to set aside" width={340}>
        <Box as="h2" fontWeight="650">
          Why {level} is {formatMoney(data.with, currency)} over the plan
        </Box>
        <Box>
          {causesOf(data.whole)
            .slice(1)
            .map(({ id, amount }) => (
              <Flex
                key={id}
                justify="space-between"
                py="1"
                borderBottomWidth="1px"
                borderColor="line"
                data-cause={id}
              >
                <Box>{CAUSES[id].label}</Box>
                <Box>{formatSigned(amount, (value) => formatMoney(value, currency))}</Box>
              </Flex>
            ))}
        </Box>
        <Box color="softInk">
          Taken one after the other, in this order; taken away from all the rest, delay makes{" "}
          {formatMoney(data.with - data.without, currency)}.
        </Box>
        <Box data-testid="contingency">{contingencySentence(data, currency)}</Box>
        <Box>{dayWorthSentence(data, currency)}</Box>
        <Link to={`/projects/${plan.project.id}/odds?view=joint`}>Date and budget together</Link>
      </Aside>
    </Flex>
  );
}

function nameOf(plan: PlanView, group: string, whole = false): string {
  if (group === "project") return whole ? "All of it" : "On the project itself";
  if (group === "") return "Without a category";
  const branch = plan.branches.find((one) => one.id === group);
  return branch ? `${branch.code} ${branch.name}` : group;
}

function tableOf(plan: PlanView, { whole, groups, level }: CostCauses): TakenTable {
  const cell = (value: number) => Math.round(value * 100) / 100;
  const row = (one: CauseSum, i: number) => [
    nameOf(plan, one.group, i === 0),
    ...[one.planned, one.ranges, one.delay, one.risks, one.actions, one.at, one.mean].map(cell),
  ];
  return {
    columns: [
      "Part",
      "Planned",
      "Ranges",
      "Delay",
      "Risks on money",
      "Actions",
      `P${Math.round(level)}`,
      "Mean",
    ],
    rows: [whole, ...groups].map(row),
  };
}
