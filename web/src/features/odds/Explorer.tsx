import { Box, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import type { PlanView, RunView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { ChartTable } from "../../shared/charts/ChartTable";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import { Notice } from "../../shared/ui/Notice";
import { useDebounced } from "../../shared/ui/useDebounced";
import { BesideNote } from "./BesideNote";
import { ConfidenceTable } from "./ConfidenceTable";
import { ConfirmedShare } from "./ConfirmedShare";
import { Contingency } from "./Contingency";
import { ExplorerBar } from "./ExplorerBar";
import { OddsChart } from "../../shared/odds/OddsChart";
import { fading } from "../../shared/ui/fading";
import { levelsOf, subjectOf, useOddsStore, valuesOf } from "../../shared/odds/oddsStore";
import { RepeatsDialog } from "./RepeatsDialog";
import { betweenSentence, planSentence, readingSentence, targetSentence } from "../../shared/odds/sentences";
import { ShapeFacts } from "./ShapeFacts";
import type { Source } from "../../shared/odds/source";
import { isDate, nameOf, PROJECT, type Subject } from "../../shared/odds/subject";
import { chanceOnCurve } from "../../shared/odds/quantity";
import type { Line } from "../../shared/odds/place";
import { useQuantity, useReading } from "./useOdds";

const SETTLED_MS = 120;

interface Props {
  plan: PlanView;
  runs: RunView[];
  source: Source;
  /** The key its odds are read with. */
  run: string;
  /** What it is compared with: the name of a source, or nothing. */
  compared: string;
  beside?: Source;
  onCompare: (source: string) => void;
}

/** The answer first, as a sentence; then the curve it is read from, and the table. */
export function Explorer({ plan, runs, source, run, compared, beside, onCompare }: Props) {
  const { currency, confidence, id } = plan.project;
  const store = useOddsStore();
  const subject = subjectOf(store, id);
  const levels = levelsOf(store, confidence);
  const bins = useDebounced(store.bins, SETTLED_MS);
  const [line, setLine] = useState<Line>({ by: "chance", chance: confidence });
  const [second, setSecond] = useState<Line>();
  const [repeating, setRepeating] = useState(false);
  const chart = useRef<HTMLDivElement>(null);
  const named = nameOf(plan, subject);
  const odds = useQuantity(run, subject, { levels, bins, currency, named });
  const other = useQuantity(compared === "" ? undefined : beside?.key, subject, { levels, currency, named });
  const reading = useReading(run, subject, line);
  const secondReading = useReading(run, subject, second);
  const safe = useReading(run, subject, { by: "chance", chance: confidence });
  const middle = useReading(run, subject, { by: "chance", chance: 50 });
  const theirs = useReading(compared === "" ? undefined : beside?.key, subject, {
    by: "chance",
    chance: confidence,
  });
  const quantity = odds.data;
  const sentence =
    quantity && reading.data
      ? second && secondReading.data
        ? betweenSentence(quantity, reading.data, secondReading.data)
        : readingSentence(quantity, reading.data)
      : "";
  const called = beside?.run ? `run ${beside.run.number}` : "live odds";
  const comparison = compared !== "" && other.data && { quantity: other.data, called };
  return (
    <Flex height="100%" {...fading(quantity !== undefined && quantity.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="4" pt="2.5" pb="2">
        <ExplorerBar
          plan={plan}
          subject={subject}
          quantity={quantity}
          runs={runs}
          shown={source.run?.id}
          compared={compared}
          onCompare={onCompare}
          between={second !== undefined}
          onBetween={(between) =>
            setSecond(
              between
                ? { by: "chance", chance: line.by === "chance" && line.chance === 50 ? 80 : 50 }
                : undefined,
            )
          }
        />
        {odds.isError && <Notice alert>{refusalOf(odds.error)}</Notice>}
        {!odds.isError && !quantity && (
          <Notice>Reading the odds; of what was not watched they are worked out again…</Notice>
        )}
        {quantity && !odds.isError && (
          <>
            <Flex align="flex-start" gap="2" mt="2.5">
              <Box
                as="h1"
                flex="1"
                fontSize="21px"
                fontWeight="600"
                lineHeight="1.3"
                aria-live="polite"
                data-testid="reading"
              >
                {sentence || " "}
              </Box>
              <TakeOutMenu chart={chart} title={sentence || quantity.title} {...takenOut(run, subject)} />
            </Flex>
            <Box color="softInk" mt="1">
              {planSentence(quantity)} {targetSentence(quantity)}
            </Box>
            {comparison && (
              <BesideNote
                quantity={quantity}
                other={comparison.quantity}
                own={safe.data}
                theirs={theirs.data}
                called={called}
                level={confidence}
                shown={source.run}
                beside={beside?.run}
                revision={plan.project.revision}
              />
            )}
            <ChartTable
              caption={`${quantity.title}: how many futures lie in each bar`}
              columns={["From", "To", "Futures", "Chance of the end or less"]}
              rows={quantity.counts.map((count, i) => {
                const [from = 0, to = 0] = [quantity.edges[i], quantity.edges[i + 1]];
                const chance = formatChance(chanceOnCurve(quantity.curve, to));
                return [quantity.format(from), quantity.format(to), formatWhole(count), chance];
              })}
            />
            <Box ref={chart} flex="1" minHeight="0">
              <OddsChart
                quantity={quantity}
                reading={reading.data}
                line={line}
                onLine={setLine}
                second={second && { line: second, reading: secondReading.data, onLine: setSecond }}
                beside={comparison ? comparison.quantity : undefined}
              />
            </Box>
          </>
        )}
      </Flex>
      {quantity && !odds.isError && (
        <Flex
          as="aside"
          direction="column"
          gap="5"
          width="326px"
          flexShrink="0"
          px="5"
          py="4"
          bg="panel"
          borderLeftWidth="1px"
          borderColor="line"
          overflow="auto"
        >
          <ConfidenceTable
            quantity={quantity}
            beside={comparison || undefined}
            levels={levels}
            line={line}
            onLine={setLine}
            onLevels={store.setLevels}
            values={valuesOf(store, id, subject)}
            onValues={(values) => store.setValues(id, subject, values)}
            run={run}
            subject={subject}
          />
          {subject.of === PROJECT && reading.data && (
            <Contingency plan={plan} run={run} chance={reading.data.chance} />
          )}
          <ConfirmedShare plan={plan} />
          <ShapeFacts
            quantity={quantity}
            safe={safe.data}
            middle={middle.data}
            onRepeat={() => setRepeating(true)}
          />
        </Flex>
      )}
      {repeating && <RepeatsDialog plan={plan} run={run} onClose={() => setRepeating(false)} />}
    </Flex>
  );
}

/** What pictures and tables of a subject are called, and where its tables are. */
function takenOut(run: string, { what, of }: Subject) {
  const query = new URLSearchParams({ what, of }).toString();
  return {
    name: of === PROJECT ? what : `${of} ${what}`,
    tables: [
      {
        label: "The curve as a table (CSV)",
        href: `/api/runs/${run}/${isDate(what) ? "dates" : "amounts"}.csv?${query}`,
      },
      { label: "All iterations (CSV)", href: `/api/runs/${run}/iterations.csv?of=${encodeURIComponent(of)}` },
    ],
  };
}
