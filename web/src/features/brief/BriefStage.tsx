import { Box, chakra, Flex } from "@chakra-ui/react";
import { Navigate } from "react-router";
import { useBriefEdits, useBriefs } from "../../shared/api/briefs";
import { refusalOf } from "../../shared/api/edits";
import { useRuns } from "../../shared/api/runs";
import { freeCode } from "../../shared/format/freeCode";
import { Stage } from "../../shared/stage/Stage";
import { Notice } from "../../shared/ui/Notice";
import { notify } from "../../shared/ui/notify";
import { usePlanOfStage } from "../../shared/ui/usePlanOfStage";
import { useLook } from "./briefStore";
import { type Starter, STARTERS } from "./kinds";
import { OneBrief } from "./OneBrief";

const Plain = chakra("button");

/** Briefs: pages that leave somebody a decision. */
export function BriefStage() {
  const plan = usePlanOfStage();
  const { id, revision, scenario } = plan.project;
  const look = useLook(id);
  const briefs = useBriefs(id, revision);
  const rows = briefs.data ?? [];
  const open = rows.find((row) => row.id === look.brief) ?? rows[0];
  const edits = useBriefEdits(id);
  const latest = useRuns(id).data?.find((run) => run.levelFinish !== undefined);
  const make = (starter: Starter) => {
    const made = freeCode(
      "B",
      rows.map((row) => row.id),
    );
    void edits.change([{ id: made, add: true, starter, run: latest?.number }]).then(
      () => look.set({ brief: made, block: undefined, typing: false }),
      (error: unknown) => notify(refusalOf(error)),
    );
  };
  if (scenario) return <Navigate to={`/projects/${scenario.of}/brief`} replace />;
  if (briefs.isError)
    return (
      <Notice alert retry={() => void briefs.refetch()}>
        The briefs cannot be shown: {briefs.error.message}
      </Notice>
    );
  if (!briefs.data) return <Notice>Reading the briefs…</Notice>;
  if (!open) return <NoBriefs onMake={make} />;
  return <OneBrief key={open.id} plan={plan} rows={rows} id={open.id} look={look} onMake={make} />;
}

function NoBriefs({ onMake }: { onMake: (starter: Starter) => void }) {
  return (
    <Stage name="Brief" sentence="Leave somebody a decision: who is it for?">
      <Flex direction="column" gap="2" p="10" align="flex-start">
        {STARTERS.map(({ starter, label, about }) => (
          <Plain key={starter} textAlign="left" onClick={() => onMake(starter)}>
            <Box as="span" color="action" fontWeight="600" fontSize="16px">
              {label}
            </Box>{" "}
            <Box as="span" color="softInk">
              {about}
            </Box>
          </Plain>
        ))}
      </Flex>
    </Stage>
  );
}
