import { Box, Flex } from "@chakra-ui/react";
import { useMemo, useRef } from "react";
import type { PathsView as Paths } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { capital, outputKey } from "./goal";
import type { ViewProps } from "./MovesView";
import { PathPanel } from "./PathPanel";
import { PathTable } from "./PathTable";
import { pathSentence, pathsSentence } from "./pathWords";
import { type River, riverOf } from "./river";
import { waysOf } from "./ways";
import { RiverDrawing } from "./RiverDrawing";
import { usePaths } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

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
        <ViewHeading
          px="5"
          name={`paths to ${target?.name ?? "the finish"}`}
          title={title}
          chart={chart}
          table={() => table(view)}
          letter={`${title} ${chosen ? pathSentence(chosen, goal.value(view.beyond)) : ""}`}
        >
          Each band is work that drove {end}, as wide as the share of futures in which it did, over the dates
          at which it did on average. Bands part where futures part.
        </ViewHeading>
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
