import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMemo, useRef } from "react";
import type { PathsView as Paths, PathView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { ChartTable } from "../../shared/charts/ChartTable";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { formatDay } from "../../shared/format/dates";
import { formatChance, formatOne, formatWhole } from "../../shared/format/numbers";
import { useGridStore } from "../../shared/grid/gridStore";
import { reveal } from "../../shared/planGrid/reveal";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { useNavigate } from "react-router";
import { BeyondField } from "./BeyondField";
import { capital, type Goal, outputKey } from "./goal";
import type { ViewProps } from "./MovesView";
import { partsSentence, pathSentence, pathsSentence } from "./pathWords";
import { type River, riverOf } from "./river";
import { pathName, type Way, waysOf } from "./ways";
import { RiverDrawing } from "./RiverDrawing";
import { SharedList } from "./SharedList";
import { ShareByLimit } from "./ShareByLimit";
import { useThings } from "./toThing";
import { usePath, usePaths } from "./useDrivers";

const Button = chakra("button");
const MOST_SHARED = 6;
const MOST_ROWS = 12;

/** Which path drives, how often, and what makes it drive. */
export function PathsView({ plan, run, goal, look, onFuture }: ViewProps) {
  const key = outputKey(goal.subject);
  const paths = usePaths(run, goal.subject.of, look.beyond[key]);
  const chart = useRef<HTMLDivElement>(null);
  const river = useMemo(
    () => (paths.data && paths.data.paths.length > 0 ? riverOf(paths.data.paths) : undefined),
    [paths.data],
  );
  const ways = useMemo(() => waysOf(paths.data?.paths ?? []), [paths.data]);
  if (paths.isError) return <Notice alert>{refusalOf(paths.error)}</Notice>;
  if (!paths.data || !river) return <Notice>Following the driving path of every future…</Notice>;
  const view = paths.data;
  const chosen = view.paths.find(({ number }) => number === look.path) ?? view.paths[0];
  const target = plan.activities.find(({ id }) => id === view.towards);
  const end = target ? `“${target.name}”` : "the finish";
  const title = capital(pathsSentence(ways, end));
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pt="3" overflow="auto">
        <Flex px="5" gap="3" align="flex-start">
          <Box
            as="h1"
            flex="1"
            fontSize="19px"
            fontWeight="600"
            lineHeight="1.3"
            aria-live="polite"
            data-testid="headline"
          >
            {title}
          </Box>
          <TakeOutMenu
            name={`paths to ${target?.name ?? "the finish"}`}
            title={title}
            chart={chart}
            table={() => table(view)}
            letter={`${title} ${chosen ? pathSentence(chosen, goal.value(view.beyond)) : ""}`}
          />
        </Flex>
        <Box px="5" mt="0.5" mb="1" color="softInk">
          Each band is work that drove {end}, as wide as the share of futures in which it did, over the dates
          at which it did on average. Bands part where futures part.
        </Box>
        <Box ref={chart} flex="1" minH="230px" px="2">
          <Sized
            river={river}
            chosen={chosen?.number ?? 1}
            end={target?.id ?? "finish"}
            onChoose={(path) => look.set({ path })}
          />
        </Box>
        <PathTable
          view={view}
          ways={ways}
          goal={goal}
          chosen={chosen?.number ?? 1}
          onChoose={(path) => look.set({ path })}
        />
      </Flex>
      {chosen && (
        <PathPanel
          key={chosen.number}
          {...{ plan, run, goal, look, onFuture }}
          view={view}
          ways={ways}
          path={chosen}
        />
      )}
    </Flex>
  );
}

interface SizedProps {
  river: River;
  chosen: number;
  end: string;
  onChoose: (path: number) => void;
}

function Sized(props: SizedProps) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  return (
    <Box ref={box} width="100%" height="100%">
      {width > 0 && height > 0 && <RiverDrawing {...props} width={width} height={height} />}
    </Box>
  );
}

interface TableProps {
  view: Paths;
  ways: readonly Way[];
  goal: Goal;
  chosen: number;
  onChoose: (path: number) => void;
}

