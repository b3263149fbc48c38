import type { MachineView } from "../shared/api/client";

/** A machine that works, for tests; it has nothing to do. */
export const aMachine = (name: string, more: Partial<MachineView> = {}): MachineView => ({
  id: name,
  name,
  kind: "worker",
  address: "10.0.0.7",
  threads: 2,
  since: "2026-11-25T08:00:00Z",
  busy: 0,
  work: [],
  blocks: 0,
  futures: 0,
  bytes: 0,
  ...more,
});
