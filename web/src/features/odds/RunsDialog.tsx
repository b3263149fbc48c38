import { RunComments } from "./RunComments";
import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PlanView, RunView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useCallRun, useDeleteRun, useRunAction } from "../../shared/api/runs";
import { daysBetween, formatDay, formatMoment } from "../../shared/format/dates";
import { formatMoney, formatSigned, formatWhole } from "../../shared/format/numbers";
import { TextField } from "../../shared/ui/Field";
import { WideDialog } from "../../shared/ui/WideDialog";
import { InputChanges } from "./InputChanges";
import { hasResults, isCutShort, isOfPlan } from "../../shared/odds/source";
import { tellRefusal } from "../../shared/ui/notify";

interface Props {
  plan: PlanView;
  runs: RunView[];
  /** The run that is open. */
  shown?: string;
  onOpen: (run: string) => void;
  /** Puts a run beside what is shown. */
  onCompare: (run: string) => void;
  onClose: () => void;
}

const STATES: Record<string, string> = {
  running: "at work",
  done: "",
  stopped: "stopped early",
  interrupted: "interrupted",
  failed: "failed",
};

/** The recorded runs: what each is called, how it was made and what it says, beside the one that is open. */
export function RunsDialog({ plan, runs, shown, onOpen, onCompare, onClose }: Props) {
  const project = plan.project.id;
  const call = useCallRun(project);
  const action = useRunAction(project);
  const remove = useDeleteRun(project);
  const [looked, setLooked] = useState<string>();
  const [gone, setGone] = useState<RunView>();
  const reference = runs.find((run) => run.id === shown);
  const handIn = async (run: RunView, words: Partial<Pick<RunView, "name" | "note">>) => {
    try {
      await call.mutateAsync({ id: run.id, name: run.name, note: run.note, ...words });
      return undefined;
    } catch (error) {
      return refusalOf(error);
    }
  };
  const deleteRun = (run: RunView) =>
    remove.mutate(run.id, { ...tellRefusal, onSuccess: () => setGone(run) });
  const bringBack = (run: RunView) =>
    action.mutate(
      { run: run.id, action: "restore" },
      { ...tellRefusal, onSuccess: () => setGone(undefined) },
    );
  return (
    <WideDialog title="Recorded runs" onClose={onClose} width="1060px">
      <Box flex="1" minW="0">
        {gone && (
          <Flex role="status" gap="4" mb="2" px="3" py="1.5" bg="actionTint" align="center">
            Run {gone.number} is deleted; for 30 days it can be brought back.
            <Button size="xs" variant="ghost" color="action" onClick={() => bringBack(gone)}>
              Take back
            </Button>
          </Flex>
        )}
        {runs.length === 0 && (
          <Box color="softInk">
            No run is recorded yet. The live odds follow every edit; <i>Record a run</i> keeps those of a
            moment, with the inputs they come from.
          </Box>
        )}
        {runs.map((run) => (
          <Box key={run.id} py="2" borderTopWidth="1px" borderColor="line" data-run={run.number}>
            <Flex gap="4" align="baseline" wrap="wrap">
              <Box fontWeight="650" width="60px">
                Run {run.number}
              </Box>
              <Box flex="1" minW="220px">
                {formatMoment(run.startedAt)} by {run.own ? "you" : (run.by ?? "somebody else")},{" "}
                {formatWhole(run.done)} futures
                {run.tolerance !== undefined && ` until steady to ${run.tolerance * 100} %`}, seed {run.seed}
                <Box as="span" color="softInk">
                  {STATES[run.state] && `, ${STATES[run.state]}`}
                  {run.failure && `: ${run.failure}`}
                </Box>
              </Box>
              <Box width="370px" textAlign="right">
                {run.levelFinish && (
                  <>
                    P{run.level} <b>{formatDay(run.levelFinish)}</b>
                    {run.levelCost !== undefined && `, ${formatMoney(run.levelCost, plan.project.currency)}`}
                    {beside(run, reference)}
                  </>
                )}
              </Box>
            </Flex>
            <Flex gap="4" mt="1.5" align="flex-start">
              <Box width="300px">
                <TextField label="Name" value={run.name ?? ""} onHandIn={(name) => handIn(run, { name })} />
              </Box>
              <Box flex="1">
                <TextField label="Note" value={run.note ?? ""} onHandIn={(note) => handIn(run, { note })} />
              </Box>
            </Flex>
            <RunComments project={plan.project.id} run={run} />
            <Flex gap="1" align="center">
              <Button size="xs" variant="outline" disabled={!hasResults(run)} onClick={() => onOpen(run.id)}>
                Open
              </Button>
              {run.id !== shown && hasResults(run) && (
                <Button size="xs" variant="ghost" onClick={() => onCompare(run.id)}>
                  Put beside what is shown
                </Button>
              )}
              {isCutShort(run) && (
                <Button
                  size="xs"
                  variant="ghost"
                  title="Simulates it to the end it was meant to have; what it had stays the same"
                  onClick={() =>
                    action.mutate(
                      { run: run.id, action: "resume" },
                      { ...tellRefusal, onSuccess: () => onOpen(run.id) },
                    )
                  }
                >
                  Go on with it
                </Button>
              )}
              <Button
                size="xs"
                variant="ghost"
                title="The same inputs, settings and seed: the same numbers"
                onClick={() =>
                  action.mutate(
                    { run: run.id, action: "again" },
                    { ...tellRefusal, onSuccess: (again) => onOpen(again.id) },
                  )
                }
              >
                Run again
              </Button>
              {isOfPlan(run, plan.project) ? (
                <Box color="softInk" px="2">
                  Made from the plan as it is
                </Box>
              ) : (
                <Button
                  size="xs"
                  variant="ghost"
                  onClick={() => setLooked(looked === run.id ? undefined : run.id)}
                >
                  What changed since
                </Button>
              )}
              <Box flex="1" />
              <Button size="xs" variant="ghost" color="risk" onClick={() => deleteRun(run)}>
                Delete
              </Button>
            </Flex>
            {looked === run.id && <InputChanges run={run.id} until={{ revision: plan.project.revision }} />}
          </Box>
        ))}
      </Box>
    </WideDialog>
  );
}

/** How far what a run keeps at its level lies from that of the open one. */
function beside(run: RunView, reference: RunView | undefined): string {
  if (!reference?.levelFinish || !run.levelFinish) return "";
  if (run.id === reference.id || run.level !== reference.level) return "";
  const days = daysBetween(reference.levelFinish, run.levelFinish);
  return days === 0 ? ", the same as the open one" : `, ${formatSigned(days)} days`;
}