/** The paths one by one. */
function PathTable({ view, ways, goal, chosen, onChoose }: TableProps) {
  const number = { as: "td", textAlign: "right", py: "1", pl: "5", whiteSpace: "nowrap" } as const;
  const rest = view.paths.slice(MOST_ROWS).reduce((sum, { share }) => sum + share, 0) + view.others;
  const more = view.paths.length - MOST_ROWS;
  return (
    <Box px="5" pb="3" flexShrink="0" maxH="42%" overflow="auto">
      <Box as="table" width="100%" aria-label="Driving paths">
        <thead>
          <Box as="tr" color="softInk">
            <Box as="th" fontWeight="400" textAlign="left">
              Path
            </Box>
            <Box as="th" fontWeight="400" textAlign="right" pl="5">
              Futures
            </Box>
            <Box
              as="th"
              fontWeight="400"
              textAlign="right"
              pl="5"
              title="Working days from the project's start to its end"
            >
              Length, days
            </Box>
            <Box
              as="th"
              fontWeight="400"
              textAlign="right"
              pl="5"
              whiteSpace="nowrap"
              title={`Of the futures that end after ${goal.value(view.beyond)}`}
            >
              Of late futures
            </Box>
          </Box>
        </thead>
        <tbody>
          {view.paths.slice(0, MOST_ROWS).map((path) => (
            <Box
              as="tr"
              key={path.number}
              borderTopWidth="1px"
              borderColor="line"
              bg={path.number === chosen ? "actionTint" : undefined}
              data-path-row={path.number}
            >
              <Box as="td" py="1" maxW="0" width="100%">
                <Button
                  width="100%"
                  textAlign="left"
                  truncate
                  cursor="pointer"
                  aria-pressed={path.number === chosen}
                  title={path.steps.map(({ id, name }) => `${id} ${name}`).join(" → ")}
                  onClick={() => onChoose(path.number)}
                >
                  {pathName(path, ways)}
                  <Box as="span" color="softInk">
                    {" "}
                    · {path.steps.map(({ id }) => id).join(" → ")}
                  </Box>
                </Button>
              </Box>
              <Box {...number}>{formatChance(path.share)}</Box>
              <Box {...number}>
                {formatWhole(path.meanDays)} ± {formatWhole(path.sdDays)}
              </Box>
              <Box {...number}>{path.lateShare === undefined ? "" : formatChance(path.lateShare)}</Box>
            </Box>
          ))}
        </tbody>
      </Box>
      {more > 0 && (
        <Box color="softInk" pt="1">
          {formatWhole(more)} more, {formatChance(rest)} together
        </Box>
      )}
    </Box>
  );
}

/** One path: how it does among the late futures, what makes it drive, where it parts, and the way to it. */
function PathPanel({
  plan,
  run,
  goal,
  look,
  onFuture,
  view,
  ways,
  path,
}: ViewProps & { view: Paths; ways: readonly Way[]; path: PathView }) {
  const { id, currency } = plan.project;
  const shared = usePath(run, goal.subject.of, path.number);
  const things = useThings(plan);
  const navigate = useNavigate();
  const name = pathName(path, ways);
  const way = ways.find(({ paths: its }) => its.includes(path));
  const show = () => {
    const first = path.steps.find(({ id: step }) => step === way?.id) ?? path.steps[0];
    if (first) reveal(plan, first.id);
    useGridStore.getState().light(id, {
      title: `the path through ${name}`,
      ids: new Set(path.steps.map((step) => step.id)),
    });
    void navigate(`/projects/${id}/plan`);
  };
  const rows = (shared.data?.rows ?? []).slice(0, MOST_SHARED);
  return (
    <Flex
      as="aside"
      aria-label="The chosen path"
      direction="column"
      gap="4"
      width="372px"
      flexShrink="0"
      px="5"
      py="4"
      bg="panel"
      borderLeftWidth="1px"
      borderColor="line"
      overflow="auto"
    >
      <Box>
        <Box fontSize="16px" fontWeight="650" lineHeight="1.25">
          Through {name}
        </Box>
        <Box mt="1" color="softInk" data-testid="path-sentence">
          {pathSentence(path, goal.value(view.beyond))} Where it drives, it takes {formatOne(path.meanDays)}{" "}
          working days on average.
        </Box>
      </Box>
      <BeyondField goal={goal} look={look} value={view.beyond} label="Late is after" />
      <Box>
        <Box fontWeight="650" mb="1">
          What makes it drive
        </Box>
        {shared.isError && <Box role="alert">{refusalOf(shared.error)}</Box>}
        {!shared.data && !shared.isError && <Box color="softInk">Looking at every input…</Box>}
        {shared.data && rows.length === 0 && (
          <Box color="softInk">Nothing differs from the other futures by more than chance would make.</Box>
        )}
        <SharedList
          rows={rows}
          currency={currency}
          thingsOf={({ input }) => things.ofInput(input.kind, input.id)}
        />
      </Box>
      <Box>{partsSentence(path)}</Box>
      <ShareByLimit view={view} chosen={path.number} />
      <Flex gap="5">
        <Button color="action" cursor="pointer" onClick={show}>
          Show it on the plan
        </Button>
        <Button color="action" cursor="pointer" onClick={() => onFuture(path.example)}>
          Play one such future
        </Button>
      </Flex>
      <ChartTable
        caption="Work on this path"
        columns={["Code", "Name", "Starts about", "Finishes about"]}
        rows={path.steps.map((step) => [step.id, step.name, formatDay(step.start), formatDay(step.finish)])}
      />
    </Flex>
  );
}

const table = (view: Paths) => ({
  columns: [
    "Path",
    "Share of futures",
    "Mean days",
    "± sd days",
    "Share of late futures",
    "Parts at",
    "Meets at",
    "Activities",
  ],
  rows: view.paths.map((path) => [
    path.number,
    path.share,
    path.meanDays,
    path.sdDays,
    path.lateShare ?? null,
    path.partsAt ?? null,
    path.meetsAt ?? null,
    path.steps.map(({ id }) => id).join(" → "),
  ]),
});
