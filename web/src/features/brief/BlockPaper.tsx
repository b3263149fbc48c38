import { Box, chakra, Flex } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, Pencil, Trash2 } from "lucide-react";
import { useEffect, useRef } from "react";
import type { BriefBlock, PlanView } from "../../shared/api/client";
import type { BlockEdit } from "../../shared/api/briefs";
import { ToolButton } from "../../shared/ui/ToolButton";
import { BlockSettings } from "./BlockSettings";
import { Decisions } from "./Decisions";
import { DrawingPicture } from "./DrawingPicture";
import { headingOf } from "./kinds";
import { Lines } from "./Lines";
import { PAPER } from "./paper";
import { PaperTable } from "./PaperTable";
import type { Typed } from "./words";
import { WordsEditor } from "./WordsEditor";

const Heading = chakra("input");

export interface BlockActions {
  choose: (typing: boolean) => void;
  leave: () => void;
  change: (edit: BlockEdit) => Promise<string | undefined>;
  move: (by: -1 | 1) => void;
  takeOut: () => void;
}

interface Props {
  plan: PlanView;
  brief: string;
  block: BriefBlock;
  chosen: boolean;
  typing: boolean;
  actions: BlockActions;
  runs: readonly number[];
}

/** A block on the page: read as it is printed; once chosen, what can be set of it and changed stands around it. */
export function BlockPaper({ plan, brief, block, chosen, typing, actions, runs }: Props) {
  const box = useRef<HTMLElement>(null);
  const { told } = block;
  const heading = headingOf(block);
  const large = block.kind === "answer";
  useEffect(() => {
    if (chosen) box.current?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  const change = (edit: Partial<BlockEdit>) => actions.change({ id: block.id, ...edit });
  const stillRight = () => {
    const seen = { ...block.seen };
    told?.lines.forEach((line) => line.changed.forEach((one) => (seen[one.field] = one.now)));
    void change({ seen });
  };
  const keep = ({ words, seen }: Typed) => change({ words, was: block.words ?? null, seen });
  return (
    // The block is chosen, moved and taken out by keys while it has the focus itself.
    // oxlint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <Box
      as="section"
      ref={box}
      data-block={block.id}
      aria-label={heading || "Words of your own"}
      // oxlint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      px="4"
      py="2"
      mx="-4"
      outline={chosen ? `2px solid ${PAPER.action}` : "none"}
      _focusVisible={{ outline: `2px solid ${PAPER.action}` }}
      onClick={() => !chosen && actions.choose(false)}
      onDoubleClick={() => !typing && actions.choose(true)}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget) return;
        if (event.key === "Enter") {
          event.preventDefault();
          actions.choose(chosen);
        } else if (event.key === "F2") actions.choose(true);
        else if (event.key === "Escape") actions.leave();
        else if (event.altKey && event.key === "ArrowUp") actions.move(-1);
        else if (event.altKey && event.key === "ArrowDown") actions.move(1);
        else if (event.key === "Delete") actions.takeOut();
      }}
    >
      <Flex align="center" gap="1" minH="28px">
        {chosen ? (
          <Heading
            key={block.heading}
            aria-label="Heading"
            defaultValue={block.heading || block.usual}
            placeholder="Without a heading"
            flex="1"
            minW="0"
            fontSize="18px"
            fontWeight="600"
            bg="transparent"
            borderBottom={`1px dashed ${PAPER.line}`}
            onBlur={(event) => {
              const text = event.target.value.trim();
              if (text !== (block.heading || block.usual)) void change({ heading: text || null });
            }}
            onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          />
        ) : (
          <Box as="h2" flex="1" fontSize="18px" fontWeight="600">
            {heading}
          </Box>
        )}
        {chosen && (
          <>
            <ToolButton label="Edit the words (F2)" color={PAPER.soft} onClick={() => actions.choose(true)}>
              <Pencil size={15} />
            </ToolButton>
            <ToolButton label="Move up (Alt+up)" color={PAPER.soft} onClick={() => actions.move(-1)}>
              <ArrowUp size={15} />
            </ToolButton>
            <ToolButton label="Move down (Alt+down)" color={PAPER.soft} onClick={() => actions.move(1)}>
              <ArrowDown size={15} />
            </ToolButton>
            <ToolButton label="Take the block out (Delete)" color={PAPER.soft} onClick={actions.takeOut}>
              <Trash2 size={15} />
            </ToolButton>
          </>
        )}
      </Flex>
      {chosen && <BlockSettings plan={plan} brief={brief} block={block} runs={runs} onChange={change} />}
      {block.failure && (
        <Box role="alert" color={PAPER.again}>
          {block.failure}
        </Box>
      )}
      {told?.fault && <Box color={PAPER.again}>{told.fault}</Box>}
      {!told && !block.failure && (
        <Box color={PAPER.soft} role="status">
          Being worked out…
        </Box>
      )}
      {told && typing ? (
        <WordsEditor
          project={plan.project.id}
          brief={brief}
          block={block.id}
          lines={told.lines}
          large={large}
          byHand={block.words !== undefined}
          onHandIn={keep}
          onUsual={() => void change({ words: null, seen: null }).then(() => actions.choose(false))}
          onClose={() => actions.choose(false)}
        />
      ) : (
        told && <Lines lines={told.lines} large={large} onStillRight={stillRight} />
      )}
      {told && block.kind === "text" && told.lines.length === 0 && !typing && (
        <Box color={PAPER.soft}>Nothing is written here yet. Press F2, or click twice.</Box>
      )}
      {told?.drawing && <DrawingPicture drawing={told.drawing} />}
      {told?.table && <PaperTable table={told.table} label={heading} />}
      {chosen && block.kind === "decide" && (
        <Decisions
          plan={plan}
          block={block}
          onChange={(decisions) => change({ decisions: decisions.length > 0 ? decisions : null })}
        />
      )}
      {told?.notes.map((note, i) => (
        <Box key={i} fontSize="12.5px" color={PAPER.soft} mt="1">
          {note}
        </Box>
      ))}
    </Box>
  );
}
