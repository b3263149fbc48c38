import { Box, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import type { PathView, SharedRow } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { Aside } from "../../shared/stage/Aside";
import { BeyondField } from "./BeyondField";
import { type Goal, outputKey } from "./goal";
import type { ViewProps } from "./MovesView";
import { inHundred, sharedWords, twoShares } from "./pathWords";
import { RowsPicture, SHARE_TICKS, shareX } from "./RowsPicture";
import { pathName, waysOf } from "./ways";
import { SharedList } from "./SharedList";
import { Shares, TwoShares } from "./TwoShares";
import { useThings } from "./toThing";
import { useLate, usePaths } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

const MOST_DRAWN = 14;
/** Paths whose shares differ by more than this are told. */
const DIFFERS = 0.02;

/** What futures beyond a date or a budget share, that the others do not. */
export function LateView({ plan, run, goal, look }: ViewProps) {
  const { currency } = plan.project;
  const key = outputKey(goal.subject);
  const typed = look.beyond[key];
  const late = useLate(
    run,
    goal.subject,
    typed === undefined ? {} : goal.date ? { date: typed } : { amount: Number(typed) },
  );
  const isFinish = goal.subject.what === "finish";
  const paths = usePaths(run, goal.subject.of, isFinish ? typed : undefined);
  const things = useThings(plan);
  const chart = useRef<HTMLDivElement>(null);
  if (late.isError) return <Notice alert>{refusalOf(late.error)}</Notice>;
  if (!late.data) return <Notice>Looking at every input in every future…</Notice>;
  const view = late.data;
  const limit = goal.value(view.beyond);
  const title = lateSentence(view.rows, view.late / view.total, limit, goal, currency);
  const thingsOf = ({ input }: SharedRow) => things.ofInput(input.kind, input.id);
  const drawn = view.rows.slice(0, MOST_DRAWN);
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="4" pt="3" pb="3" overflow="auto">
        <ViewHeading
          name="what late futures share"
          title={title}
          chart={chart}
          table={() => table(view.rows)}
          letter={[title, ...drawn.slice(0, 3).map((row) => told(row, currency))].join(" ")}
        >
          Full marks: among the {formatWhole(view.late)} futures beyond {limit}; hollow: among the other{" "}
          {formatWhole(view.total - view.late)}. Only what chance alone would seldom make is told, what
          differs most first.
        </ViewHeading>
        {drawn.length === 0 ? (
          <Box color="softInk">
            {view.late === 0 || view.late === view.total
              ? "There is nothing to compare: type another date or amount."
              : "Nothing differs by more than chance would make."}
          </Box>
        ) : (
          <TwoShares rows={drawn} currency={currency} onGo={(row) => thingsOf(row)[0]?.go()} />
        )}
      </Flex>
      <RowsPicture
        ref={chart}
        rows={drawn.map((row) => ({
          row,
          id: row.input.key,
          code: row.input.id,
          name: sharedWords(row, currency).what,
          mark: row.input.mark,
          text: `${inHundred(twoShares(row).late)} · ${inHundred(twoShares(row).others)}`,
        }))}
        ticks={SHARE_TICKS}
        draw={({ row }, y) => <Shares row={row} x={shareX} y={y} />}
      />
      <Aside label="Where futures are parted">
        <BeyondField goal={goal} look={look} value={view.beyond} label="Beyond" />
        <Box>{formatChance(view.late / view.total)} of all futures lie beyond it.</Box>
        {isFinish && paths.data && (
          <Box>
            <Box fontWeight="650" mb="1">
              Paths
            </Box>
            {pathLines(paths.data.paths).map(({ number, text }) => (
              <Box key={number} py="0.5">
                {text}
              </Box>
            ))}
          </Box>
        )}
        <Box>
          <Box fontWeight="650" mb="1">
            In words
          </Box>
          <SharedList rows={drawn.slice(0, 6)} currency={currency} thingsOf={thingsOf} />
        </Box>
      </Aside>
    </Flex>
  );
}

function lateSentence(
  rows: readonly SharedRow[],
  share: number,
  limit: string,
  goal: Goal,
  currency: string,
): string {
  const beyond = goal.money ? `that cost more than ${limit}` : `beyond ${limit}`;
  if (share === 0) return `No future lies ${goal.money ? `above ${limit}` : beyond}.`;
  if (share === 1) return `Every future lies ${goal.money ? `above ${limit}` : beyond}.`;
  const first = rows[0];
  if (!first) return `Futures ${beyond} share nothing that the others do not.`;
  const { what, how } = sharedWords(first, currency);
  return `In futures ${beyond}, ${what} ${how.replace(" of these", "")}.`;
}

const told = (row: SharedRow, currency: string) => {
  const { what, how } = sharedWords(row, currency);
  return `${what} ${how}.`;
};

/** How often each path drives the late ones, beside the others. */
function pathLines(paths: readonly PathView[]) {
  const ways = waysOf(paths);
  return paths
    .filter(
      ({ lateShare, otherShare }) =>
        lateShare !== undefined && otherShare !== undefined && Math.abs(lateShare - otherShare) > DIFFERS,
    )
    .sort(
      (a, b) =>
        Math.abs((b.lateShare ?? 0) - (b.otherShare ?? 0)) -
        Math.abs((a.lateShare ?? 0) - (a.otherShare ?? 0)),
    )
    .slice(0, 4)
    .map((path) => ({
      number: path.number,
      text: `The path through ${pathName(path, ways)} drove in ${inHundred(path.lateShare ?? 0)} of 100 of them, otherwise in ${inHundred(path.otherShare ?? 0)}.`,
    }));
}

const table = (rows: readonly SharedRow[]) => ({
  columns: [
    "Code",
    "Input",
    "Kind",
    "Unit",
    "Mean or share among late",
    "Among others",
    "Difference, sd",
    "± 95 %",
    "Cut",
    "Late above cut",
    "Others above cut",
  ],
  rows: rows.map(({ input, ...row }) => [
    input.id,
    input.name,
    input.mark,
    row.unit,
    row.late,
    row.others,
    row.difference,
    row.error,
    row.cut,
    row.lateBeyond,
    row.othersBeyond,
  ]),
});
