import type { Span } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { finishAt, mistOf } from "./mist";
import type { TimeScale } from "../../shared/charts/timeScale";

const TOP = 14;
const HEIGHT = 9;
const DARKEST = 0.8;

interface Props {
  name: string;
  span: Span;
  levels: readonly number[];
  scale: TimeScale;
  /** Whether the plan has changed since; then it is drawn paler. */
  stale: boolean;
}

/** Simulated work: the denser, the more futures are at it; notches where half and four in five have ended it. */
export function Mist({ name, span, levels, scale, stale }: Props) {
  const points = mistOf(span, levels);
  const [first, last] = [points[0], points.at(-1)];
  const [p50, p80] = [finishAt(span, levels, 50), finishAt(span, levels, 80)];
  if (!first || !last || p50 === undefined || p80 === undefined || last.time <= first.time) return null;
  const id = `mist-${span.id}`;
  const [from, to] = [scale.x(first.time), scale.x(last.time)];
  return (
    <g opacity={stale ? 0.5 : 1}>
      <title>{`${name}, simulated: half of all futures finish it by ${formatDay(p50)}, four in five by ${formatDay(p80)}`}</title>
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
      {[p50, p80].map((time, i) => (
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
