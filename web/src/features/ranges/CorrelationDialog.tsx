import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { CorrelationView, PlanView } from "../../shared/api/client";
import { WideDialog } from "../../shared/ui/WideDialog";
import { CorrelationEditor } from "./CorrelationEditor";
import { CorrelationOdds } from "./CorrelationOdds";

const Entry = chakra("button");

interface Props {
  plan: PlanView;
  /** Members of a new group, where it was begun from a selection. */
  members: string[];
  onClose: () => void;
}

const EFFECT = "what it makes";

/** Which estimates move together: chosen on the left, changed on the right. */
export function CorrelationDialog({ plan, members, onClose }: Props) {
  const [fresh, setFresh] = useState<CorrelationView | undefined>(
    members.length > 0 ? begun(members) : undefined,
  );
  const [chosen, setChosen] = useState<string>(fresh ? "" : (plan.correlations[0]?.id ?? EFFECT));
  const all = fresh ? [...plan.correlations, fresh] : plan.correlations;
  const correlation = all.find((one) => one.id === chosen);
  const entry = (id: string, title: string, beside: string) => (
    <Entry
      key={id}
      textAlign="left"
      px="2"
      py="1"
      aria-pressed={id === chosen}
      bg={id === chosen ? "actionTint" : undefined}
      fontWeight={id === chosen ? 650 : 400}
      onClick={() => setChosen(id)}
    >
      {title}
      <Box fontSize="12px" color="softInk" fontWeight="400">
        {beside}
      </Box>
    </Entry>
  );
  return (
    <WideDialog title="Correlation" onClose={onClose}>
      <Flex direction="column" width="210px" flexShrink="0" gap="0.5">
        {all.map((one) =>
          entry(
            one.id,
            one.name || "Without a name",
            `${one.members.length} members, ${one.matrix.length > 0 ? "by pairs" : String(one.coefficient)}`,
          ),
        )}
        <Button
          size="xs"
          variant="outline"
          mt="2"
          onClick={() => {
            setFresh(begun([]));
            setChosen("");
          }}
        >
          New group
        </Button>
        <Box mt="3" pt="3" borderTopWidth="1px" borderColor="line">
          {entry(EFFECT, "What it makes", "odds with and without")}
        </Box>
      </Flex>
      {chosen === EFFECT ? (
        <CorrelationOdds plan={plan} />
      ) : correlation ? (
        <CorrelationEditor
          key={`${correlation.id} ${plan.project.revision}`}
          plan={plan}
          kept={correlation}
          onKept={(id) => {
            setFresh(undefined);
            setChosen(id);
          }}
        />
      ) : (
        <Box color="softInk">
          Nothing moves together yet. Begin a group, or select rows in the grid first.
        </Box>
      )}
    </WideDialog>
  );
}

const begun = (members: string[]): CorrelationView => ({
  id: "",
  name: "New group",
  members,
  coefficient: 0.5,
  matrix: [],
});
