import { chakra } from "@chakra-ui/react";
import { Flag, Pin } from "../charts/marks";
import { axisTicks, type Heading } from "./heading";

const Svg = chakra("svg");
const LOW = 76;
const TOP = 20;
const FOOT = 20;
const MARGIN = 0.05;
const LABEL_EVERY = 90;
/** Half of what a label takes: none is cut at the edge. */
const LABEL_ROOM = 22;

interface Props {
  heading: Heading;
  pinned?: Heading;
  currency: string;
  width: number;
  height?: number;
  /** Whether it is of an older plan. */
  old: boolean;
}

/** The soft band of what may come, with P50 and the level that matters, a pin for the plan, a flag for the target, and what was pinned. */
export function HeadingDrawing({ heading, pinned, currency, width, height = LOW, old }: Props) {
  const base = height - FOOT;
  const all = [heading, ...(pinned ? [pinned] : [])].flatMap((one) => [
    one.low,
    one.high,
    one.plan,
    one.target ?? one.plan,
  ]);
  const span = Math.max(...all) - Math.min(...all) || 1;
  const low = Math.min(...all) - MARGIN * span;
  const high = Math.max(...all) + MARGIN * span;
  const x = (value: number) => ((value - low) / (high - low)) * width;
  const band = (one: Heading) =>
    one.density
      .map((tall, i) => {
        const at = one.low + ((one.high - one.low) * i) / Math.max(1, one.density.length - 1);
        return `${x(at).toFixed(1)} ${(base - ((base - TOP) * tall) / 100).toFixed(1)}`;
      })
      .join("L");
  const apart = x(heading.kept) - x(heading.p50);
  return (
    <Svg
      width={width}
      height={height}
      display="block"
      aria-hidden="true"
      fontSize="11px"
      opacity={old ? 0.4 : 1}
    >
      {axisTicks(heading, low, high, Math.max(2, Math.floor(width / LABEL_EVERY)), currency).map((tick) => (
        <g key={tick.value}>
          <line x1={x(tick.value)} x2={x(tick.value)} y1={15} y2={base} stroke="var(--chakra-colors-line)" />
          {x(tick.value) > LABEL_ROOM && x(tick.value) < width - LABEL_ROOM && (
            <text x={x(tick.value)} y={11} textAnchor="middle" fill="var(--chakra-colors-soft-ink)">
              {tick.label}
            </text>
          )}
        </g>
      ))}
      <line x1={0} x2={width} y1={base} y2={base} stroke="var(--chakra-colors-strong-line)" />
      {pinned && (
        <path
          d={`M${band(pinned)}`}
          fill="none"
          stroke="var(--chakra-colors-soft-ink)"
          strokeDasharray="3 3"
          data-ghost
        />
      )}
      <path
        d={`M${band(heading)}`}
        fill="var(--chakra-colors-simulated)"
        fillOpacity="0.32"
        stroke="var(--chakra-colors-simulated)"
        strokeOpacity="0.7"
      />
      <g stroke="var(--chakra-colors-ink)" strokeWidth="1.6">
        <line x1={x(heading.p50)} x2={x(heading.p50)} y1={base - 12} y2={base + 3} />
        <line x1={x(heading.kept)} x2={x(heading.kept)} y1={base - 16} y2={base + 3} />
      </g>
      <g fill="var(--chakra-colors-ink)" textAnchor="middle">
        {apart > 28 && (
          <text x={x(heading.p50)} y={base + 15}>
            P50
          </text>
        )}
        <text x={x(heading.kept)} y={base + 15}>
          P{heading.level}
        </text>
      </g>
      <Pin x={x(heading.plan)} top={TOP + 3} bottom={base} size={4} />
      <text x={x(heading.plan)} y={base + 15} textAnchor="middle" fill="var(--chakra-colors-plan-text)">
        {Math.min(Math.abs(x(heading.plan) - x(heading.p50)), Math.abs(x(heading.plan) - x(heading.kept))) >
        30
          ? "plan"
          : ""}
      </text>
      {heading.target !== undefined && <Flag x={x(heading.target)} top={TOP - 2} bottom={base} />}
    </Svg>
  );
}
