import { Box, Flex } from "@chakra-ui/react";
import { useMemo, useRef } from "react";
import type { PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { formatChance } from "../../shared/format/numbers";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { fading } from "../../shared/ui/fading";
import { Notice } from "../../shared/ui/Notice";
import { inputsKey, type Look } from "./driversStore";
import type { Goal } from "./goal";
import { InputGrid } from "./InputGrid";
import { InputPanel } from "./InputPanel";
import { inputLetter, inputTable } from "./inputTable";
import { membersOf, rowsOf } from "./measures";
import { headline, meaning } from "./measureWords";
import { MovesProgress, MovesTools } from "./MovesTools";
import { SpindlePicture } from "./SpindlePicture";
import { useThings } from "./toThing";
import { isTried, useDrivers, useMoves } from "./useDrivers";
import { ViewHeading } from "../../shared/stage/ViewHeading";

/** As many rows as a picture can show. */
const PICTURED = 24;

export interface ViewProps {
  plan: PlanView;
  run: string;
  goal: Goal;
  look: Look & { set: (look: Partial<Look>) => void };
  onFuture: (number: number) => void;
}

/** What moves the date or the cost: every input by one measure, the strongest first. */
export function MovesView({ plan, run, goal, look, onFuture }: ViewProps) {
  const { id } = plan.project;
  const { measure } = look;
  const drivers = useDrivers(run, goal.subject, look, measure);
  const moves = useMoves(run, goal.subject, look, measure);
  const tried = isTried(measure) ? moves.data : undefined;
  const closed = useGridStore((state) => viewOf(state, inputsKey(id)).closed);
  const active = useGridStore((state) => viewOf(state, inputsKey(id)).active?.row);
  const things = useThings(plan);
  const picture = useRef<HTMLDivElement>(null);
  const rows = useMemo(
    () => (drivers.data && (!isTried(measure) || tried) ? rowsOf(drivers.data, tried, measure, closed) : []),
    [drivers.data, tried, measure, closed],
  );
  if (drivers.isError) return <Notice alert>{refusalOf(drivers.error)}</Notice>;
  if (!drivers.data) return <Notice>Measuring every input against {goal.name}…</Notice>;
  const view = drivers.data;
  const selected = rows.find((row) => row.id === active) ?? rows[0];
  const title = isTried(measure) && rows.length === 0 ? "" : headline(rows, view, measure, goal);
  return (
    <Flex height="100%" {...fading(view.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pt="3">
        <ViewHeading
          px="5"
          name={`what moves ${goal.name}`}
          title={title}
          chart={picture}
          table={() => inputTable(rows, measure, goal)}
          letter={inputLetter(rows, title, measure, goal)}
        >
          <span data-testid="meaning">
            {meaning(measure, goal, goal.value(view.mean))}{" "}
            {measure === "contribution" && view.unexplained !== undefined && (
              <>
                {formatChance(Math.max(0, view.unexplained))} is left unexplained: curves, and what inputs do
                only together.
              </>
            )}
          </span>
        </ViewHeading>
        <MovesTools look={look} confidence={plan.project.confidence} />
        {tried && <MovesProgress run={run} goal={goal} look={look} moves={tried} />}
        {rows.length === 0 && !(tried && tried.state === "working") && (
          <Notice>
            Nothing in this plan is uncertain yet: give estimates ranges, or add risks, and what they do is
            told here.
          </Notice>
        )}
        <Box flex="1" minH="0">
          {rows.length > 0 && (
            <InputGrid
              project={id}
              rows={rows}
              measure={measure}
              goal={goal}
              keys={(event, { row }) => {
                if (!event.altKey || !row?.driver) return false;
                const { kind, id: of, key } = row.driver.input;
                if (event.key === "Enter") things.ofInput(kind, of)[0]?.go();
                else if (event.key.toLowerCase() === "x") look.set({ view: "scatter", x: key, y: undefined });
                else return false;
                return true;
              }}
            />
          )}
        </Box>
        <SpindlePicture ref={picture} rows={rows.slice(0, PICTURED)} measure={measure} goal={goal} />
      </Flex>
      {selected && (
        <InputPanel
          key={selected.id}
          plan={plan}
          run={run}
          row={selected}
          members={selected.group ? membersOf(selected, view, tried, measure) : []}
          goal={goal}
          look={look}
          onFuture={onFuture}
        />
      )}
    </Flex>
  );
}
