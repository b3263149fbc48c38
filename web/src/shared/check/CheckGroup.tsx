import { Box, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { FindingView, PlanView } from "../api/client";
import { formatWhole } from "../format/numbers";
import { useGridStore } from "../grid/gridStore";
import { handedIn } from "../sheet/useHandIn";
import type { CheckWords } from "./CheckPanel";
import { useCheckEdits } from "./useCheckEdits";
import { Refusal } from "../ui/Refusal";

const Button = chakra("button");
const Input = chakra("input");
const MOST = 12;

interface Props {
  plan: PlanView;
  word: string;
  words: CheckWords;
  findings: FindingView[];
  grid?: { key: string; column: string };
}

/** The findings of one check: why it matters, where they are, and what can be done. */
export function CheckGroup({ plan, word, words, findings, grid }: Props) {
  const { key, column } = grid ?? { key: plan.project.id, column: "name" };
  const edits = useCheckEdits(plan.project.id);
  const [reason, setReason] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const { title = word, why = "" } = words[word] ?? {};
  const open = findings.filter((finding) => !finding.accepted);
  const accepted = findings.filter((finding) => finding.accepted);
  const fixable = open.filter((finding) => finding.fixable).map((finding) => finding.on);
  const rows = findings.filter((finding) => finding.on !== "project").map((finding) => finding.on);
  const { look, select } = useGridStore.getState();

  const accept = async (what: FindingView[], why?: string) => {
    const refused = await handedIn(() => edits.accept(word, what, why));
    setRefusal(refused);
    if (!refused) setReason(undefined);
  };

  return (
    <Box
      as="section"
      aria-label={title}
      data-check={word}
      mt="4"
      pt="3"
      borderTopWidth="1px"
      borderColor="line"
    >
      <Flex gap="2" align="baseline">
        <Box as="h3" fontWeight="650" flex="1">
          {title}
        </Box>
        <Box color={open.length > 0 ? "risk" : "softInk"} fontWeight="650">
          {formatWhole(open.length > 0 ? open.length : accepted.length)}
          {open.length === 0 && " accepted"}
        </Box>
      </Flex>
      <Box color="softInk" mb="1.5">
        {why}
      </Box>
      {open.slice(0, MOST).map((finding, i) => (
        <Box key={finding.on + i}>
          {finding.on === "project" ? (
            sentence(finding.message)
          ) : (
            <Button
              textAlign="left"
              minH="24px"
              onClick={() => select(key, { row: finding.on, column })}
              data-finding={finding.on}
            >
              <Box as="span" color="action" fontWeight="600">
                {finding.on}
              </Box>{" "}
              {finding.message}
            </Button>
          )}
        </Box>
      ))}
      {open.length > MOST && <Box color="softInk">and {formatWhole(open.length - MOST)} more</Box>}
      {accepted.map((finding, i) => (
        <Flex key={`accepted ${finding.on} ${i}`} gap="2" color="softInk">
          <Box flex="1">
            {finding.on === "project" ? "" : `${finding.on}: `}accepted because “{finding.accepted}”
          </Box>
          <Button color="action" minH="24px" onClick={() => void accept([finding])}>
            Withdraw
          </Button>
        </Flex>
      ))}
      <Flex gap="4" mt="1.5" color="action" wrap="wrap" css={{ "& > button": { minHeight: "24px" } }}>
        {rows.length > 0 && (
          <Button onClick={() => look(key, { text: "", rows: { title, ids: new Set(rows) } })}>
            Show the rows
          </Button>
        )}
        {fixable.length > 0 && (
          <Button
            title="Changes nothing that is calculated; Ctrl Z takes it back"
            onClick={() => void handedIn(() => edits.fix(word, fixable)).then(setRefusal)}
          >
            {fixable.length === open.length ? "Mend" : `Mend ${fixable.length}`}
          </Button>
        )}
        {open.length > 0 && reason === undefined && (
          <Button onClick={() => setReason("")}>It is no fault because…</Button>
        )}
      </Flex>
      {reason !== undefined && (
        <Input
          autoFocus
          mt="1.5"
          width="100%"
          px="2"
          py="1"
          bg="ground"
          borderWidth="1px"
          borderColor="action"
          aria-label={`Why ${title.toLowerCase()} is no fault`}
          placeholder="Reason, then Enter"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") void accept(open, reason);
            if (event.key === "Escape") {
              event.stopPropagation();
              setReason(undefined);
            }
          }}
        />
      )}
      {refusal && <Refusal mt="1">{refusal}</Refusal>}
    </Box>
  );
}

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
