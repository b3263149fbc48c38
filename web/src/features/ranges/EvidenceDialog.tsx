import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { EvidenceLook, PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRangeEdits } from "./rangeEdits";
import { lookAtEvidence } from "../../shared/api/ranges";
import { formatWhole } from "../../shared/format/numbers";
import { WideDialog } from "../../shared/ui/WideDialog";
import { EvidenceFits } from "./EvidenceFits";
import { nameOf } from "./selection";
import { notify } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";

const Area = chakra("textarea");
const Input = chakra("input");

interface Props {
  plan: PlanView;
  /** The rows that are to have a fitted range, where it was begun from a selection. */
  rows: string[];
  onClose: () => void;
}

/** Past work: pasted or loaded, fitted, and given to rows or kept as a grade. */
export function EvidenceDialog({ plan, rows, onClose }: Props) {
  const [text, setText] = useState("");
  const [look, setLook] = useState<EvidenceLook>();
  const [refusal, setRefusal] = useState<string>();
  const fit = async (table: Blob) => {
    setRefusal(undefined);
    try {
      const seen = await lookAtEvidence(table);
      setLook(seen.refusal ? undefined : seen);
      if (seen.refusal) setRefusal(`Nothing can be fitted: ${seen.refusal}.${problemsOf(seen)}`);
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  return (
    <WideDialog title="Past work" onClose={onClose}>
      <Box flex="1" minW="0">
        {look ? (
          <EvidenceFits
            plan={plan}
            look={look}
            rows={rows}
            onAgain={() => setLook(undefined)}
            onDone={onClose}
          />
        ) : (
          <>
            <Box mb="2">
              Paste what similar work was planned at and what it took, a job a line: planned and actual, or
              the actual values alone.
            </Box>
            <Area
              aria-label="Past work"
              width="100%"
              maxW="560px"
              rows={10}
              px="2"
              py="1"
              bg="ground"
              borderWidth="1px"
              borderColor="line"
              placeholder={"planned\tactual\n12\t15\n20\t19\n8\t13"}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            {refusal && <Refusal my="2">{refusal}</Refusal>}
            <Flex gap="2" mt="3" align="center">
              <Button
                size="sm"
                bg="action"
                color="onAction"
                disabled={text.trim() === ""}
                onClick={() => void fit(new Blob([text], { type: "text/csv" }))}
              >
                Fit shapes to it
              </Button>
              <Box color="softInk">or</Box>
              <Input
                type="file"
                aria-label="File of past work"
                accept=".csv,.xlsx,.txt,.tsv"
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  if (file) void fit(file);
                }}
              />
            </Flex>
            <Attached plan={plan} />
          </>
        )}
      </Box>
    </WideDialog>
  );
}

function problemsOf(look: EvidenceLook): string {
  const first = look.problems[0];
  return first ? ` Row ${first.row}, ${first.column}: ${first.message}.` : "";
}

/** Past work that stays with the project as the reason of ranges. */
function Attached({ plan }: { plan: PlanView }) {
  const edits = useRangeEdits(plan.project.id);
  if (plan.evidence.length === 0) return null;
  const userOf = (id: string) => {
    const grade = plan.grades.find((one) => one.id === id);
    return grade ? `grade ${grade.name}` : `${id} ${nameOf(plan, id)}`;
  };
  return (
    <Box mt="5" pt="3" borderTopWidth="1px" borderColor="line">
      <Box fontWeight="650" mb="1">
        Attached to this project
      </Box>
      {plan.evidence.map((one) => (
        <Flex key={one.id} gap="3" py="1" align="baseline">
          <Box flex="1">
            <b>{one.name}</b>, {formatWhole(one.count)} {one.ratios ? "ratios" : "values"}
            <Box color="softInk">
              {one.on.length === 0
                ? "No range stands on it any more."
                : `The reason of ${one.on.map(userOf).join(", ")}.`}
            </Box>
          </Box>
          <Button
            size="xs"
            variant="ghost"
            onClick={() => void edits.removeEvidence(one.id).catch((error) => notify(refusalOf(error)))}
          >
            Remove
          </Button>
        </Flex>
      ))}
    </Box>
  );
}
