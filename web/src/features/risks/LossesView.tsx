import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMemo, useRef, useState } from "react";
import type { LossesView as Losses, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useLosses, useLossReading } from "../../shared/api/risks";
import { ChartTable } from "../../shared/charts/ChartTable";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { formatChance, formatMoney, formatOne, formatWhole } from "../../shared/format/numbers";
import { OddsChart } from "../../shared/odds/OddsChart";
import type { Line } from "../../shared/odds/place";
import { amountQuantity, chanceOnCurve, type Quantity, type Reading } from "../../shared/odds/quantity";
import { Notice } from "../../shared/ui/Notice";
import { categoryName, lossSentence, shareWords } from "./lossWords";

const LEVELS = [50, 80, 90, 95, 99];
const Select = chakra("select");
const Button = chakra("button");

/** What the register costs: the distribution of the total loss, and which categories it comes from. */
export function LossesView({ plan }: { plan: PlanView }) {
  const { id, revision, currency } = plan.project;
  const [category, setCategory] = useState("");
  const [time, setTime] = useState(true);
  const [line, setLine] = useState<Line>({ by: "chance", chance: 95 });
  const chart = useRef<HTMLDivElement>(null);
  const of = { category, time };
  const losses = useLosses(id, revision, of, LEVELS);
  const reading = useLossReading(
    id,
    revision,
    of,
    line.by === "chance" ? { chance: line.chance } : { value: line.value },
  );
  const quantity = useMemo(
    () =>
      losses.data && {
        ...amountQuantity(losses.data.odds, "cost", currency),
        title: "Loss",
      },
    [losses.data, currency],
  );
  if (losses.isError) return <Notice alert>{refusalOf(losses.error)}</Notice>;
  if (!losses.data || !quantity) return <Notice>Working out what the risks cost together…</Notice>;
  const sentence = reading.data ? lossSentence(quantity, reading.data, categoryName(category), currency) : "";
  const query = new URLSearchParams({ category, time: String(time) }).toString();
  return (
    <Flex direction="column" height="100%" overflow="auto">
      <Flex px="5" pt="3" gap="3" align="flex-start">
        <Box flex="1" fontSize="19px" fontWeight="600" lineHeight="1.3" aria-live="polite" data-testid="loss">
          {sentence || " "}
        </Box>
        <TakeOutMenu
          chart={chart}
          name="losses"
          title={sentence}
          tables={[
            {
              label: "The loss of every future (CSV)",
              href: `/api/projects/${id}/risks/losses.csv?${query}`,
            },
          ]}
        />
      </Flex>
      <Flex px="5" pb="1" gap="4" align="center" color="softInk" wrap="wrap">
        <Box>
          By {formatWhole(quantity.iterations)} futures; {formatChance(losses.data.none)} of them lose
          nothing.
        </Box>
        <Select
          aria-label="Category"
          bg="panel"
          borderWidth="1px"
          borderColor="line"
          px="1"
          value={category}
          onChange={(event) => setCategory(event.target.value)}
        >
          <option value="">all categories</option>
          {losses.data.rows.map((row) => (
            <option key={row.path} value={row.path}>
              {categoryName(row.path)}
            </option>
          ))}
        </Select>
        <Flex as="label" gap="1.5" align="center">
          <input type="checkbox" checked={time} onChange={(event) => setTime(event.target.checked)} />
          With the money of the time that they take
        </Flex>
      </Flex>
      <Box position="relative">
        <ChartTable
          caption="Loss: how many futures lie in each bar"
          columns={["From", "To", "Futures", "Chance of the end or less"]}
          rows={quantity.counts.map((count, i) => {
            const [from = 0, to = 0] = [quantity.edges[i], quantity.edges[i + 1]];
            return [
              quantity.format(from),
              quantity.format(to),
              formatWhole(count),
              formatChance(chanceOnCurve(quantity.curve, to)),
            ];
          })}
        />
      </Box>
      <Box ref={chart} flex="1" minH="240px" px="5">
        <OddsChart
          quantity={quantity}
          reading={reading.data}
          line={line}
          onLine={setLine}
          marked={{
            label: sentence,
            over: (axis) => <Expected quantity={quantity} reading={reading.data} axis={axis} />,
          }}
        />
      </Box>
      <Categories losses={losses.data} currency={currency} chosen={category} onChoose={setCategory} />
    </Flex>
  );
}

interface ExpectedProps {
  quantity: Quantity;
  reading?: Reading;
  axis: { x: (value: number) => number; top: number; bottom: number; min: number; max: number };
}

