import { Box } from "@chakra-ui/react";
import type { KeyboardEvent, PointerEvent } from "react";

interface Props {
  /** Pixels from the left. */
  at: number;
  most: number;
  onPut: (at: number | undefined) => void;
}

const STEP = 16;

/** Between columns and drawing: drag it, move it by the arrow keys, or click twice for where it was. */
export function Divider({ at, most, onPut }: Props) {
  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (event.buttons === 1 && box) onPut(Math.round(event.clientX - box.left));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onPut(at + by);
  };
  return (
    <Box
      role="separator"
      aria-orientation="vertical"
      aria-label="Room for the columns"
      aria-valuemin={0}
      aria-valuemax={Math.round(most)}
      aria-valuenow={Math.round(at)}
      tabIndex={0}
      title="Drag to give columns or drawing more room; click twice for the usual"
      position="absolute"
      top="0"
      bottom="0"
      left={`${at - 4}px`}
      width="7px"
      zIndex="4"
      cursor="col-resize"
      _hover={{ bg: "actionTint" }}
      _focusVisible={{ bg: "action" }}
      style={{ touchAction: "none" }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={onPointerMove}
      onDoubleClick={() => onPut(undefined)}
      onKeyDown={onKeyDown}
    />
  );
}
