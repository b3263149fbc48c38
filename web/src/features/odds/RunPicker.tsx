import { chakra } from "@chakra-ui/react";
import type { RunView } from "../../shared/api/client";
import { formatMoment } from "../../shared/format/dates";
import { formatWhole } from "../../shared/format/numbers";

const Select = chakra("select");

const STATES: Record<string, string> = {
  stopped: "stopped early",
  interrupted: "interrupted",
  failed: "failed",
};

function describe(run: RunView): string {
  const parts = [
    `Run ${run.number}${run.name ? `, ${run.name}` : ""}`,
    formatMoment(run.startedAt),
    `${formatWhole(run.done)} futures`,
    `seed ${run.seed}`,
    STATES[run.state],
  ];
  return parts.filter(Boolean).join(" · ");
}

/** The recorded runs, newest first; any that has results can be opened. */
export function RunPicker({
  runs,
  value,
  onChange,
}: {
  runs: RunView[];
  value: string;
  onChange: (run: string) => void;
}) {
  return (
    <Select
      aria-label="Recorded run"
      value={value}
      maxW="15rem"
      height="28px"
      px="2"
      bg="panel"
      color="ink"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      onChange={(event) => onChange(event.target.value)}
    >
      {runs
        .filter((run) => run.state !== "running")
        .map((run) => (
          <option key={run.id} value={run.id} disabled={!hasResults(run)}>
            {describe(run)}
          </option>
        ))}
    </Select>
  );
}

export const hasResults = (run: RunView) => run.state === "done" || run.state === "stopped";
