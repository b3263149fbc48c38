import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { CorrelationView, MatrixLook, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRangeEdits } from "./rangeEdits";
import { correlationWords, lookAtCorrelation } from "../../shared/api/ranges";
import { editedNumber, parseNumber } from "../../shared/format/numbers";
import { Choice } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/Field";
import { asGroup, asMatrix, coefficientOf, isMatrix, strength, withMembers } from "./correlations";
import { MatrixGrid } from "./MatrixGrid";
import { MemberList } from "./MemberList";
import { NearestMatrix } from "./NearestMatrix";
import { ScatterPreview } from "./ScatterPreview";
import { Refusal } from "../../shared/ui/Refusal";

const KINDS = [
  { value: "group", label: "One coefficient" },
  { value: "matrix", label: "Pair by pair" },
] as const;

interface Props {
  plan: PlanView;
  kept: CorrelationView;
  onKept: (id: string) => void;
}

/** One correlation: its members, its coefficients and what they mean. */
export function CorrelationEditor({ plan, kept, onKept }: Props) {
  const edits = useRangeEdits(plan.project.id);
  const [draft, setDraft] = useState(kept);
  const [pair, setPair] = useState<[number, number]>([1, 0]);
  const [look, setLook] = useState<MatrixLook>();
  const [refusal, setRefusal] = useState<string>();
  const matrix = isMatrix(draft);
  const coefficient = coefficientOf(draft, ...pair);
  const change = (next: CorrelationView | { refusal: string }) => {
    setLook(undefined);
    setRefusal("refusal" in next ? next.refusal : undefined);
    if (!("refusal" in next)) setDraft(next);
  };
  const attempt = async (action: () => Promise<unknown>) => {
    setRefusal(undefined);
    try {
      await action();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const send = () =>
    attempt(async () => {
      const result = await edits.correlation(correlationWords(draft));
      onKept(draft.id || (result.parts.correlations?.at(-1)?.id ?? ""));
    });
  /** What cannot hold together is shown first, with the nearest that can; nothing is changed in silence. */
  const keep = () =>
    attempt(async () => {
      const seen = await lookAtCorrelation(draft);
      if (seen.possible) await send();
      else setLook(seen);
    });
  return (
    <Box flex="1" minW="0">
      <Box maxW="420px">
        <TextField
          label="Name"
          name="name"
          value={draft.name}
          onHandIn={(name) => {
            change({ ...draft, name });
            return undefined;
          }}
        />
      </Box>
      <MemberList
        plan={plan}
        members={draft.members}
        onChange={(members) => change(withMembers(draft, members))}
      />
      <Flex align="center" gap="3" my="3">
        <Choice
          label="Kind of correlation"
          choices={KINDS}
          value={matrix ? "matrix" : "group"}
          onChange={(kind) => change(kind === "matrix" ? asMatrix(draft) : asGroup(draft))}
        />
      </Flex>
      <Flex gap="6" align="flex-start" wrap="wrap">
        <Box flex="1" minW="300px">
          {matrix ? (
            <MatrixGrid draft={draft} onPair={setPair} onChange={change} />
          ) : (
            <Box maxW="300px">
              <TextField
                label="Coefficient"
                name="coefficient"
                hint="Spearman's rank correlation of every pair, from −1 to 1"
                value={draft.coefficient === undefined ? "" : editedNumber(draft.coefficient)}
                onHandIn={(text) => {
                  const value = parseNumber(text);
                  if (value === undefined || Math.abs(value) > 1)
                    return `A coefficient is a number from −1 to 1, not “${text}”.`;
                  change({ ...draft, coefficient: value });
                  return undefined;
                }}
              />
            </Box>
          )}
          <Box color="softInk" mt="2">
            {strength(coefficient)}
          </Box>
          {look && (
            <NearestMatrix
              look={look}
              onTake={() => {
                setDraft({ ...draft, coefficient: undefined, matrix: look.nearest });
                setLook(undefined);
              }}
              onKeep={() => void send()}
            />
          )}
          {refusal && <Refusal mt="3">{refusal}</Refusal>}
          <Flex gap="2" mt="4">
            <Button size="sm" bg="action" color="onAction" onClick={() => void keep()}>
              Keep
            </Button>
            {draft.id !== "" && (
              <Button
                size="sm"
                variant="ghost"
                color="risk"
                onClick={() => void attempt(() => edits.removeCorrelation(draft.id).then(() => onKept("")))}
              >
                Remove
              </Button>
            )}
          </Flex>
        </Box>
        <ScatterPreview coefficient={coefficient} />
      </Flex>
    </Box>
  );
}
