import type { BriefBlock } from "../../shared/api/client";

/** What can be set of a kind of block. */
export type Setting = "of" | "level" | "depth" | "rows" | "since" | "scenarios" | "owner" | "period" | "show";

interface Kind {
  kind: string;
  name: string;
  about: string;
  settings: readonly Setting[];
}

/** The kinds of blocks in the order in which they are offered. */
export const KINDS: readonly Kind[] = [
  { kind: "answer", name: "The answer", about: "three sentences", settings: ["of", "level", "scenarios"] },
  { kind: "howSure", name: "How sure", about: "date, budget, both", settings: ["of", "level", "show"] },
  {
    kind: "turnsOut",
    name: "How it may turn out",
    about: "the work breakdown as mist",
    settings: ["of", "level", "depth", "rows", "show"],
  },
  { kind: "reasons", name: "What makes it so", about: "in days", settings: ["of", "level", "rows", "show"] },
  { kind: "money", name: "Where the money goes", about: "by cause", settings: ["level", "show"] },
  {
    kind: "cashFlow",
    name: "When the money goes",
    about: "and what is funded",
    settings: ["period", "show"],
  },
  { kind: "contingency", name: "What to hold", about: "beside the plan", settings: ["of", "level", "show"] },
  {
    kind: "options",
    name: "What we can do",
    about: "scenarios beside the plan",
    settings: ["level", "scenarios", "rows", "show"],
  },
  { kind: "fund", name: "What to fund", about: "the best responses", settings: ["level", "rows", "show"] },
  {
    kind: "risks",
    name: "The largest risks",
    about: "with their owners",
    settings: ["level", "owner", "rows"],
  },
  { kind: "actions", name: "What is to be done", about: "by whom, by when", settings: ["owner", "rows"] },
  {
    kind: "since",
    name: "What changed",
    about: "since an earlier run",
    settings: ["level", "since", "show"],
  },
  { kind: "decide", name: "What to decide", about: "by whom, by when", settings: ["level", "scenarios"] },
  { kind: "criticality", name: "What drives the finish", about: "how often", settings: ["rows", "show"] },
  { kind: "checks", name: "What the checks found", about: "plan, ranges, register", settings: [] },
  { kind: "method", name: "How it was worked out", about: "run, error, assumptions", settings: ["level"] },
  { kind: "text", name: "Words of your own", about: "with numbers in them", settings: ["of", "level"] },
];

const BY_KIND = new Map(KINDS.map((one) => [one.kind, one]));

export const settingsOf = (kind: string) => BY_KIND.get(kind)?.settings ?? [];

/** What a block is called in lists. */
export const headingOf = (block: BriefBlock) =>
  block.heading || block.usual || BY_KIND.get(block.kind)?.name || "";

/** Briefs to begin with. */
export const STARTERS = [
  { starter: "SPONSOR", label: "For the sponsor", about: "the answer, options, a decision" },
  { starter: "RISK_OWNERS", label: "For the risk owners", about: "their risks, actions, dates" },
  { starter: "PLANNERS", label: "For the planners", about: "what drives, what the checks found" },
  { starter: "FUNDING_BODY", label: "For the funding body", about: "cash flow, contingency" },
  { starter: "BLANK", label: "An empty page", about: "block by block" },
] as const;

export type Starter = (typeof STARTERS)[number]["starter"];
