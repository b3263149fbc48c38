import { chakra, Flex } from "@chakra-ui/react";
import { GitBranch } from "lucide-react";
import { Link } from "react-router";
import type { ProjectView } from "../shared/api/client";

const WayLink = chakra(Link);

/** Says on every stage that a scenario is worked in and not the plan, and how to leave. */
export function ScenarioBand({ project }: { project: ProjectView }) {
  const { scenario } = project;
  if (!scenario) return null;
  const plan = `/projects/${scenario.of}`;
  return (
    <Flex
      role="note"
      aria-label="A scenario is worked in"
      height="32px"
      px="4"
      gap="4"
      align="center"
      flexShrink="0"
      bg="action"
      color="onAction"
      whiteSpace="nowrap"
      overflow="hidden"
    >
      <GitBranch size={15} aria-hidden="true" />
      <span>
        You work in the scenario <b>“{scenario.name}”</b>. What you change is kept there; the plan stays as it
        is.
      </span>
      <Flex flex="1" />
      <WayLink to={`${plan}/scenarios`} textDecoration="underline">
        Side by side
      </WayLink>
      <WayLink to={`${plan}/plan`} fontWeight="650" textDecoration="underline">
        Leave it, back to the plan
      </WayLink>
    </Flex>
  );
}
