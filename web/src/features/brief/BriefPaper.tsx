import { Box, chakra } from "@chakra-ui/react";
import type { BriefView, PlanView, RunView } from "../../shared/api/client";
import { BlockPaper } from "./BlockPaper";
import type { BriefLook } from "./briefStore";
import { PAPER } from "./paper";
import type { BriefWays } from "./useBriefWays";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  brief: BriefView;
  runs: readonly RunView[];
  ways: BriefWays;
  look: BriefLook;
}

/** The page, as it is printed. */
export function BriefPaper({ plan, brief, runs, ways, look }: Props) {
  const earlier = runs
    .filter((run) => run.levelFinish !== undefined && run.number < (brief.run?.number ?? 0))
    .map((run) => run.number);
  return (
    <Box height="100%" overflow="auto" bg="closed" px="6" py="5" data-testid="desk">
      {/* Paper is light by day and by night, and so is what lies on it. */}
      <Box className="chakra-theme light">
        <Box
          as="article"
          aria-label={brief.title || brief.name}
          maxW="788px"
          mx="auto"
          bg={PAPER.sheet}
          color={PAPER.ink}
          borderWidth="1px"
          borderColor={PAPER.line}
          px="74px"
          py="46px"
        >
          <Box as="h1" fontSize="26px" fontWeight="600" lineHeight="1.2">
            {brief.title || brief.name}
          </Box>
          <Box color={PAPER.soft} fontSize="13px" mb="4">
            {brief.under}
          </Box>
          {brief.fault && (
            <Box role="alert" color={PAPER.again} mb="3">
              {brief.fault}{" "}
              {!brief.run && !ways.recording && (
                <Button color={PAPER.action} textDecoration="underline" onClick={ways.record}>
                  Record a run
                </Button>
              )}
              {!brief.run && ways.recording && "It is being recorded…"}
            </Box>
          )}
          {brief.blocks.length === 0 && (
            <Box color={PAPER.soft}>The page is empty. “Add a block” at the left begins it.</Box>
          )}
          {brief.run &&
            brief.blocks.map((block) => (
              <Box key={block.id} mb="4">
                <BlockPaper
                  plan={plan}
                  brief={brief.id}
                  block={block}
                  runs={earlier}
                  chosen={look.block === block.id}
                  typing={look.block === block.id && look.typing}
                  actions={{
                    choose: (typing) => ways.choose(block.id, typing),
                    leave: ways.leave,
                    change: ways.change,
                    move: (by) => ways.move(block.id, by),
                    takeOut: () => ways.takeOut(block.id),
                  }}
                />
              </Box>
            ))}
          {brief.confidential && (
            <Box color={PAPER.soft} fontSize="12px" mt="8">
              {brief.confidential}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}
