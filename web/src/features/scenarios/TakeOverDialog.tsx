import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PlanView, ScenarioRow } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { type ScenarioEdits, useTakeOver } from "../../shared/api/scenarios";
import { formatWhole } from "../../shared/format/numbers";
import { inWords } from "../../shared/odds/inputChange";
import { notify } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { gapSentence } from "./scenarioWords";

interface Props {
  plan: PlanView;
  row: ScenarioRow;
  base: ScenarioRow | undefined;
  level: number;
  edits: ScenarioEdits;
  onClose: () => void;
}

/** What would change in the plan if a scenario became it, and the way to do so. */
export function TakeOverDialog({ plan, row, base, level, edits, onClose }: Props) {
  const look = useTakeOver(plan.project.id, row.id, plan.project.revision);
  const [refusal, setRefusal] = useState<string>();
  const take = () =>
    void edits.takeOver(row.id).then(
      () => {
        notify(`“${row.name}” is the plan now. Ctrl Z brings the plan back as it was.`);
        onClose();
      },
      (error: unknown) => setRefusal(refusalOf(error)),
    );
  const changes = look.data?.changes ?? [];
  return (
    <WideDialog title={`Take over “${row.name}”`} width="720px" onClose={onClose}>
      <Box width="100%">
        {base && row.gap && <Box mb="2">{gapSentence(row, base, level, plan.project.currency)}</Box>}
        {look.isError && <Refusal>{refusalOf(look.error)}</Refusal>}
        {look.data && (
          <>
            <Box mb="1" color="softInk">
              {changes.length === 0
                ? "Nothing in the plan would change."
                : `${formatWhole(changes.length)} ${changes.length === 1 ? "thing changes" : "things change"} in the plan, in one step that Ctrl Z takes back:`}
            </Box>
            <Box as="ul" pl="5" listStyleType="disc" maxH="40vh" overflow="auto" data-testid="taken over">
              {changes.map((change) => (
                <li key={`${change.section} ${change.key}`}>{inWords(change)}</li>
              ))}
            </Box>
            {look.data.left.map((one) => (
              <Box key={one} mt="2">
                {one.charAt(0).toUpperCase() + one.slice(1)} is a question and no plan: it stays with the
                scenario.
              </Box>
            ))}
            {look.data.misfits
              .filter((one) => one.idle)
              .map((one) => (
                <Box key={`${one.section} ${one.key}`} mt="1" color="risk">
                  Left out, {one.key}: {one.why}.
                </Box>
              ))}
          </>
        )}
        {refusal && <Refusal mt="2">{refusal}</Refusal>}
        <Flex mt="4" gap="3" justify="flex-end">
          <Button size="sm" variant="ghost" onClick={onClose}>
            Leave the plan as it is
          </Button>
          <Button size="sm" bg="action" color="onAction" disabled={changes.length === 0} onClick={take}>
            Take it over
          </Button>
        </Flex>
      </Box>
    </WideDialog>
  );
}
