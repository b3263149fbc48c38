import { Box, Button, Flex } from "@chakra-ui/react";
import type { BriefView, PlanView } from "../../shared/api/client";
import { useBriefUpdate } from "../../shared/api/briefs";
import { WideDialog } from "../../shared/ui/WideDialog";

interface Props {
  plan: PlanView;
  brief: BriefView;
  /** Number of the newer run. */
  run: number;
  onTake: () => void;
  onClose: () => void;
}

/** Which sentences a newer run would change, before it is taken. */
export function UpdateDialog({ plan, brief, run, onTake, onClose }: Props) {
  const update = useBriefUpdate(plan.project.id, brief.id, run, plan.project.revision);
  const lines = update.data?.lines ?? [];
  const byHand = lines.filter((line) => line.byHand).length;
  return (
    <WideDialog title={`Bring “${brief.name}” up to date with run ${run}`} onClose={onClose} width="860px">
      <Flex direction="column" gap="3" flex="1">
        {update.isError && <Box role="alert">{update.error.message}</Box>}
        {update.data && (
          <Box data-testid="update-says">
            {lines.length === 0
              ? "No sentence would change."
              : `${lines.length === 1 ? "One sentence" : `${lines.length} sentences`} would read otherwise.`}
            {byHand > 0 && " Those typed by hand are marked, so that you look at them again."}
            {!update.data.complete && " Others are being worked out…"}
          </Box>
        )}
        <Box overflow="auto" maxH="56vh">
          {lines.map((line, i) => (
            <Box key={i} mb="3">
              <Box fontWeight="650">
                {line.heading}
                {line.byHand && (
                  <Box as="span" color="risk" fontWeight="400">
                    {" "}
                    typed by hand
                  </Box>
                )}
              </Box>
              <Box color="softInk" textDecoration={line.was ? "line-through" : undefined}>
                {line.was || "Nothing was said."}
              </Box>
              <Box>{line.now || "Nothing is said any more."}</Box>
            </Box>
          ))}
        </Box>
        <Flex gap="3" justify="flex-end">
          <Button size="sm" variant="ghost" onClick={onClose}>
            Leave it as it is
          </Button>
          <Button size="sm" bg="action" color="onAction" onClick={onTake}>
            Take the numbers of run {run}
          </Button>
        </Flex>
      </Flex>
    </WideDialog>
  );
}
