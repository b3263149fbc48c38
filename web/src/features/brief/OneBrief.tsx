import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useCallback, useState } from "react";
import type { BriefView, PlanView, RunView } from "../../shared/api/client";
import { briefFile, useBrief, useBriefEdits } from "../../shared/api/briefs";
import { refusalOf } from "../../shared/api/edits";
import { useRuns } from "../../shared/api/runs";
import { Stage } from "../../shared/stage/Stage";
import { lazily } from "../../shared/ui/lazily";
import { Notice } from "../../shared/ui/Notice";
import { notify } from "../../shared/ui/notify";
import { BriefAside } from "./BriefAside";
import { BriefPaper } from "./BriefPaper";
import type { BriefLook } from "./briefStore";
import { ExportsPanel } from "./ExportsPanel";
import { IssuesPanel } from "./IssuesPanel";
import { type Starter, STARTERS } from "./kinds";
import { NewBrief } from "./NewBrief";
import { UpdateDialog } from "./UpdateDialog";
import { useBriefWays } from "./useBriefWays";

const ShowBrief = lazily(() => import("./ShowBrief"), "ShowBrief");
const IssuedBrief = lazily(() => import("./IssuedBrief"), "IssuedBrief");
const Link = chakra("a");
const Plain = chakra("button");

interface Props {
  plan: PlanView;
  rows: readonly { id: string; name: string }[];
  id: string;
  look: BriefLook;
  onMake: (starter: Starter) => void;
}

/** A brief with what can be done to it. */
export function OneBrief({ plan, rows, id, look, onMake }: Props) {
  const { id: project, revision } = plan.project;
  const runs = useRuns(project).data ?? [];
  const known = runs.filter((run) => run.levelFinish !== undefined).map((run) => `${run.number} ${run.done}`);
  const brief = useBrief(project, id, revision, known.join());
  const [shown, setShown] = useState(false);
  const hide = useCallback(() => setShown(false), []);
  const [updating, setUpdating] = useState(false);
  const [issue, setIssue] = useState<string>();
  const edits = useBriefEdits(project);
  const view = brief.data?.brief;
  const remove = () =>
    void edits.remove([id]).then(
      () => {
        look.set({ brief: undefined, block: undefined });
        notify("The brief is removed; Ctrl+Z brings it back. What was issued of it stays.");
      },
      (error: unknown) => notify(refusalOf(error)),
    );
  return (
    <Stage
      name="Brief"
      views={{
        label: "Briefs",
        choices: rows.map((row) => ({ value: row.id, label: row.name })),
        value: id,
        onChange: (next) => look.set({ brief: next, block: undefined, typing: false }),
      }}
      commands={[
        ...STARTERS.map(({ starter, label }) => ({
          id: `new ${starter}`,
          label: `New brief: ${label.toLowerCase()}`,
          run: () => onMake(starter),
        })),
        { id: "show", label: "Show the brief on the whole screen", run: () => setShown(true) },
        { id: "pdf", label: "Brief as PDF", href: briefFile(project, id, "file.pdf") },
        { id: "docx", label: "Brief as DOCX", href: briefFile(project, id, "file.docx") },
        { id: "issues", label: "Issued briefs and their links", run: () => look.set({ panel: "issues" }) },
        { id: "exports", label: "Everything to take out", run: () => look.set({ panel: "exports" }) },
        { id: "remove", label: "Remove this brief", run: remove },
      ]}
      tools={
        <Flex gap="4" align="center" whiteSpace="nowrap">
          <NewBrief onMake={onMake} onRemove={remove} />
          <Plain color="action" onClick={() => setShown(true)} disabled={!view?.run}>
            Show it
          </Plain>
          <Plain
            color="action"
            aria-pressed={look.panel === "issues"}
            onClick={() => look.set({ panel: look.panel === "issues" ? undefined : "issues" })}
          >
            Issue and links
          </Plain>
          <Plain
            color="action"
            aria-pressed={look.panel === "exports"}
            onClick={() => look.set({ panel: look.panel === "exports" ? undefined : "exports" })}
          >
            Take out
          </Plain>
          {view?.run && (
            <>
              <Link color="action" href={briefFile(project, id, "file.docx")} download>
                DOCX
              </Link>
              <Button asChild size="xs" bg="action" color="onAction">
                <a href={briefFile(project, id, "file.pdf")} download>
                  PDF
                </a>
              </Button>
            </>
          )}
        </Flex>
      }
      over={
        <>
          {shown && view && <ShowBrief plan={plan} brief={view} onClose={hide} />}
          {issue && <IssuedBrief project={project} issue={issue} onClose={() => setIssue(undefined)} />}
        </>
      }
      beside={
        view &&
        ((look.panel === "issues" && (
          <IssuesPanel
            plan={plan}
            brief={view}
            onOpen={setIssue}
            onClose={() => look.set({ panel: undefined })}
          />
        )) ||
          (look.panel === "exports" && (
            <ExportsPanel plan={plan} brief={view} onClose={() => look.set({ panel: undefined })} />
          )))
      }
    >
      {brief.isError && (
        <Notice alert retry={() => void brief.refetch()}>
          The brief cannot be shown: {brief.error.message}
        </Notice>
      )}
      {!view && !brief.isError && <Notice>Reading the brief…</Notice>}
      {view && (
        <Page plan={plan} brief={view} runs={runs} look={look} updating={updating} onUpdating={setUpdating} />
      )}
    </Stage>
  );
}

interface PageProps {
  plan: PlanView;
  brief: BriefView;
  runs: readonly RunView[];
  look: BriefLook;
  updating: boolean;
  onUpdating: (on: boolean) => void;
}

function Page({ plan, brief, runs, look, updating, onUpdating }: PageProps) {
  const ways = useBriefWays(plan, brief, runs, look);
  return (
    <Flex height="100%">
      <BriefAside
        plan={plan}
        brief={brief}
        runs={runs}
        ways={ways}
        chosen={look.block}
        onUpdate={() => onUpdating(true)}
      />
      <Box flex="1" minW="0">
        <BriefPaper plan={plan} brief={brief} runs={runs} ways={ways} look={look} />
      </Box>
      {updating && brief.latest && (
        <UpdateDialog
          plan={plan}
          brief={brief}
          run={brief.latest.number}
          onTake={() => {
            onUpdating(false);
            void ways.set({ run: brief.latest?.number }).then((why) => why && notify(why));
          }}
          onClose={() => onUpdating(false)}
        />
      )}
    </Flex>
  );
}