/** Where the expected loss lies, and how far the reading lies beyond it. */
function Expected({ quantity, reading, axis }: ExpectedProps) {
  const x = axis.x(quantity.mean);
  const beyond = reading && reading.value > quantity.mean ? axis.x(reading.value) : undefined;
  return (
    <g fontSize="12" fill="var(--chakra-colors-ink)">
      <line
        x1={x}
        x2={x}
        y1={axis.top}
        y2={axis.bottom}
        stroke="var(--chakra-colors-ink)"
        strokeWidth="1.6"
      />
      <text x={x + 6} y={axis.top + 12}>
        expected {quantity.format(quantity.mean)}
      </text>
      {beyond !== undefined && reading && (
        <>
          <path
            d={`M${x} ${axis.bottom - 14}H${beyond}`}
            stroke="var(--chakra-colors-risk)"
            strokeWidth="1.6"
          />
          <text
            x={(x + beyond) / 2}
            y={axis.bottom - 20}
            textAnchor="middle"
            fill="var(--chakra-colors-risk)"
          >
            beyond: {quantity.formatFromPlan(reading.value - quantity.mean).replace(/^\+/, "")}
          </text>
        </>
      )}
    </g>
  );
}

interface CategoriesProps {
  losses: Losses;
  currency: string;
  chosen: string;
  onChoose: (category: string) => void;
}

/** Losses by category, with shares; what the topmost have more or less together stands beneath, so that it adds up. */
function Categories({ losses, currency, chosen, onChoose }: CategoriesProps) {
  const money = (amount: number) => formatMoney(amount, currency);
  const whole = losses.rows.filter((row) => row.depth === 0).reduce((sum, row) => sum + row.expected, 0);
  const number = { as: "td", textAlign: "right", py: "0.5", pl: "5", whiteSpace: "nowrap" } as const;
  return (
    <Box px="5" pb="4" flexShrink="0">
      <Box as="table" width="100%" maxW="860px" aria-label="Losses by category">
        <thead>
          <Box as="tr" color="softInk" textAlign="right">
            <Box as="th" fontWeight="400" textAlign="left">
              Category
            </Box>
            {["Risks", "Strike", "Expected", "P80", "P95", "Share"].map((title) => (
              <Box as="th" key={title} fontWeight="400" pl="5" title={HINTS[title]}>
                {title}
              </Box>
            ))}
          </Box>
        </thead>
        <tbody>
          {losses.rows.map((row) => (
            <Box
              as="tr"
              key={row.path}
              borderTopWidth="1px"
              borderColor="line"
              color={row.depth > 0 ? "softInk" : undefined}
              bg={chosen === row.path ? "actionTint" : undefined}
              data-category={row.path}
            >
              <Box as="td" py="0.5" pl={`${row.depth * 18}px`}>
                <Button onClick={() => onChoose(chosen === row.path ? "" : row.path)}>
                  {categoryName(row.path.split("/").at(-1) || row.path)}
                </Button>
              </Box>
              <Box {...number}>{formatWhole(row.risks)}</Box>
              <Box {...number}>{formatOne(row.strikes)}</Box>
              <Box {...number}>{money(row.expected)}</Box>
              <Box {...number}>{money(row.p80)}</Box>
              <Box {...number}>{money(row.p95)}</Box>
              <Box {...number}>{shareWords(row.share)}</Box>
            </Box>
          ))}
          <Box as="tr" borderTopWidth="1px" borderColor="line" color="softInk">
            <Box
              as="td"
              py="0.5"
              title="Where several strike the same, they cost more or less together than one by one"
            >
              Together beside their sum
            </Box>
            <td />
            <td />
            <Box {...number}>{money(losses.together)}</Box>
            <td />
            <td />
            <td />
          </Box>
          <Box as="tr" borderTopWidth="1px" borderColor="strongLine" fontWeight="650">
            <Box as="td" py="0.5">
              All
            </Box>
            <Box {...number}>
              {formatWhole(
                losses.rows.filter((row) => row.depth === 0).reduce((sum, row) => sum + row.risks, 0),
              )}
            </Box>
            <td />
            <Box {...number}>{money(whole + losses.together)}</Box>
            <td />
            <td />
            <td />
          </Box>
        </tbody>
      </Box>
    </Box>
  );
}

const HINTS: Record<string, string> = {
  Strike: "How many of them strike in a future, on average",
  Expected: "Average loss over all futures",
  Share: "Of the expected loss of all",
};
