import { Box } from "@chakra-ui/react";
import type { FindingView, PlanView } from "../../shared/api/client";
import { useCheck } from "../../shared/api/plan";
import { Notice } from "../../shared/ui/Notice";
import { SidePanel } from "../../shared/ui/SidePanel";
import { CheckGroup } from "./CheckGroup";
import { CHECKS, checkSentence } from "./checkWords";

/** What a planner should look at before anybody trusts the odds, check by check. */
export function CheckPanel({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const check = useCheck(plan.project.id, plan.project.revision);
  const findings = check.data?.findings ?? [];
  const accepted = findings.filter((finding) => finding.accepted).length;
  return (
    <SidePanel label="Plan check" title="Is the plan fit to be simulated?" onClose={onClose}>
      {check.isError && (
        <Notice alert retry={() => void check.refetch()}>
          The plan cannot be checked: {check.error.message}
        </Notice>
      )}
      {check.data && (
        <Box color="softInk" mb="2">
          {checkSentence(findings.length - accepted, accepted)} Loops are refused as they are typed.
        </Box>
      )}
      {Object.keys(CHECKS).map((word) => {
        const own = findings.filter((finding: FindingView) => finding.check === word);
        return own.length === 0 ? null : <CheckGroup key={word} plan={plan} word={word} findings={own} />;
      })}
      {check.data && (
        <Box mt="4" pt="3" borderTopWidth="1px" borderColor="line" color="softInk">
          Nothing found by the others:{" "}
          {Object.entries(CHECKS)
            .filter(([word]) => !findings.some((finding) => finding.check === word))
            .map(([, { title }]) => title.charAt(0).toLowerCase() + title.slice(1))
            .join(", ")}
          .
        </Box>
      )}
    </SidePanel>
  );
}
