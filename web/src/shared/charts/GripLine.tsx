import type { KeyboardEvent, PointerEvent, ReactNode } from "react";

/** How near to a line it can be grasped. */
const GRIP = 9;

interface Props {
  label: string;
  /** What is read out: where it stands. */
  spoken: string;
  /** The same as a number, between its ends. */
  now: number;
  least?: number;
  most?: number;
  direction: "across" | "up";
  /** Where it is grasped, in pixels. */
  from: [number, number];
  to: [number, number];
  /** Dragged to a place, in pixels from the left and the top of the drawing. */
  onDrag?: (x: number, y: number) => void;
  /** Grasped, and let go. */
  onHold?: () => void;
  onRelease?: () => void;
  /** Moved by a key, a step or a big one. */
  onStep: (by: 1 | -1, far: boolean) => void;
  children?: ReactNode;
}

const STEPS: Record<string, 1 | -1> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 };

/** A line in a drawing that is dragged, or moved by the arrow keys (with Shift by far). What it looks like is given to it. */
export function GripLine(props: Props) {
  const [x1, y1] = props.from;
  const [x2, y2] = props.to;
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (event.buttons === 1 && box) props.onDrag?.(event.clientX - box.left, event.clientY - box.top);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (!by) return;
    event.preventDefault();
    props.onStep(by, event.shiftKey);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={props.label}
      aria-orientation={props.direction === "across" ? "horizontal" : "vertical"}
      aria-valuemin={props.least}
      aria-valuemax={props.most}
      aria-valuenow={props.now}
      aria-valuetext={props.spoken}
      cursor={props.direction === "across" ? "ew-resize" : "ns-resize"}
      style={{ pointerEvents: "all", touchAction: "none" }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        props.onHold?.();
      }}
      onPointerMove={onPointerMove}
      onPointerUp={props.onRelease}
    >
      <rect
        x={Math.min(x1, x2) - (x1 === x2 ? GRIP : 0)}
        y={Math.min(y1, y2) - (y1 === y2 ? GRIP : 0)}
        width={Math.abs(x2 - x1) + (x1 === x2 ? 2 * GRIP : 0)}
        height={Math.abs(y2 - y1) + (y1 === y2 ? 2 * GRIP : 0)}
        fill="transparent"
      />
      {props.children}
    </g>
  );
}
