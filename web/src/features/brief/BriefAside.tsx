import { Box, chakra, Flex } from "@chakra-ui/react";
import { GripVertical } from "lucide-react";
import { useState } from "react";
import type { BriefView, PlanView, RunView } from "../../shared/api/client";
import { CommentsPart } from "../../shared/together/CommentsPart";
import { AddBlock } from "./AddBlock";
import { AsidePart } from "./AsidePart";
import { headingOf } from "./kinds";
import { NumbersFrom } from "./NumbersFrom";
import { PageSettings } from "./PageSettings";
import type { BriefWays } from "./useBriefWays";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  brief: BriefView;
  runs: readonly RunView[];
  ways: BriefWays;
  chosen?: string;
  onUpdate: () => void;
}

/** What stands beside the page: its blocks in their order, where its numbers are from, and how it is set. */
export function BriefAside({ plan, brief, runs, ways, chosen, onUpdate }: Props) {
  const [dragged, setDragged] = useState<string>();
  return (
    <Flex
      as="nav"
      aria-label="The brief"
      direction="column"
      gap="5"
      width="252px"
      flexShrink="0"
      height="100%"
      overflow="auto"
      px="4"
      py="4"
      borderRightWidth="1px"
      borderColor="line"
    >
      <AsidePart title="On this page">
        {brief.blocks.map((block) => (
          <Flex
            key={block.id}
            align="center"
            gap="1"
            minH="28px"
            draggable
            onDragStart={() => setDragged(block.id)}
            onDragOver={(event) => event.preventDefault()}
            onDrop={() => dragged && ways.place(dragged, block.id)}
          >
            <Box color="softInk" cursor="grab" aria-hidden>
              <GripVertical size={13} />
            </Box>
            <Button
              textAlign="left"
              fontWeight={block.id === chosen ? "650" : "400"}
              color={block.id === chosen ? "action" : "ink"}
              aria-current={block.id === chosen}
              onClick={() => ways.choose(block.id)}
            >
              {headingOf(block) || "Words of your own"}
            </Button>
          </Flex>
        ))}
        <AddBlock onAdd={(kind) => ways.add(kind, chosen)} />
      </AsidePart>
      <NumbersFrom {...{ plan, brief, runs, ways, onUpdate }} />
      <PageSettings brief={brief} ways={ways} />
      <CommentsPart project={plan.project.id} about={{ section: "briefs", key: brief.id }} />
    </Flex>
  );
}
