import { Box, Button, Flex } from "@chakra-ui/react";
import { ApiError, type PlanView, type RunView } from "../../shared/api/client";
import { useRunAction, useStartRun } from "../../shared/api/runs";
import { formatWhole } from "../../shared/format/numbers";
import { RunSettings } from "./RunSettings";
import { runRequest, useRunSettings } from "./runRequest";
import { tellRefusal } from "../../shared/ui/notify";

const LOOK = {
  size: "sm",
  height: "28px",
  variant: "outline",
  borderColor: "strongLine",
  color: "ink",
} as const;

interface Props {
  plan: PlanView;
  running?: RunView;
  onStarted: (run: RunView) => void;
}

/** Records a run with the settings at hand, or holds and stops the one at work. */
export function RunControl({ plan, running, onStarted }: Props) {
  const start = useStartRun(plan.project.id);
  const settings = useRunSettings();
  const request = runRequest(settings);
  if (running) return <AtWork project={plan.project.id} run={running} />;
  const refused = "refusal" in request ? request.refusal : undefined;
  return (
    <Flex align="center" gap="1">
      {(refused || start.error) && (
        <Box role="alert" color="risk" maxW="26rem" truncate title={refused ?? start.error?.message}>
          {refused ??
            (start.error instanceof ApiError ? start.error.message : "The run could not be started.")}
        </Box>
      )}
      <RunSettings plan={plan} />
      <Button
        size="sm"
        height="28px"
        bg="action"
        color="onAction"
        disabled={refused !== undefined}
        loading={start.isPending}
        onClick={() => "run" in request && start.mutate(request.run, { onSuccess: onStarted })}
      >
        Record a run
      </Button>
    </Flex>
  );
}

function AtWork({ project, run }: { project: string; run: RunView }) {
  const action = useRunAction(project);
  const paused = run.progress?.paused ?? false;
  const share = (100 * (run.progress?.done ?? 0)) / run.asked;
  return (
    <Flex align="center" gap="2" whiteSpace="nowrap">
      <Box color="softInk">
        Run {run.number}: {formatWhole(share)} %
      </Box>
      <Box
        role="progressbar"
        aria-label="Progress of the run"
        aria-valuenow={Math.round(share)}
        aria-valuemin={0}
        aria-valuemax={100}
        width="90px"
        height="6px"
        bg="line"
        borderRadius="3px"
      >
        <Box height="100%" bg="simulated" borderRadius="3px" style={{ width: `${share}%` }} />
      </Box>
      <Button
        {...LOOK}
        onClick={() => action.mutate({ run: run.id, action: paused ? "resume" : "pause" }, tellRefusal)}
      >
        {paused ? "Go on" : "Hold"}
      </Button>
      <Button {...LOOK} onClick={() => action.mutate({ run: run.id, action: "stop" }, tellRefusal)}>
        Stop and keep
      </Button>
    </Flex>
  );
}
