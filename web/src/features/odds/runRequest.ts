import { create } from "zustand";
import type { RunRequest } from "../../shared/api/client";
import { parseNumber } from "../../shared/format/numbers";

interface Typed {
  iterations: string;
  seed: string;
  /** Percent of the standard deviation at which the run is steady enough to stop; empty for all iterations. */
  tolerance: string;
  /** Percent of certainty of the intervals by which that is judged; empty for 95. */
  certainty: string;
  sampling: "latin" | "plain";
  /** How many work at once; empty for all. */
  threads: string;
  drawing: boolean;
  name: string;
  note: string;
}

export const FRESH: Typed = {
  iterations: "10,000",
  seed: "",
  tolerance: "",
  certainty: "",
  sampling: "latin",
  threads: "",
  drawing: true,
  name: "",
  note: "",
};

interface RunSettings extends Typed {
  set: (change: Partial<Typed>) => void;
}

/** What is typed into the settings of the next run. */
export const useRunSettings = create<RunSettings>()((set) => ({ ...FRESH, set }));

const given = (text: string) => text.trim() !== "";

/** A whole number within limits; undefined where none is typed, or why it is refused. */
function whole(
  text: string,
  least: number,
  most: number,
  refusal: string,
): number | undefined | { refusal: string } {
  if (!given(text)) return undefined;
  const value = parseNumber(text);
  return value !== undefined && Number.isSafeInteger(value) && value >= least && value <= most
    ? value
    : { refusal };
}

/** A percentage within limits, likewise. */
function share(
  text: string,
  least: number,
  most: number,
  refusal: string,
): number | undefined | { refusal: string } {
  if (!given(text)) return undefined;
  const value = parseNumber(text.replace(/%$/, ""));
  return value !== undefined && value >= least && value <= most ? value : { refusal };
}

/** The run that the settings ask for, or why they ask for none. */
export function runRequest(typed: Typed): { run: RunRequest } | { refusal: string } {
  const { iterations, seed, tolerance, certainty, sampling, threads, drawing, name, note } = typed;
  const count = whole(
    given(iterations) ? iterations : "none",
    100,
    1_000_000,
    `Iterations must be a whole number from 100 to 1,000,000, not “${iterations}”.`,
  );
  const chosen = whole(
    seed,
    0,
    Number.MAX_SAFE_INTEGER,
    `A seed must be a whole number from 0, not “${seed}”.`,
  );
  const many = whole(threads, 1, 256, `Threads must be a whole number from 1 to 256, not “${threads}”.`);
  for (const one of [count, chosen, many]) if (typeof one === "object") return one;
  const percent = share(tolerance, 0.5, 100, `A tolerance lies between 0.5 and 100 %, not “${tolerance}”.`);
  const sure = share(certainty, 50, 99.9, `A certainty lies between 50 and 99.9 %, not “${certainty}”.`);
  for (const one of [percent, sure]) if (typeof one === "object") return one;
  return {
    run: {
      iterations: count as number,
      ...(chosen !== undefined && { seed: chosen as number }),
      ...(percent !== undefined && { tolerance: (percent as number) / 100 }),
      ...(sure !== undefined && { certainty: (sure as number) / 100 }),
      ...(sampling === "plain" && { sampling }),
      ...(many !== undefined && { threads: many as number }),
      ...(!drawing && { drawing }),
      ...(given(name) && { name: name.trim() }),
      ...(given(note) && { note: note.trim() }),
    },
  };
}
