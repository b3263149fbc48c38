import { Box, Button, chakra, Field, Flex, Popover, Portal } from "@chakra-ui/react";
import { Settings2 } from "lucide-react";
import { ApiError, type RunView } from "../../shared/api/client";
import { useRunAction, useStartRun } from "../../shared/api/runs";
import { formatWhole } from "../../shared/format/numbers";
import { runRequest, useRunSettings } from "./runSettings";

const Input = chakra("input");

/** Starts a run with the settings at hand, or tells how far the one at work is and stops it. */
export function RunControl({ project, running }: { project: string; running?: RunView }) {
  const start = useStartRun(project);
  const settings = useRunSettings();
  const request = runRequest(settings);
  if (running) return <Progress project={project} run={running} />;
  const refused = "refusal" in request ? request.refusal : undefined;
  return (
    <Flex align="center" gap="1">
      {(refused || start.error) && (
        <Box role="alert" color="risk" maxW="26rem" truncate title={refused ?? start.error?.message}>
          {refused ??
            (start.error instanceof ApiError ? start.error.message : "The run could not be started.")}
        </Box>
      )}
      <Popover.Root positioning={{ placement: "bottom-end" }}>
        <Popover.Trigger asChild>
          <Button
            size="xs"
            variant="ghost"
            color="softInk"
            aria-label="Settings of the run"
            title="Iterations, until steady, seed, name"
          >
            <Settings2 size={15} />
            {settings.iterations}
            {settings.tolerance ? `, until ${settings.tolerance} %` : ""}
            {settings.seed ? `, seed ${settings.seed}` : ""}
          </Button>
        </Popover.Trigger>
        <Portal>
          <Popover.Positioner>
            <Popover.Content bg="panel" width="19rem">
              <Popover.Body display="flex" flexDirection="column" gap="3">
                <Setting
                  label="Iterations"
                  help="Futures to simulate, 100 to 1,000,000. More make the percentiles surer."
                  value={settings.iterations}
                  onChange={(iterations) => settings.set({ iterations })}
                />
                <Setting
                  label="Until steady, %"
                  help="Stops sooner, once mean and P80 are known to this share of their standard deviation, such as 2. Empty for all iterations."
                  value={settings.tolerance}
                  onChange={(tolerance) => settings.set({ tolerance })}
                />
                <Setting
                  label="Name"
                  help="What the run is for; it can be changed later."
                  value={settings.name}
                  onChange={(name) => settings.set({ name })}
                />
                <Setting
                  label="Seed"
                  help="The same seed gives the same numbers again. Leave it empty for a new one."
                  value={settings.seed}
                  onChange={(seed) => settings.set({ seed })}
                />
              </Popover.Body>
            </Popover.Content>
          </Popover.Positioner>
        </Portal>
      </Popover.Root>
      <Button
        size="sm"
        height="28px"
        bg="action"
        color="onAction"
        disabled={refused !== undefined}
        loading={start.isPending}
        onClick={() => "run" in request && start.mutate(request.run)}
      >
        Simulate
      </Button>
    </Flex>
  );
}

function Setting({
  label,
  help,
  value,
  onChange,
}: {
  label: string;
  help: string;
  value: string;
  onChange: (text: string) => void;
}) {
  return (
    <Field.Root>
      <Field.Label>{label}</Field.Label>
      <Input
        value={value}
        width="100%"
        height="30px"
        px="2"
        bg="ground"
        borderWidth="1px"
        borderColor="strongLine"
        borderRadius="4px"
        onChange={(event) => onChange(event.target.value)}
        aria-label={label}
      />
      <Field.HelperText color="softInk">{help}</Field.HelperText>
    </Field.Root>
  );
}

function Progress({ project, run }: { project: string; run: RunView }) {
  const action = useRunAction(project);
  const paused = run.progress?.paused ?? false;
  const done = run.progress?.done ?? 0;
  const share = (100 * done) / run.asked;
  return (
    <Flex align="center" gap="3">
      <Box role="status" whiteSpace="nowrap">
        {paused && "Held at "}
        {formatWhole(done)} of {run.tolerance !== undefined && "at most "}
        {formatWhole(run.asked)} futures
        {run.progress && !paused && run.progress.perSecond > 0 && (
          <Box as="span" color="softInk">
            {" "}
            · {formatWhole(run.progress.perSecond)} a second ·{" "}
            {formatWhole(Math.ceil(run.progress.secondsLeft))} s left
          </Box>
        )}
      </Box>
      <Box
        role="progressbar"
        aria-label="Progress of the run"
        aria-valuenow={Math.round(share)}
        aria-valuemin={0}
        aria-valuemax={100}
        width="110px"
        height="6px"
        bg="line"
        borderRadius="3px"
      >
        <Box height="100%" bg="simulated" borderRadius="3px" style={{ width: `${share}%` }} />
      </Box>
      <Button
        size="sm"
        height="28px"
        variant="outline"
        borderColor="strongLine"
        color="ink"
        onClick={() => action.mutate({ run: run.id, action: paused ? "resume" : "pause" })}
      >
        {paused ? "Go on" : "Hold"}
      </Button>
      <Button
        size="sm"
        height="28px"
        variant="outline"
        borderColor="strongLine"
        color="ink"
        onClick={() => action.mutate({ run: run.id, action: "stop" })}
      >
        Stop and keep
      </Button>
    </Flex>
  );
}
