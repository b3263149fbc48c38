import { create } from "zustand";
import type { RunRequest } from "../../shared/api/client";
import { parseNumber } from "../../shared/format/numbers";

interface RunSettings {
  iterations: string;
  seed: string;
  /** Percent of the standard deviation at which the run is steady enough to stop; empty for all iterations. */
  tolerance: string;
  name: string;
  set: (change: Partial<Typed>) => void;
}

type Typed = Pick<RunSettings, "iterations" | "seed" | "tolerance" | "name">;

/** What is typed into the settings of the next run. */
export const useRunSettings = create<RunSettings>()((set) => ({
  iterations: "10,000",
  seed: "",
  tolerance: "",
  name: "",
  set,
}));

/** The run that the settings ask for, or why they ask for none. */
export function runRequest({
  iterations,
  seed,
  tolerance,
  name,
}: Typed): { run: RunRequest } | { refusal: string } {
  const count = parseNumber(iterations);
  if (count === undefined || !Number.isInteger(count) || count < 100 || count > 1_000_000) {
    return { refusal: `Iterations must be a whole number from 100 to 1,000,000, not “${iterations}”.` };
  }
  const number = seed.trim() === "" ? undefined : parseNumber(seed);
  if (seed.trim() !== "" && (number === undefined || !Number.isSafeInteger(number) || number < 0)) {
    return { refusal: `A seed must be a whole number from 0, not “${seed}”.` };
  }
  const percent = tolerance.trim() === "" ? undefined : parseNumber(tolerance.replace(/%$/, ""));
  if (tolerance.trim() !== "" && (percent === undefined || percent < 0.5 || percent > 100)) {
    return { refusal: `A tolerance lies between 0.5 and 100 %, not “${tolerance}”.` };
  }
  return {
    run: {
      iterations: count,
      ...(number !== undefined && { seed: number }),
      ...(percent !== undefined && { tolerance: percent / 100 }),
      ...(name.trim() !== "" && { name: name.trim() }),
    },
  };
}
