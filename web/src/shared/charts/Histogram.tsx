import { line as lineOf } from "d3-shape";
import { useState } from "react";
import type { Plot } from "./plot";

interface BarsProps {
  plot: Plot;
  edges: readonly number[];
  counts: readonly number[];
  /** How much higher the drawing is than its highest bar. */
  headroom: number;
  /** What a bar says when one points at it. */
  words: (from: number, to: number, count: number) => string;
}

/** The bars of a histogram; the one that is pointed at stands out and tells what it is. */
export function Bars({ plot, edges, counts, headroom, words }: BarsProps) {
  const [at, setAt] = useState<number>();
  const highest = Math.max(...counts, 1) * headroom;
  return (
    <g onPointerLeave={() => setAt(undefined)}>
      {counts.map((count, i) => {
        const [from, to] = [edges[i] ?? 0, edges[i + 1] ?? 0];
        const [left, right, top] = [plot.x(from), plot.x(to), plot.y(count / highest)];
        return (
          <g key={i} onPointerEnter={() => setAt(i)} data-bar={i}>
            <rect
              x={left}
              width={Math.max(1, right - left)}
              y={plot.top}
              height={plot.bottom - plot.top}
              fill="transparent"
            />
            <rect
              x={left + 0.5}
              width={Math.max(1, right - left - 1)}
              y={top}
              height={plot.bottom - top}
              fill={i === at ? "var(--chakra-colors-simulated)" : "var(--chakra-colors-simulated-soft)"}
            />
            <title>{words(from, to, count)}</title>
          </g>
        );
      })}
    </g>
  );
}

interface CurveProps {
  plot: Plot;
  /** Values at even steps of chance, from 0 to 1. */
  values: readonly number[];
  /** Whether it is what another is compared with. */
  beside?: boolean;
}

/** A cumulative curve. */
export function ChanceCurve({ plot, values, beside = false }: CurveProps) {
  const path = lineOf<number>()
    .x((value) => plot.x(value))
    .y((_, i) => plot.y(i / (values.length - 1)));
  return (
    <path
      d={path(values) ?? undefined}
      fill="none"
      pointerEvents="none"
      stroke={beside ? "var(--chakra-colors-soft-ink)" : "var(--chakra-colors-simulated)"}
      strokeWidth={beside ? 2 : 2.5}
      strokeDasharray={beside ? "6 4" : undefined}
      data-beside={beside || undefined}
    />
  );
}
