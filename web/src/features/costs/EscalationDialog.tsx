import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useId, useState } from "react";
import type { PlanView } from "../../shared/api/client";
import { useCostEdits } from "../../shared/api/costs";
import { refusalOf } from "../../shared/api/edits";
import { formatDay } from "../../shared/format/dates";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { categoriesOf } from "./money";
import { draftOf, type PriceDraft, wordsOf } from "./prices";

const Input = chakra("input");
const Link = chakra("button", { base: { cursor: "pointer", color: "action" } });
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "2", py: "1" } as const;

/** By how much prices rise a year, category by category; none unless it is entered. */
export function EscalationDialog({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const edits = useCostEdits(plan.project.id);
  const [drafts, setDrafts] = useState<PriceDraft[]>(() =>
    plan.escalation.length > 0 ? plan.escalation.map(draftOf) : [{ category: "", rate: "" }],
  );
  const [refusal, setRefusal] = useState<string>();
  const categories = useId();
  const change = (i: number, next: Partial<PriceDraft>) =>
    setDrafts(drafts.map((one, at) => (at === i ? { ...one, ...next } : one)));
  const keep = async () => {
    const body = [];
    for (const draft of drafts.filter((one) => one.rate.trim() !== "")) {
      const words = wordsOf(draft);
      if ("refusal" in words) return setRefusal(words.refusal);
      body.push(words);
    }
    try {
      await edits.escalation(body);
      onClose();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  return (
    <WideDialog title="How prices rise" onClose={onClose} width="640px">
      <Box flex="1" minW="0">
        <Box color="softInk" mb="3">
          Amounts are at the prices of {formatDay(plan.project.start)}. What falls due a year later costs so
          much more, in every future by its own dates. A category holds for all within it; the nearest that is
          said counts. Write 4 for four percent, 2..4..7 where it is uncertain. Without an entry prices stay
          as they are.
        </Box>
        <datalist id={categories}>
          {categoriesOf(plan).map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
        {drafts.map((draft, i) => (
          <Flex key={i} gap="3" mb="2" align="center">
            <Input
              {...FIELD}
              flex="1"
              aria-label={`Category ${i + 1}`}
              placeholder="all money"
              list={categories}
              value={draft.category}
              onChange={(event) => change(i, { category: event.target.value })}
            />
            <Input
              {...FIELD}
              width="130px"
              aria-label={`Percent a year ${i + 1}`}
              placeholder="2..4..7"
              value={draft.rate}
              onChange={(event) => change(i, { rate: event.target.value })}
            />
            <Box color="softInk">% a year</Box>
            <Link
              aria-label={`Take out rate ${i + 1}`}
              onClick={() => setDrafts(drafts.filter((_, at) => at !== i))}
            >
              Take out
            </Link>
          </Flex>
        ))}
        <Link onClick={() => setDrafts([...drafts, { category: "", rate: "" }])}>Another category</Link>
        {refusal && <Refusal mt="2">{refusal}</Refusal>}
        <Flex mt="4" gap="3" justify="flex-end">
          <Button size="sm" variant="ghost" onClick={onClose}>
            Leave it
          </Button>
          <Button size="sm" bg="action" color="onAction" onClick={() => void keep()}>
            Keep it
          </Button>
        </Flex>
      </Box>
    </WideDialog>
  );
}
