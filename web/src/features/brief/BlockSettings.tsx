import { chakra, Flex } from "@chakra-ui/react";
import type { BriefBlock, PlanView } from "../../shared/api/client";
import { type BlockEdit, briefFile } from "../../shared/api/briefs";
import { useRegister } from "../../shared/api/risks";
import { THE_PLAN, useScenarios } from "../../shared/api/scenarios";
import { SubjectPicker } from "../../shared/odds/SubjectPicker";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { PAPER } from "./paper";
import { settingsOf } from "./kinds";

const Link = chakra("a");

const USUAL = "";
const LEVELS = [50, 60, 70, 75, 80, 85, 90, 95];
const ROWS = [3, 5, 8, 10, 12, 15, 20, 30, 50, 100];
const DEPTHS = [2, 3, 4];
const SHOWS = [
  { value: "drawing", label: "the drawing" },
  { value: "table", label: "the table" },
  { value: "both", label: "both" },
  { value: "words", label: "words alone" },
];
const PERIODS = [
  { value: USUAL, label: "month by month" },
  { value: "quarter", label: "by quarters" },
];

/** What is set by a number. */
const counted = (confidence: number, runs: readonly number[]) =>
  [
    {
      name: "level",
      label: "How sure",
      before: "sure to",
      usual: `${confidence} %, as the project`,
      values: LEVELS,
      told: (one: number) => `${one} %`,
    },
    {
      name: "depth",
      label: "How deep into the work breakdown",
      before: "down to",
      usual: "level 1",
      values: DEPTHS,
      told: (one: number) => `level ${one}`,
    },
    { name: "rows", label: "How many rows", before: "rows", usual: "as usual", values: ROWS, told: String },
    {
      name: "since",
      label: "Compared with which run",
      before: "since",
      usual: "the run before",
      values: runs,
      told: (one: number) => `run ${one}`,
    },
  ] as const;

interface Props {
  plan: PlanView;
  brief: string;
  block: BriefBlock;
  /** Numbers of runs that can be compared with. */
  runs: readonly number[];
  onChange: (edit: Partial<BlockEdit>) => Promise<string | undefined>;
}

/** What can be set of a block, as far as its kind asks for it, and what of it can be taken out by itself. */
export function BlockSettings({ plan, brief, block, runs, onChange }: Props) {
  const { id, revision, confidence } = plan.project;
  const has = new Set(settingsOf(block.kind));
  const register = useRegister(id, revision);
  const scenarios = useScenarios(id, revision, { base: THE_PLAN, watch: [] });
  const owners = [...new Set(register.data?.risks.map(({ owner }) => owner).filter(Boolean))].sort();
  const file = (name: string) => briefFile(id, brief, `blocks/${encodeURIComponent(block.id)}/${name}`);
  return (
    <Flex gap="4" rowGap="1.5" wrap="wrap" align="center" fontSize="13px" color={PAPER.soft} mb="2">
      {has.has("of") && (
        <SubjectPicker
          plan={plan}
          subject={{ what: "finish", of: block.of ?? "project" }}
          onChange={(of) => void onChange({ of: of === "project" ? null : of })}
        />
      )}
      {counted(confidence, runs)
        .filter(({ name }) => has.has(name))
        .map(({ name, label, before, usual, values, told }) => (
          <LabelledSelect
            key={name}
            label={label}
            before={before}
            value={String(block[name] ?? USUAL)}
            choices={[
              { value: USUAL, label: usual },
              ...values.map((one) => ({ value: String(one), label: told(one) })),
            ]}
            onPick={(text) => void onChange({ [name]: text === USUAL ? null : Number(text) })}
          />
        ))}
      {has.has("scenarios") && (
        <LabelledSelect
          label="Which scenario"
          before="option"
          width="12rem"
          value={block.scenarios.length === 1 ? (block.scenarios[0] ?? USUAL) : USUAL}
          choices={[
            { value: USUAL, label: block.kind === "options" ? "all scenarios" : "what gains most" },
            ...(scenarios.data?.rows ?? [])
              .filter((row) => row.id !== THE_PLAN && !row.putAway)
              .map((row) => ({ value: row.id, label: row.name })),
          ]}
          onPick={(one) => void onChange({ scenarios: one === USUAL ? null : [one] })}
        />
      )}
      {has.has("owner") && (
        <LabelledSelect
          label="Whose risks"
          before="of"
          width="12rem"
          value={block.owner}
          choices={[
            { value: USUAL, label: "everybody" },
            ...owners.map((owner) => ({ value: owner, label: owner })),
          ]}
          onPick={(owner) => void onChange({ owner: owner || null })}
        />
      )}
      {has.has("period") && (
        <LabelledSelect
          label="Periods"
          value={block.period === "quarter" ? "quarter" : USUAL}
          choices={PERIODS}
          onPick={(period) => void onChange({ period: period || null })}
        />
      )}
      {has.has("show") && (
        <LabelledSelect
          label="What is shown"
          before="show"
          value={block.show ?? block.usualShow}
          choices={SHOWS}
          onPick={(show) => void onChange({ show: show === block.usualShow ? null : show })}
        />
      )}
      {block.told?.drawing && (
        <>
          <Link color={PAPER.action} href={file("drawing.svg")} download>
            SVG
          </Link>
          <Link color={PAPER.action} href={file("drawing.png")} download>
            PNG
          </Link>
        </>
      )}
      {block.told?.table && (
        <>
          <Link color={PAPER.action} href={file("table.csv")} download>
            CSV
          </Link>
          <Link color={PAPER.action} href={file("table.xlsx")} download>
            XLSX
          </Link>
        </>
      )}
    </Flex>
  );
}
