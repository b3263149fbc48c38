import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { Navigate, useNavigate } from "react-router";
import type { PlanView, ScenarioRow } from "../../shared/api/client";
import { useRegister } from "../../shared/api/risks";
import { enterScenario, useScenarioEdits, useScenarios } from "../../shared/api/scenarios";
import { SubjectPicker } from "../../shared/odds/SubjectPicker";
import { QUANTITIES } from "../../shared/odds/subject";
import { Stage } from "../../shared/stage/Stage";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { lazily } from "../../shared/ui/lazily";
import { Notice } from "../../shared/ui/Notice";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { GOALS } from "./fund";
import { made, refused } from "./making";

import { type ScenariosLook, useLook, type View } from "./scenariosStore";
import { SideBySide } from "./SideBySide";
import { freeName } from "./switches";

const TakeOverDialog = lazily(() => import("./TakeOverDialog"), "TakeOverDialog");

const StoryPart = lazily(() => import("./StoryPart"), "StoryPart", <Notice>One moment…</Notice>);
const FundPart = lazily(() => import("./FundPart"), "FundPart", <Notice>One moment…</Notice>);
const SincePart = lazily(() => import("./SincePart"), "SincePart", <Notice>One moment…</Notice>);
const RecordPart = lazily(() => import("./RecordPart"), "RecordPart", <Notice>One moment…</Notice>);

const VIEWS: { value: View; label: string }[] = [
  { value: "side", label: "Side by side" },
  { value: "story", label: "One after the other" },
  { value: "fund", label: "What to fund" },
  { value: "since", label: "Since last time" },
  { value: "record", label: "Track record" },
];
const LEVELS = [50, 60, 70, 75, 80, 85, 90, 95];

/** What would help: scenarios of the plan compared, worked in and taken over. */
export function ScenariosStage() {
  const plan = usePlanOfStage();
  const { id, revision, confidence, scenario } = plan.project;
  const look = useLook(id);
  const navigate = useNavigate();
  const edits = useScenarioEdits(id);
  const register = useRegister(id, revision);
  const scenarios = useScenarios(id, revision, {
    base: look.base,
    level: look.level,
    watch: look.ticked ?? [],
  });
  const [taking, setTaking] = useState<ScenarioRow>();
  const view = scenarios.data;
  const rows = view?.rows ?? [];
  if (scenario) return <Navigate to={`/projects/${scenario.of}/scenarios`} replace />;
  const enter = (row: ScenarioRow) =>
    void enterScenario(id, row.id)
      .then((place) => navigate(`/projects/${place.id}/plan`))
      .catch(refused);
  const add = () => void made(edits, rows, look, { name: freeName("New scenario", rows) });
  const level = look.level ?? confidence;
  return (
    <Stage
      name="Scenarios"
      views={{
        label: "View of the scenarios",
        choices: VIEWS,
        value: look.view,
        onChange: (next) => look.set({ view: next }),
      }}
      commands={[
        { id: "new", label: "New scenario", run: add },
        ...rows
          .filter((row) => row.id !== "" && !row.putAway)
          .map((row) => ({ id: `enter ${row.id}`, label: `Work in “${row.name}”`, run: () => enter(row) })),
      ]}
      tools={<Tools plan={plan} rows={rows} look={look} level={level} onAdd={add} />}
      over={
        taking &&
        view && (
          <TakeOverDialog
            plan={plan}
            row={rows.find((row) => row.id === taking.id) ?? taking}
            base={rows.find((row) => row.id === view.base)}
            level={view.level}
            edits={edits}
            onClose={() => setTaking(undefined)}
          />
        )
      }
    >
      {scenarios.isError && (
        <Notice alert retry={() => void scenarios.refetch()}>
          The scenarios cannot be shown: {scenarios.error.message}
        </Notice>
      )}
      {!view && !scenarios.isError && <Notice>Reading the scenarios…</Notice>}
      {view && (
        <Box height="100%">
          {look.view === "side" && (
            <SideBySide
              plan={plan}
              view={view}
              risks={register.data?.risks ?? []}
              edits={edits}
              look={look}
              onEnter={enter}
              onTakeOver={setTaking}
            />
          )}
          {look.view === "story" && <StoryPart plan={plan} view={view} look={look} />}
          {look.view === "fund" && (
            <FundPart plan={plan} view={view} edits={edits} look={look} goal={look.goal} />
          )}
          {look.view === "since" && <SincePart plan={plan} what={look.what === "cost" ? "cost" : "finish"} />}
          {look.view === "record" && <RecordPart plan={plan} view={view} look={look} />}
        </Box>
      )}
    </Stage>
  );
}

interface ToolsProps {
  plan: PlanView;
  rows: readonly ScenarioRow[];
  look: ScenariosLook;
  level: number;
  onAdd: () => void;
}

/** What is looked at, at which level and against what: as far as the view asks for it. */
function Tools({ plan, rows, look, level, onAdd }: ToolsProps) {
  const { view } = look;
  if (view === "record") return null;
  return (
    <Flex gap="3" align="center">
      {view === "side" && (
        <>
          <LabelledSelect
            label="Curves of"
            before="of"
            value={look.what}
            choices={QUANTITIES}
            onPick={(what) => look.set({ what })}
          />
          <SubjectPicker
            plan={plan}
            subject={{ what: look.what, of: look.of }}
            onChange={(of) => look.set({ of })}
          />
        </>
      )}
      {view === "fund" && (
        <LabelledSelect
          label="What is to get better"
          before="by"
          value={look.goal}
          choices={GOALS}
          onPick={(goal) => look.set({ goal })}
        />
      )}
      {view === "since" ? (
        <LabelledSelect
          label="Drift of"
          before="of"
          value={look.what === "cost" ? "cost" : "finish"}
          choices={QUANTITIES.filter(({ value }) => value === "finish" || value === "cost")}
          onPick={(what) => look.set({ what })}
        />
      ) : (
        <LabelledSelect
          label="Compared at"
          before="at"
          value={String(level)}
          choices={[...new Set([...LEVELS, level])]
            .sort((a, b) => a - b)
            .map((one) => ({ value: String(one), label: `P${one}` }))}
          onPick={(one) => look.set({ level: Number(one) })}
        />
      )}
      {view === "side" && (
        <>
          <LabelledSelect
            label="Compared with"
            before="against"
            width="9rem"
            value={look.base}
            choices={rows.filter((row) => !row.putAway).map((row) => ({ value: row.id, label: row.name }))}
            onPick={(base) => look.set({ base })}
          />
          <Button size="xs" variant="ghost" color="action" onClick={onAdd}>
            New scenario
          </Button>
        </>
      )}
    </Flex>
  );
}
