import type { ProjectSummary, Standing } from "../shared/api/client";

/** A project of the list for tests; by itself, with its plan's finish and nothing recorded. */
export const aProject = (
  id: string,
  name: string,
  more: Partial<ProjectSummary["project"]> = {},
  rest: Partial<ProjectSummary> = {},
): ProjectSummary => ({
  project: {
    id,
    code: id,
    name,
    currency: "EUR",
    start: "2027-03-01T08:00",
    calendar: "std",
    lagCalendar: "predecessor",
    revision: 1,
    confidence: 80,
    programme: false,
    editedAt: "2026-11-01T08:00:00Z",
    inputsRevision: 1,
    ...more,
  },
  finish: "2028-01-03T17:00",
  activities: 12,
  ...rest,
});

/** Where a project stands, for tests: its level at a day, eleven days around it for the mist. */
export const aStanding = (level: string, chance?: number, more: Partial<Standing> = {}): Standing =>
  ({
    confidence: 80,
    finish: {
      plan: "2028-01-03T17:00",
      tenths: Array.from({ length: 11 }, () => level),
      level,
      target: chance === undefined ? undefined : "2028-06-01T17:00",
      chance,
    },
    cost: { plan: 100, tenths: Array.from({ length: 11 }, () => 120), level: 120 },
    currency: "EUR",
    findings: 0,
    milestones: [],
    parts: [],
    ...more,
  }) as Standing;
