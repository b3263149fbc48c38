import type { EditResult } from "../shared/api/client";

/** What the server answers to an edit that it has kept and that moves nothing. */
export const anEdit = (more: Partial<EditResult> = {}): EditResult => ({
  revision: 2,
  project: {} as EditResult["project"],
  activities: [],
  branches: [],
  predecessors: {},
  gone: [],
  parts: {},
  undoing: {},
  finish: "2028-03-01T17:00:00",
  plannedCost: 100_000,
  ...more,
});
