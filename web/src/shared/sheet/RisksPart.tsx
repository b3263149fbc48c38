import { Box } from "@chakra-ui/react";
import { Link } from "react-router";
import type { ActivityView, PlanView } from "../api/client";
import { useRegister } from "../api/risks";
import { hitting } from "../risks/hitting";
import { selectRisk } from "../risks/registerKey";
import { ChoiceField } from "../ui/Field";
import { SheetPart } from "./SheetPart";
import { useActivityHandIn } from "./useHandIn";

const COMBINING = [
  { value: "add", label: "add up" },
  { value: "largest", label: "only the largest counts" },
] as const;

/** All risks that hit an activity, by itself or as part of something, and how several combine there. */
export function RisksPart({ plan, activity }: { plan: PlanView; activity: ActivityView }) {
  const { id, revision } = plan.project;
  const handIn = useActivityHandIn(id, activity.id);
  const register = useRegister(id, revision);
  const hits = hitting(plan, register.data?.risks ?? [], activity.id);
  if (hits.length === 0) return null;
  return (
    <SheetPart title="Risks that strike it">
      {hits.map((risk) => (
        <Box key={risk.id} mb="1" data-hit={risk.id}>
          <Link to={`/projects/${id}/risks`} onClick={() => selectRisk(id, risk.id)}>
            <Box as="span" color="risk" fontWeight="600">
              {risk.id}
            </Box>{" "}
            {risk.title}
          </Link>
          <Box color="softInk" fontSize="12.5px">
            {risk.chanceText}
            {risk.timeText && `, ${risk.timeText}`}
          </Box>
        </Box>
      ))}
      {hits.length > 1 && (
        <ChoiceField
          label="Several at once"
          hint="What holds in a future in which more than one of them strikes"
          value={activity.combineRisks}
          choices={COMBINING}
          onHandIn={(combineRisks) => handIn({ combineRisks })}
        />
      )}
    </SheetPart>
  );
}
