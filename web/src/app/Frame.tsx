import { Box, Flex } from "@chakra-ui/react";
import { useEffect } from "react";
import { Outlet, useParams } from "react-router";
import { useProjectEvents } from "../shared/api/events";
import { usePlan } from "../shared/api/plan";
import { useOfferToScale } from "../shared/range/useOfferToScale";
import { Horizon } from "../features/horizon/Horizon";
import { Notice } from "../shared/ui/Notice";
import { lazily } from "../shared/ui/lazily";
import { useAskedRow } from "./useAskedRow";
import { useFolded } from "./useFolded";
import { useWhereabouts } from "./useWhereabouts";
import { RoleBand } from "./RoleBand";
import { TopRow } from "./TopRow";

const ProgrammeBand = lazily(() => import("./ProgrammeBand"), "ProgrammeBand");
const ScenarioBand = lazily(() => import("./ScenarioBand"), "ScenarioBand");

/** The row at the top, and under it the stage, once its plan is there. */
export function Frame() {
  const { projectId = "" } = useParams();
  const plan = usePlan(projectId);
  useProjectEvents(projectId);
  useOfferToScale(projectId);
  useWhereabouts(projectId);
  useFolded(plan.data);
  useAskedRow(plan.data);
  const name = plan.data?.project.name;
  const scenario = plan.data?.project.scenario?.name;
  useEffect(() => {
    document.title = name ? `${scenario ? `${scenario} · ` : ""}${name} · Tychon` : "Tychon";
  }, [name, scenario]);

  return (
    <Flex direction="column" height="100%" minHeight="0">
      <TopRow projectId={projectId} name={name ?? ""} revision={plan.data?.project.revision ?? 0} />
      {plan.data?.project.scenario && <ScenarioBand project={plan.data.project} />}
      {plan.data?.project.programme && <ProgrammeBand programme={projectId} />}
      <RoleBand projectId={projectId} />
      <Box as="main" flex="1" minHeight="0">
        {plan.data && <Outlet context={plan.data} key={projectId} />}
        {plan.isPending && <Notice>Reading the plan…</Notice>}
        {plan.isError && (
          <Notice retry={() => void plan.refetch()} alert>
            The plan cannot be shown: {plan.error.message}
          </Notice>
        )}
      </Box>
      {plan.data && <Horizon plan={plan.data} />}
    </Flex>
  );
}
