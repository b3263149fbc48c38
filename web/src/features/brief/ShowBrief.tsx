import { Box, chakra, Flex } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import type { BriefAxis, BriefBlock, BriefView, PlanView } from "../../shared/api/client";
import { DrawingPicture } from "./DrawingPicture";
import { headingOf } from "./kinds";
import { Lines } from "./Lines";
import { PAPER } from "./paper";
import { PaperTable } from "./PaperTable";
import { PlayFuture } from "./PlayFuture";
import { ReadOff } from "./ReadOff";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  brief: BriefView;
  onClose: () => void;
}

/** The brief on the whole screen, a block at a time: arrows step through, and what is drawn can be read off anywhere. */
export function ShowBrief({ plan, brief, onClose }: Props) {
  const [at, setAt] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  const blocks = brief.blocks.filter((block) => block.told);
  const block = blocks[Math.min(at, blocks.length - 1)];
  const step = (by: number) => setAt((now) => Math.max(0, Math.min(blocks.length - 1, now + by)));
  useEffect(() => {
    const element = box.current;
    element?.focus();
    void element?.requestFullscreen?.().catch(() => undefined);
    // Esc leaves the whole screen before any page hears of it.
    const left = () => !document.fullscreenElement && onClose();
    document.addEventListener("fullscreenchange", left);
    return () => {
      document.removeEventListener("fullscreenchange", left);
      if (document.fullscreenElement) void document.exitFullscreen();
    };
  }, [onClose]);
  return (
    <>
      {/* Keys step through it while it has the focus itself. */}
      {/* oxlint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <Flex
        ref={box}
        role="dialog"
        aria-modal
        aria-label={`${brief.name}, shown`}
        tabIndex={-1}
        position="fixed"
        inset="0"
        zIndex="modal"
        direction="column"
        bg={PAPER.sheet}
        color={PAPER.ink}
        onKeyDown={(event) => {
          if (event.key === "Escape") onClose();
          else if (isMoved(event.target)) return;
          else if (event.key === "ArrowRight" || event.key === "PageDown") step(1);
          else if (event.key === "ArrowLeft" || event.key === "PageUp") step(-1);
          else if (event.key === "Home") setAt(0);
          else if (event.key === "End") setAt(blocks.length - 1);
        }}
      >
        <Flex px="8" py="3" color={PAPER.soft} align="baseline" gap="6">
          <Box flex="1">{brief.title || brief.name}</Box>
          <Box>{brief.under}</Box>
        </Flex>
        <Box flex="1" minH="0" overflow="auto" px="8">
          {block && <Slide key={block.id} plan={plan} brief={brief} block={block} />}
        </Box>
        <Flex px="8" py="3" gap="6" align="center" color={PAPER.action}>
          <Button onClick={() => step(-1)} disabled={at === 0} color={at === 0 ? PAPER.soft : undefined}>
            ← {at > 0 ? headingOf(blocks[at - 1] as BriefBlock) : "Before"}
          </Button>
          <Box flex="1" textAlign="center" color={PAPER.soft} data-testid="shown-place">
            {at + 1} of {blocks.length}
          </Box>
          <Button
            onClick={() => step(1)}
            disabled={at >= blocks.length - 1}
            color={at >= blocks.length - 1 ? PAPER.soft : undefined}
          >
            {at < blocks.length - 1 ? headingOf(blocks[at + 1] as BriefBlock) : "The end"} →
          </Button>
          <Button onClick={onClose}>Close (Esc)</Button>
        </Flex>
      </Flex>
    </>
  );
}

/** Whether keys move or fill what has the focus. */
const isMoved = (target: EventTarget) =>
  target instanceof Element && target.matches("input, [role='slider']");

const isRead = (axis: BriefAxis) => axis.quantiles.length > 1;

function Slide({ plan, brief, block }: { plan: PlanView; brief: BriefView; block: BriefBlock }) {
  const { told } = block;
  if (!told) return null;
  const axes = told.drawing?.axes.filter(isRead) ?? [];
  const rows = brief.scenario ? undefined : told.drawing?.axes.find((axis) => axis.what === "rows");
  return (
    <Box maxW="1080px" mx="auto" pb="6">
      <Box as="h1" fontSize="34px" fontWeight="600" lineHeight="1.2" mb="3">
        {told.heading}
      </Box>
      <Box fontSize="1.35em">
        <Lines lines={told.lines} large />
      </Box>
      {told.drawing && axes.length > 0 && (
        <ReadOff
          plan={plan}
          drawing={told.drawing}
          axes={axes}
          curves={block.of === undefined && !brief.scenario ? brief.id : undefined}
        />
      )}
      {told.drawing && axes.length === 0 && rows && brief.run && (
        <PlayFuture
          plan={plan}
          run={brief.run.id}
          iterations={brief.run.done}
          drawing={told.drawing}
          axis={rows}
        />
      )}
      {told.drawing && axes.length === 0 && !rows && <DrawingPicture drawing={told.drawing} />}
      {told.table && <PaperTable table={told.table} label={told.heading} />}
      {told.notes.map((note, i) => (
        <Box key={i} color={PAPER.soft}>
          {note}
        </Box>
      ))}
    </Box>
  );
}
