import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { RangeLook } from "../api/client";

const Svg = chakra("svg");
const HEIGHT = 132;
const BASE = 104;
const TALLEST = 92;
const HANDLE = 8;

/** A point that can be dragged along the axis. */
export interface Handle {
  name: string;
  value: number;
  onMove: (value: number) => void;
}

interface Props {
  look: RangeLook;
  handles: Handle[];
  width: number;
  format: (value: number) => string;
  /** Of what: an estimate beside what is planned, or a risk, which is beside nothing. */
  of?: "estimate" | "risk";
}

interface Extent {
  low: number;
  high: number;
}

/** Everything that must be seen, with some room to drag into. */
function extentOf({ range }: RangeLook, handles: Handle[]): Extent {
  const all = [range.low, range.high, range.planned, ...handles.map((handle) => handle.value)];
  const low = Math.min(...all);
  const high = Math.max(...all);
  const room = 0.12 * (high - low || Math.abs(high) || 1);
  return { low: low - room, high: high + room };
}

/** The density of an estimate, on which its points can be dragged; arrow keys move them too. */
export function DensityPlot({ look, handles, width, format, of = "estimate" }: Props) {
  const tone = `var(--chakra-colors-${of === "risk" ? "risk" : "action"})`;
  const svg = useRef<SVGSVGElement>(null);
  // While a point is dragged the axis stands still under it.
  const [held, setHeld] = useState<Extent & { name: string }>();
  const { low, high } = held ?? extentOf(look, handles);
  const { range } = look;
  const x = (value: number) => ((value - low) / (high - low)) * width;
  const step = (high - low) / 200;
  const outline = look.curve.map((height, i) => {
    const at = range.low + ((range.high - range.low) * i) / (look.curve.length - 1);
    return `${x(at).toFixed(1)} ${(BASE - TALLEST * height).toFixed(1)}`;
  });

  const onPointerMove = (event: PointerEvent) => {
    const handle = held && handles.find((one) => one.name === held.name);
    const box = svg.current?.getBoundingClientRect();
    if (!handle || !box) return;
    const value = low + ((event.clientX - box.left) / box.width) * (high - low);
    handle.onMove(rounded(value, step));
  };
  const onKeyDown = (handle: Handle) => (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    handle.onMove(rounded(handle.value + by * step, step));
  };

  return (
    <Svg
      ref={svg}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      width="100%"
      display="block"
      overflow="visible"
      touchAction="none"
      role="group"
      aria-label="Density of the range"
      onPointerMove={onPointerMove}
      onPointerUp={() => setHeld(undefined)}
      onPointerCancel={() => setHeld(undefined)}
    >
      <line x1={0} x2={width} y1={BASE} y2={BASE} stroke="var(--chakra-colors-strong-line)" />
      {outline.length > 0 && (
        <path
          d={`M${x(range.low)} ${BASE}L${outline.join("L")}L${x(range.high)} ${BASE}Z`}
          fill={tone}
          fillOpacity="0.22"
          stroke={tone}
          strokeWidth="1.4"
        />
      )}
      <line
        x1={x(range.planned)}
        x2={x(range.planned)}
        y1={4}
        y2={BASE}
        stroke={of === "risk" ? "var(--chakra-colors-strong-line)" : "var(--chakra-colors-plan)"}
        strokeWidth="1.6"
      >
        <title>{of === "risk" ? "Nothing" : `Planned: ${format(range.planned)}`}</title>
      </line>
      <path d={`M${x(range.mean)} ${BASE}v-14`} stroke="var(--chakra-colors-ink)" strokeWidth="1.8">
        <title>{`Mean: ${format(range.mean)}`}</title>
      </path>
      {handles.map((handle) => (
        <g key={handle.name} transform={`translate(${x(handle.value)} ${BASE})`}>
          <circle
            r={HANDLE}
            fill="var(--chakra-colors-panel)"
            stroke={tone}
            strokeWidth="2"
            cursor="ew-resize"
            tabIndex={0}
            role="slider"
            aria-label={handle.name}
            aria-valuenow={handle.value}
            aria-valuetext={format(handle.value)}
            data-handle={handle.name.toLowerCase()}
            onKeyDown={onKeyDown(handle)}
            onPointerDown={(event) => {
              event.preventDefault();
              svg.current?.setPointerCapture(event.pointerId);
              setHeld({ ...extentOf(look, handles), name: handle.name });
            }}
          />
          <text
            y={HANDLE + 14}
            textAnchor="middle"
            fontSize="11.5"
            fill="var(--chakra-colors-soft-ink)"
            pointerEvents="none"
          >
            {format(handle.value)}
          </text>
        </g>
      ))}
    </Svg>
  );
}

/** To a number that reads well at the scale of the drawing. */
function rounded(value: number, step: number): number {
  const unit = 10 ** Math.floor(Math.log10(step * 2));
  return Number((Math.round(value / unit) * unit).toPrecision(6));
}

/** While nothing can be drawn. */
export function NoDensity({ children }: { children: string }) {
  return (
    <Box height={`${HEIGHT}px`} color="softInk" display="flex" alignItems="center">
      {children}
    </Box>
  );
}
