import type { PlanView, ProjectSummary, RiskView } from "../shared/api/client";
import type { Command } from "../shared/stage/commands";
import { wordsLike } from "../shared/words/glossary";
import { explain } from "../shared/words/wordStore";
import { STAGES } from "./stages";

/** Something that a search finds, and what choosing it does. */
export interface Item {
  id: string;
  label: string;
  code?: string;
  /** What it is, or the key that does the same. */
  note: string;
  group: string;
  run: () => void;
}

interface Known {
  plan?: PlanView;
  risks?: readonly RiskView[];
  projects: readonly ProjectSummary[];
  offered: Record<string, readonly Command[]>;
  go: (address: string) => void;
  onRow: (row: string) => void;
  onRisk: (risk: string) => void;
}

const MOST_ROWS = 12;
const MOST_PROJECTS = 8;
const MOST_WORDS = 6;

const fits = (text: string, ...words: string[]) => {
  const said = words.join(" ").toLowerCase();
  return text.split(/\s+/).every((part) => said.includes(part));
};

/** What is found for a text: commands, stages, rows, risks, projects and words; all commands and stages while nothing is typed. */
export function itemsFor(typed: string, known: Known): Item[] {
  const text = typed.trim().toLowerCase();
  return [
    ...commands(text, known),
    ...stages(text, known),
    ...(text === ""
      ? []
      : [...rows(text, known), ...risks(text, known), ...projects(text, known), ...words(text)]),
  ];
}

function commands(text: string, { offered }: Known): Item[] {
  return Object.entries(offered).flatMap(([from, all]) =>
    all
      .filter((command) => fits(text, command.label, from))
      .map((command) => ({
        id: `command ${from} ${command.id}`,
        label: command.label,
        note: command.keys ?? (command.href ? "file" : ""),
        group: from,
        run: () => (command.href ? takeOut(command.href) : command.run?.()),
      })),
  );
}

function stages(text: string, { plan, go }: Known): Item[] {
  if (!plan) return [];
  return STAGES.filter((stage) => fits(text, stage.name, "stage")).map((stage) => ({
    id: `stage ${stage.path}`,
    label: stage.name,
    note: "stage",
    group: "Stages",
    run: () => go(`/projects/${plan.project.id}/${stage.path}`),
  }));
}

function rows(text: string, { plan, onRow }: Known): Item[] {
  if (!plan) return [];
  const all = [
    ...plan.branches.map((row) => ({ id: row.id, name: row.name, note: "branch" })),
    ...plan.activities.map((row) => ({ id: row.id, name: row.name, note: row.kind })),
    ...plan.costs.map((row) => ({ id: row.id, name: row.name, note: "cost line" })),
  ];
  return all
    .filter((row) => fits(text, row.id, row.name))
    .sort((a, b) => Number(b.id.toLowerCase() === text) - Number(a.id.toLowerCase() === text))
    .slice(0, MOST_ROWS)
    .map(({ id, name, note }) => ({
      id: `row ${id}`,
      code: id,
      label: name,
      note,
      group: "Rows",
      run: () => onRow(id),
    }));
}

function risks(text: string, { risks: all = [], onRisk }: Known): Item[] {
  return all
    .filter((risk) => fits(text, risk.id, risk.title))
    .slice(0, MOST_ROWS)
    .map(({ id, title, kind }) => ({
      id: `risk ${id}`,
      code: id,
      label: title,
      note: kind,
      group: "Risks",
      run: () => onRisk(id),
    }));
}

function projects(text: string, { projects: all, go }: Known): Item[] {
  return all
    .filter(({ project }) => fits(text, project.name))
    .slice(0, MOST_PROJECTS)
    .map(({ project }) => ({
      id: `project ${project.id}`,
      label: project.name,
      note: "project",
      group: "Projects",
      run: () => go(`/projects/${project.id}/plan`),
    }));
}

const words = (text: string): Item[] =>
  wordsLike(text)
    .slice(0, MOST_WORDS)
    .map((word) => ({
      id: `word ${word.id}`,
      label: word.term,
      note: "word",
      group: "Words explained",
      run: () => explain(word.id),
    }));

function takeOut(address: string) {
  const link = document.createElement("a");
  link.href = address;
  link.download = "";
  link.click();
}
