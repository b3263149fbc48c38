import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { PlanView } from "../api/client";
import { useCheck } from "../api/plan";
import { formatWhole } from "../format/numbers";

const PlanLink = chakra(Link);

/** How many findings of the plan check nobody has mended or accepted; opens them. */
export function PlanQuality({ plan }: { plan: PlanView }) {
  const check = useCheck(plan.project.id, plan.project.revision);
  if (!check.data) return null;
  const open = check.data.findings.filter((finding) => !finding.accepted).length;
  return (
    <PlanLink
      to={`/projects/${plan.project.id}/plan?check`}
      whiteSpace="nowrap"
      color={open > 0 ? "risk" : "softInk"}
      title="What makes the plan unfit to be simulated, and the odds less worth"
    >
      {formatWhole(open)} {open === 1 ? "finding" : "findings"} in the plan check
    </PlanLink>
  );
}
