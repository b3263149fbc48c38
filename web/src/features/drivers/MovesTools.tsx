import { Box, chakra, Flex } from "@chakra-ui/react";
import type { MovesView as Moves } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import type { Look } from "./driversStore";
import type { Goal } from "./goal";
import { addsUp, GATHERINGS, MEASURES } from "./measures";
import { LevelField } from "./LevelField";
import { isTried, useStopMoves } from "./useDrivers";
import { tellRefusal } from "../../shared/ui/notify";

const Button = chakra("button");

interface ToolsProps {
  look: Look & { set: (look: Partial<Look>) => void };
  confidence: number;
}

/** By which measure, gathered how, and how finely. */
export function MovesTools({ look, confidence }: ToolsProps) {
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
      {isTried(look.measure) && (
        <Box width="190px" mb="-2">
          <LevelField look={look} confidence={confidence} />
        </Box>
      )}
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
export function MovesProgress({ run, goal, look, moves }: ProgressProps) {
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
          <Button color="action" cursor="pointer" onClick={() => stop.mutate(undefined, tellRefusal)}>
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
