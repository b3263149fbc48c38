import type { Span } from "../api/client";
import { formatDay } from "../format/dates";
import { finishAt, mistOf, thinned } from "./mist";
import type { TimeScale } from "../charts/timeScale";

const TOP = 14;
const HEIGHT = 9;
const DARKEST = 0.8;
/** Pixels between points of the mist that anyone could tell apart. */
const LEAST_STEP = 2;

interface Props {
  name: string;
  span: Span;
  levels: readonly number[];
  /** Which of them matters to the project. */
  level: number;
  scale: TimeScale;
  /** Whether the plan has changed since; then it is drawn paler. */
  stale: boolean;
}

/** Simulated work: the denser, the more futures are at it; notches where half have ended it, and as many as matter. */
export function Mist({ name, span, levels, level, scale, stale }: Props) {
  const points = thinned(mistOf(span, levels), LEAST_STEP / (scale.x(1) - scale.x(0)));
  const [first, last] = [points[0], points.at(-1)];
  const [middle, kept] = [finishAt(span, levels, 50), finishAt(span, levels, level)];
  if (!first || !last || middle === undefined || kept === undefined || last.time <= first.time) return null;
  const id = `mist-${span.id}`;
  const [from, to] = [scale.x(first.time), scale.x(last.time)];
  return (
    <g opacity={stale ? 0.5 : 1}>
      <title>{`${name}, simulated: half of all futures finish it by ${formatDay(middle)}, ${level} of 100 by ${formatDay(kept)}`}</title>
      <defs>
        <linearGradient id={id}>
          {points.map((point) => (
            <stop
              key={point.time}
              offset={(point.time - first.time) / (last.time - first.time)}
              stopColor="var(--chakra-colors-simulated)"
              stopOpacity={DARKEST * point.chance}
            />
          ))}
        </linearGradient>
      </defs>
      <rect x={from} y={TOP} width={Math.max(1, to - from)} height={HEIGHT} fill={`url(#${id})`} />
      {[middle, kept].map((time, i) => (
        <rect
          key={i}
          x={scale.x(time) - (i + 1) / 2}
          y={TOP - 1}
          width={i + 1}
          height={HEIGHT + 2}
          fill="var(--chakra-colors-ink)"
        />
      ))}
    </g>
  );
}
