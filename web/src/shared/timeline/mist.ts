import type { Span, Spans } from "../api/client";

const MINUTE_MS = 60_000;

/** A point of the mist: a time, and the chance from 0 to 1 that the work is under way then. */
export interface MistPoint {
  time: number;
  chance: number;
}

/** The share of futures, 0 to 1, in which something has happened by a time, of its times at levels. */
function by(time: number, times: readonly number[], levels: readonly number[]): number {
  const after = times.findIndex((one) => one > time);
  if (after === 0) return 0;
  if (after < 0) return 1;
  const [t0 = 0, t1 = 0] = [times[after - 1], times[after]];
  const [l0 = 0, l1 = 0] = [levels[after - 1], levels[after]];
  return (l0 + ((l1 - l0) * (time - t0)) / (t1 - t0)) / 100;
}

/** How likely an activity is under way, over time: it has begun, and has not ended. */
export function mistOf(span: Span, levels: readonly number[]): MistPoint[] {
  const times = [...new Set([...span.start, ...span.finish])].sort((a, b) => a - b);
  return times.map((time) => ({
    time: time * MINUTE_MS,
    chance: Math.max(0, by(time, span.start, levels) - by(time, span.finish, levels)),
  }));
}

/** The points that can be told apart in a drawing: no two nearer to each other than a distance in time, the ends always. */
export function thinned(points: readonly MistPoint[], distance: number): MistPoint[] {
  let last = -Infinity;
  return points.filter((point, i) => {
    const kept = i === 0 || i === points.length - 1 || point.time - last >= distance;
    if (kept) last = point.time;
    return kept;
  });
}

/** A time of those told at levels, in milliseconds; undefined where the level is not told. */
export function timeAt(
  times: readonly number[],
  levels: readonly number[],
  level: number,
): number | undefined {
  const minutes = times[levels.indexOf(level)];
  return minutes === undefined ? undefined : minutes * MINUTE_MS;
}

/** When a level of futures has ended the work. */
export const finishAt = (span: Span, levels: readonly number[], level: number) =>
  timeAt(span.finish, levels, level);

/** The last time at which nearly all futures have ended all work. */
export function lastFinish(spans: Spans): number {
  const at = spans.levels.indexOf(95);
  return Math.max(0, ...spans.activities.map((one) => (one.finish[at] ?? 0) * MINUTE_MS));
}
