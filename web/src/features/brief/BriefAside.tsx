import { Box, chakra, Flex, Menu, Portal } from "@chakra-ui/react";
import { GripVertical } from "lucide-react";
import { type ReactNode, useState } from "react";
import type { BriefView, PlanView, RunView } from "../../shared/api/client";
import { isOfPlan } from "../../shared/odds/source";
import { formatMoment } from "../../shared/format/dates";
import { TextField } from "../../shared/ui/Field";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { headingOf, KINDS } from "./kinds";
import type { BriefWays } from "./useBriefWays";

const Button = chakra("button");
const LATEST = "";
const PLAN_ITSELF = "";

const LOCALES = [
  { value: "en-GB", label: "3 May 2027, €1,250.50" },
  { value: "en-US", label: "May 3, 2027, €1,250.50" },
  { value: "de-DE", label: "3. Mai 2027, 1.250,50 €" },
  { value: "fr-FR", label: "3 mai 2027, 1 250,50 €" },
  { value: "es-ES", label: "3 de mayo de 2027, 1.250,50 €" },
  { value: "nl-NL", label: "3 mei 2027, € 1.250,50" },
];

interface Props {
  plan: PlanView;
  brief: BriefView;
  runs: readonly RunView[];
  ways: BriefWays;
  chosen?: string;
  onUpdate: () => void;
}

/** What stands beside the page: its blocks in their order, where its numbers are from, and how it is set. */
export function BriefAside({ plan, brief, runs, ways, chosen, onUpdate }: Props) {
  const [dragged, setDragged] = useState<string>();
  return (
    <Flex
      as="nav"
      aria-label="The brief"
      direction="column"
      gap="5"
      width="252px"
      flexShrink="0"
      height="100%"
      overflow="auto"
      px="4"
      py="4"
      borderRightWidth="1px"
      borderColor="line"
    >
      <Part title="On this page">
        {brief.blocks.map((block) => (
          <Flex
            key={block.id}
            align="center"
            gap="1"
            minH="28px"
            draggable
            onDragStart={() => setDragged(block.id)}
            onDragOver={(event) => event.preventDefault()}
            onDrop={() => dragged && ways.place(dragged, block.id)}
          >
            <Box color="softInk" cursor="grab" aria-hidden>
              <GripVertical size={13} />
            </Box>
            <Button
              textAlign="left"
              fontWeight={block.id === chosen ? "650" : "400"}
              color={block.id === chosen ? "action" : "ink"}
              aria-current={block.id === chosen}
              onClick={() => ways.choose(block.id)}
            >
              {headingOf(block) || "Words of your own"}
            </Button>
          </Flex>
        ))}
        <AddBlock onAdd={(kind) => ways.add(kind, chosen)} />
      </Part>
      <NumbersFrom {...{ plan, brief, runs, ways, onUpdate }} />
      <Part title="The page">
        <Named label="Name">
          <TextField unseen label="Name" value={brief.name} onHandIn={(name) => ways.set({ name })} />
        </Named>
        <Named label="Title">
          <TextField
            unseen
            label="Title"
            lines={2}
            value={brief.title}
            onHandIn={(title) => ways.set({ title: title.split("\n").join(" ") })}
          />
        </Named>
        <Named label="At the foot of every page">
          <TextField
            unseen
            label="At the foot of every page"
            value={brief.confidential}
            hint="Such as: Confidential, for the board alone"
            onHandIn={(confidential) => ways.set({ confidential })}
          />
        </Named>
        <LabelledSelect
          label="Dates and money"
          width="100%"
          value={brief.locale}
          choices={
            LOCALES.some(({ value }) => value === brief.locale)
              ? LOCALES
              : [...LOCALES, { value: brief.locale, label: brief.locale }]
          }
          onPick={(locale) => void ways.set({ locale })}
        />
        <Flex gap="3">
          <LabelledSelect
            label="Days"
            value={brief.days}
            choices={[
              { value: "working", label: "working days" },
              { value: "calendar", label: "calendar days" },
            ]}
            onPick={(days) => void ways.set({ days })}
          />
          <LabelledSelect
            label="Paper"
            value={brief.paper}
            choices={[
              { value: "a4", label: "A4" },
              { value: "letter", label: "Letter" },
            ]}
            onPick={(paper) => void ways.set({ paper })}
          />
        </Flex>
      </Part>
    </Flex>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Flex direction="column" gap="1.5">
      <Box as="h2" fontWeight="650">
        {title}
      </Box>
      {children}
    </Flex>
  );
}

function Named({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box>
      <Box color="softInk" aria-hidden>
        {label}
      </Box>
      {children}
    </Box>
  );
}

function AddBlock({ onAdd }: { onAdd: (kind: string) => void }) {
  return (
    <Menu.Root positioning={{ placement: "right-start" }}>
      <Menu.Trigger asChild>
        <Button textAlign="left" color="action" mt="1">
          Add a block
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content bg="panel" maxH="70vh" overflow="auto" minW="72">
            {KINDS.map(({ kind, name, about }) => (
              <Menu.Item key={kind} value={kind} onSelect={() => onAdd(kind)}>
                <Box flex="1">{name}</Box>
                <Box color="softInk">{about}</Box>
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

/** Where the numbers are from, and whether the plan has moved on since. */
function NumbersFrom({ plan, brief, runs, ways, onUpdate }: Omit<Props, "chosen">) {
  const recorded = runs.filter((run) => run.levelFinish !== undefined);
  const { run, latest } = brief;
  const newer = latest && run && latest.number > run.number;
  const moved = run && !isOfPlan(run, plan.project);
  const scenarios = ways.scenarios;
  return (
    <Part title="Numbers from">
      {run ? (
        <>
          <LabelledSelect
            label="Which run"
            width="100%"
            value={brief.asked === undefined ? LATEST : String(brief.asked)}
            choices={[
              { value: LATEST, label: `the latest, run ${latest?.number}` },
              ...recorded.map((one) => ({
                value: String(one.number),
                label: `run ${one.number}${one.name ? `, ${one.name}` : ""}`,
              })),
              ...(brief.asked !== undefined && !recorded.some(({ number }) => number === brief.asked)
                ? [{ value: String(brief.asked), label: `run ${brief.asked}, no longer on record` }]
                : []),
            ]}
            onPick={(number) => void ways.set({ run: number === LATEST ? null : Number(number) })}
          />
          <LabelledSelect
            label="Of the plan or a scenario"
            width="100%"
            value={brief.scenario ?? PLAN_ITSELF}
            choices={[
              { value: PLAN_ITSELF, label: "the plan itself" },
              ...scenarios.map((row) => ({ value: row.id, label: row.name })),
            ]}
            onPick={(scenario) => void ways.set({ scenario: scenario || null })}
          />
          <Box color="softInk">
            {formatMoment(run.startedAt)}, seed {run.seed}
          </Box>
          {moved && !newer && (
            <Box color="risk">
              The plan has been edited since.{" "}
              <Button color="action" textDecoration="underline" onClick={ways.record}>
                Record a new run
              </Button>
            </Box>
          )}
          {newer && (
            <Box color="risk">
              Run {latest.number} is newer.{" "}
              <Button color="action" textDecoration="underline" onClick={onUpdate}>
                Bring up to date
              </Button>
            </Box>
          )}
        </>
      ) : (
        <Box>
          No run is on record yet.{" "}
          <Button color="action" textDecoration="underline" onClick={ways.record}>
            Record one
          </Button>
        </Box>
      )}
      {ways.recording && (
        <Box color="softInk" role="status">
          A run is being recorded…
        </Box>
      )}
    </Part>
  );
}
