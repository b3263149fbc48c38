import { Box } from "@chakra-ui/react";
import type { UseQueryResult } from "@tanstack/react-query";
import type { CheckView, FindingView, PlanView } from "../api/client";
import { Notice } from "../ui/Notice";
import { SidePanel } from "../ui/SidePanel";
import { Word } from "../words/Word";
import { CheckGroup } from "./CheckGroup";

/** What a check looks for, by its words: what each is called, and why it matters. */
export type CheckWords = Record<string, { title: string; why: string }>;

interface Props {
  plan: PlanView;
  label: string;
  title: string;
  check: UseQueryResult<CheckView>;
  words: CheckWords;
  sentence: (open: number, accepted: number) => string;
  onClose: () => void;
  /** The grid in which rows are shown, and the column that is selected there; the plan's where it is not said. */
  grid?: { key: string; column: string };
}

/** What should be looked at before anybody trusts the odds, fault by fault. */
export function CheckPanel({ plan, label, title, check, words, sentence, onClose, grid }: Props) {
  const findings = check.data?.findings ?? [];
  const accepted = findings.filter((finding) => finding.accepted).length;
  return (
    <SidePanel label={label} title={title} onClose={onClose}>
      {check.isError && (
        <Notice alert retry={() => void check.refetch()}>
          It cannot be checked: {check.error.message}
        </Notice>
      )}
      {check.data && (
        <Box color="softInk" mb="2">
          {sentence(findings.length - accepted, accepted)} What a <Word id="finding">finding</Word> is.
        </Box>
      )}
      {Object.keys(words).map((word) => {
        const own = findings.filter((finding: FindingView) => finding.check === word);
        return own.length === 0 ? null : (
          <CheckGroup key={word} plan={plan} word={word} words={words} findings={own} grid={grid} />
        );
      })}
      {check.data && (
        <Box mt="4" pt="3" borderTopWidth="1px" borderColor="line" color="softInk">
          Nothing found by the others:{" "}
          {Object.entries(words)
            .filter(([word]) => !findings.some((finding) => finding.check === word))
            .map(([, { title }]) => title.charAt(0).toLowerCase() + title.slice(1))
            .join(", ")}
          .
        </Box>
      )}
    </SidePanel>
  );
}
