import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMemo, useRef } from "react";
import type { MovesView as Moves, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { fading } from "../../shared/ui/fading";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { Notice } from "../../shared/ui/Notice";
import { inputsKey, type Look, type Measure } from "./driversStore";
import type { Goal } from "./goal";
import { InputGrid } from "./InputGrid";
import { InputPanel } from "./InputPanel";
import {
  addsUp,
  GATHERINGS,
  headline,
  type InputRow,
  meaning,
  MEASURES,
  rowsOf,
  rowSentence,
  valueText,
} from "./measures";
import { SpindlePicture } from "./SpindlePicture";
import { useThings } from "./toThing";
import { isTried, useDrivers, useMoves, useStopMoves } from "./useDrivers";

const Button = chakra("button");
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
            {title || " "}
          </Box>
          <TakeOutMenu
            name={`what moves ${goal.name}`}
            title={title}
            chart={picture}
            table={() => table(rows, measure, goal)}
            letter={letter(rows, title, measure, goal)}
          />
        </Flex>
        <Box px="5" mt="0.5" mb="2" color="softInk" data-testid="meaning">
          {meaning(measure, goal, goal.value(view.mean))}{" "}
          {measure === "contribution" && view.unexplained !== undefined && (
            <>
              {formatChance(Math.max(0, view.unexplained))} is left unexplained: curves, and what inputs do
              only together.
            </>
          )}
        </Box>
        <Tools look={look} />
        {tried && <Progress run={run} goal={goal} look={look} moves={tried} />}
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
          goal={goal}
          look={look}
          onFuture={onFuture}
        />
      )}
    </Flex>
  );
}

/** By which measure, gathered how, and how finely. */
function Tools({ look }: { look: ViewProps["look"] }) {
  const gathering = look.by ? `${look.by} ${look.depth}` : "";
  const sums = addsUp(look.measure);
  return (
    <Flex px="5" pb="1.5" gap="4" align="center" color="softInk" wrap="wrap">
      <LabelledSelect
        label="Measure"
        before="by"
        value={look.measure}
        choices={MEASURES}
        onPick={(measure) => look.set({ measure })}
      />
      <LabelledSelect
        label="Gathered"
        before="inputs"
        hint={sums ? undefined : "This measure does not add up, so its inputs stand one by one."}
        value={sums ? gathering : ""}
        disabled={!sums}
        choices={GATHERINGS}
        onPick={(text) => {
          const [by = "", depth = "1"] = text.split(" ");
          look.set({ by, depth: Number(depth) });
        }}
      />
      <Check
        label="chance and size apart"
        checked={look.apart}
        onCheck={(apart) => look.set({ apart })}
        hint="Whether a risk strikes, and how hard, as inputs of their own"
      />
      <Check
        label="groups as one"
        checked={look.groups}
        onCheck={(groups) => look.set({ groups })}
        hint="Estimates that move together count as one input"
      />
    </Flex>
  );
}

interface CheckProps {
  label: string;
  checked: boolean;
  hint: string;
  onCheck: (on: boolean) => void;
}

function Check({ label, checked, hint, onCheck }: CheckProps) {
  return (
    <Flex as="label" gap="1.5" align="center" title={hint}>
      <input type="checkbox" checked={checked} onChange={(event) => onCheck(event.target.checked)} />
      {label}
    </Flex>
  );
}

interface ProgressProps {
  run: string;
  goal: Goal;
  look: Look;
  moves: Moves;
}

/** How far what is tried has come, and the way to stop it. */
function Progress({ run, goal, look, moves }: ProgressProps) {
  const stop = useStopMoves(run, goal.subject, look, look.measure);
  const futures = `by ${formatWhole(moves.iterations)} futures`;
  return (
    <Flex px="5" pb="1.5" gap="3" role="status" color="softInk" data-moves={moves.state}>
      {moves.state === "working" && (
        <>
          <Box>
            {moves.total === 0
              ? "Beginning…"
              : `${moves.done} of ${moves.total} inputs are worked out, ${futures}; those that swing most come first.`}
          </Box>
          <Button color="action" cursor="pointer" onClick={() => stop.mutate()}>
            Stop
          </Button>
        </>
      )}
      {moves.state === "stopped" &&
        `Stopped: ${moves.done} of ${moves.total} inputs are worked out, ${futures}, and stay.`}
      {moves.state === "done" && `The ${moves.total} inputs that swing most, ${futures}.`}
      {moves.state === "refused" && moves.refusal}
    </Flex>
  );
}

/** The list as a table to be worked with. */
function table(rows: InputRow[], measure: Measure, goal: Goal) {
  const unit = goal.money ? goal.currency : "days";
  return {
    columns: [
      "Code",
      "Input",
      "Kind",
      `${measure} (${unit})`,
      "± 95 %",
      `lowest tenth (${unit})`,
      `highest tenth (${unit})`,
      "best rank",
      "worst rank",
      "rank correlation",
      "slope",
      "slope per",
      "coefficient",
      "share of variance",
    ],
    rows: rows.map(({ code, name, mark, driver, value, error }) => [
      code,
      name,
      mark ?? "group",
      value ?? null,
      error ?? null,
      driver?.low ?? null,
      driver?.high ?? null,
      driver?.best ?? null,
      driver?.worst ?? null,
      driver?.spearman ?? null,
      driver?.slope ?? null,
      driver?.unit ?? null,
      driver?.coefficient ?? null,
      driver?.contribution ?? null,
    ]),
  };
}

const TOLD = 3;

/** A paragraph: the headline and the first few, each with what it does. */
function letter(rows: InputRow[], title: string, measure: Measure, goal: Goal): string {
  const told = rows
    .filter((row) => row.value !== undefined)
    .slice(0, TOLD)
    .map((row) => `${row.name} (${row.code || "together"}): ${valueText(row, measure, goal)}.`);
  const first = rows[0] ? rowSentence(rows[0], measure, goal) : "";
  return [title, first, ...told].join(" ");
}
