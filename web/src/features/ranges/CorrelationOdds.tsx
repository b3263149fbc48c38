import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { CorrelationEffect, Outlook, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useCorrelationEffect } from "../../shared/api/ranges";
import { daysBetween, formatDay } from "../../shared/format/dates";
import { formatMoney, formatOne, formatWhole } from "../../shared/format/numbers";
import { Choice } from "../../shared/ui/Choice";
import { AskedAndAchieved } from "./AskedAndAchieved";
import { TwoDensities } from "./TwoDensities";

const Table = chakra("table");
const SHOWN = [10, 50, 80, 90] as const;
const SIDES = [
  { value: "both", label: "Side by side" },
  { value: "with", label: "With" },
  { value: "without", label: "Without" },
] as const;
type Side = (typeof SIDES)[number]["value"];

/** The odds with and without correlation, on the same random numbers, and what became of each coefficient. */
export function CorrelationOdds({ plan }: { plan: PlanView }) {
  const effect = useCorrelationEffect(plan.project.id, plan.project.revision);
  const [side, setSide] = useState<Side>("both");
  if (effect.isError) return <Box role="alert">{refusalOf(effect.error)}</Box>;
  if (!effect.data) return <Box color="softInk">Simulating both, 5,000 iterations each…</Box>;
  const columns = (["with", "without"] as const).filter((one) => side === "both" || side === one);
  return (
    <Box flex="1" minW="0">
      <Box mb="3">{sentence(effect.data)}</Box>
      <Choice label="Odds shown" choices={SIDES} value={side} onChange={setSide} />
      <Flex gap="6" mt="3" wrap="wrap" align="flex-start">
        <TwoDensities effect={effect.data} shown={columns} />
        <Table css={{ "& td, & th": { padding: "2px 12px 2px 0", textAlign: "right" } }}>
          <thead>
            <tr>
              <th />
              {columns.map((column) => (
                <Box as="th" key={column} color="softInk" fontWeight="500">
                  {column === "with" ? "With" : "Without"}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {SHOWN.map((level) => (
              <tr key={level}>
                <td>P{level}</td>
                {columns.map((column) => (
                  <td key={column}>{cell(effect.data[column], level, plan.project.currency)}</td>
                ))}
              </tr>
            ))}
            <tr>
              <td>Mean</td>
              {columns.map((column) => (
                <td key={column}>{formatDay(effect.data[column].finish.mean)}</td>
              ))}
            </tr>
            <tr>
              <td>Deviation</td>
              {columns.map((column) => (
                <td key={column}>{formatOne(effect.data[column].finish.sd)} working days</td>
              ))}
            </tr>
          </tbody>
        </Table>
      </Flex>
      <AskedAndAchieved plan={plan} achieved={effect.data.achieved} />
    </Box>
  );
}

function cell(outlook: Outlook, level: number, currency: string): string {
  const cost = outlook.cost?.percentiles[level - 1];
  const finish = formatDay(outlook.finish.percentiles[level - 1] ?? "");
  return cost === undefined ? finish : `${finish}, ${formatMoney(cost, currency)}`;
}

/** What correlation does, in one paragraph. */
function sentence({ with: together, without: alone, achieved }: CorrelationEffect): string {
  if (achieved.length === 0)
    return "Nothing moves together yet, so both are the same. With many ranges the spread is then understated.";
  const mean = daysBetween(alone.finish.mean, together.finish.mean);
  const wider = Math.round(100 * (together.finish.sd / alone.finish.sd - 1));
  const later = daysBetween(alone.finish.percentiles[79] ?? "", together.finish.percentiles[79] ?? "");
  const same =
    formatDay(alone.finish.mean) === formatDay(together.finish.mean)
      ? "The mean finish stays the same"
      : `The mean finish moves by ${counted(mean)}`;
  if (wider === 0) return `${same}, and so does the spread: what moves together hardly drives the finish.`;
  const promise =
    later === 0 ? "P80 stays where it is" : `P80 lies ${counted(later)} ${later > 0 ? "later" : "earlier"}`;
  return `${same}, the spread is ${Math.abs(wider)} % ${wider > 0 ? "wider" : "narrower"}, and ${promise}, compared with all moving alone.`;
}

const counted = (days: number) => `${formatWhole(Math.abs(days))} ${Math.abs(days) === 1 ? "day" : "days"}`;
