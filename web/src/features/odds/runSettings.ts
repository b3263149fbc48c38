import { create } from "zustand";
import type { RunRequest } from "../../shared/api/client";
import { parseNumber } from "../../shared/format/numbers";

interface RunSettings {
  iterations: string;
  seed: string;
  set: (change: Partial<Pick<RunSettings, "iterations" | "seed">>) => void;
}

/** What is typed into the settings of the next run. */
export const useRunSettings = create<RunSettings>()((set) => ({ iterations: "10,000", seed: "", set }));

/** The run that the settings ask for, or why they ask for none. */
export function runRequest({
  iterations,
  seed,
}: Pick<RunSettings, "iterations" | "seed">): { run: RunRequest } | { refusal: string } {
  const count = parseNumber(iterations);
  if (count === undefined || !Number.isInteger(count) || count < 100 || count > 1_000_000) {
    return { refusal: `Iterations must be a whole number from 100 to 1,000,000, not “${iterations}”.` };
  }
  if (seed.trim() === "") return { run: { iterations: count } };
  const number = parseNumber(seed);
  if (number === undefined || !Number.isSafeInteger(number) || number < 0) {
    return { refusal: `A seed must be a whole number from 0, not “${seed}”.` };
  }
  return { run: { iterations: count, seed: number } };
}
