import { Box } from "@chakra-ui/react";
import type { PlanView } from "../../shared/api/client";
import { useRegister } from "../../shared/api/risks";
import { useConfirmations } from "../../shared/api/together";
import { confirmedSentence } from "../../shared/together/confirmWords";

/** How much of what the odds rest on those confirmed who answer for it. */
export function ConfirmedShare({ plan }: { plan: PlanView }) {
  const { id, revision } = plan.project;
  const register = useRegister(id, revision);
  const known = useConfirmations(id).data ?? [];
  const risks = register.data?.risks.filter((risk) => risk.state !== "closed").length ?? 0;
  const sentence = register.data && confirmedSentence(plan, risks, known);
  return sentence ? (
    <Box as="section" aria-label="Confirmed" color="softInk" mb="3">
      {sentence}
    </Box>
  ) : null;
}
