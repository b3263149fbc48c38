import type { About, InboxNotice } from "../../shared/api/client";

const SECTIONS: Record<string, string> = {
  risks: "risk",
  ranges: "the range of",
  runs: "a run",
  briefs: "brief",
  wbs: "branch",
  activities: "activity",
  costs: "cost line",
  scenarios: "scenario",
};

const called = ({ section, key }: About): string =>
  section === "runs" ? "a run" : `${SECTIONS[section] ?? section} ${key}`;

/** Why something waits, in a sentence. */
export function noticeSentence({ kind, by = "Somebody", about }: InboxNotice): string {
  const what = called(about);
  switch (kind) {
    case "mention":
      return `${by} named you, on ${what}`;
    case "answer":
      return `${by} answered you, on ${what}`;
    case "ask":
      return `${by} asks you to confirm ${what}`;
    case "confirmed":
      return `${by} confirmed ${what}`;
    case "declined":
      return `${by} says that ${what} does not hold`;
  }
}

const STAGES: Record<string, string> = {
  risks: "risks",
  ranges: "ranges",
  costs: "costs",
  runs: "odds",
  briefs: "brief",
  scenarios: "scenarios",
};

/** The address at which it is seen what something is about. */
export function noticeAddress({ project, about }: Pick<InboxNotice, "project" | "about">): string {
  const stage = STAGES[about.section] ?? "plan";
  const row = stage === "odds" || stage === "brief" ? "" : `?row=${encodeURIComponent(about.key)}`;
  return `/projects/${project}/${stage}${row}`;
}
