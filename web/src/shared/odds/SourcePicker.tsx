import { chakra } from "@chakra-ui/react";
import type { RunView } from "../api/client";
import { hasResults, LIVE, runWords } from "./source";

const Select = chakra("select");

interface Props {
  label: string;
  runs: RunView[];
  value: string;
  width: string;
  /** Whether runs are called by their number alone. */
  brief?: boolean;
  /** What stands first: the live odds, or nothing. */
  first: { value: string; label: string }[];
  onChange: (source: string) => void;
}

/** The live odds and the recorded runs, newest first; any that has results can be opened. */
export function SourcePicker({ label, runs, value, width, brief, first, onChange }: Props) {
  return (
    <Select
      aria-label={label}
      value={value}
      width={width}
      height="28px"
      px="2"
      bg="panel"
      color="ink"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      onChange={(event) => onChange(event.target.value)}
    >
      {first.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
      {runs.map((run) => (
        <option key={run.id} value={run.id} disabled={!hasResults(run) && run.state !== "running"}>
          {brief ? `Run ${run.number}` : runWords(run)}
        </option>
      ))}
    </Select>
  );
}

export const LIVE_CHOICE = { value: LIVE, label: "Live odds" };
