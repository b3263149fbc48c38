import type { RunView } from "../shared/api/client";

/** A recorded run for tests, done with all its futures. */
export const aRun = (number: number, more: Partial<RunView> = {}): RunView => ({
  id: `run${number}`,
  number,
  state: "done",
  startedAt: "2026-11-20T08:00:00Z",
  asked: 10_000,
  done: 10_000,
  seed: 4711,
  sampling: "latin",
  revision: 1,
  level: 80,
  levelFinish: "2028-06-01T17:00:00",
  levelCost: 120_000,
  own: true,
  ...more,
});
