import type { PathView } from "../../shared/api/client";
import { civil } from "../../shared/format/dates";

/** A stretch of work that the same paths go through, without parting. */
export interface Reach {
  ids: string[];
  names: string[];
  /** Numbers of the paths, from the top of the drawing down. */
  paths: number[];
  /** Of all futures. */
  share: number;
  from: number;
  to: number;
  /** The upper edge, in shares of the height. */
  top: number;
}

/** A path from one reach to the next. */
export interface Passage {
  path: number;
  from: Reach;
  to: Reach;
}

export interface River {
  reaches: Reach[];
  passages: Passage[];
  /** Share of each path by its number. */
  shares: ReadonlyMap<number, number>;
  from: number;
  to: number;
  /** The lowest edge, in the unit of {@link Reach.top}. */
  depth: number;
}

/** Room between paths that part, in shares of all futures. */
const GAP = 0.09;
/** Paths that are drawn: those of at least so much, and no more than so many. */
const LEAST = 0.004;
const MOST = 7;

/** Those that are drawn. */
export const drawnPaths = (paths: readonly PathView[]) =>
  paths.filter(({ share }, i) => i === 0 || share >= LEAST).slice(0, MOST);

/**
 * Paths as a river: work that the same paths go through becomes a reach, placed where the first of those paths lies, and
 * pushed down where it would lie over another at the same time.
 */
export function riverOf(paths: readonly PathView[]): River {
  const drawn = inOrder(drawnPaths(paths));
  const shares = new Map(drawn.map(({ number, share }) => [number, share]));
  const homes = homesOf(drawn);
  const reachOf = new Map<string, Reach>();
  const reaches: Reach[] = [];
  const passages: Passage[] = [];
  const through = (id: string) => drawn.filter(({ steps }) => steps.some((step) => step.id === id));
  for (const path of drawn) {
    let before: Reach | undefined;
    path.steps.forEach((step, i) => {
      let reach = reachOf.get(step.id);
      if (!reach) {
        const members = through(step.id);
        const previous = path.steps[i - 1];
        if (before && previous && goesOn(members, before, previous.id, step.id)) {
          reach = before;
          reach.ids.push(step.id);
          reach.names.push(step.name);
          reach.to = Math.max(reach.to, mean(members, step.id, "finish"));
        } else {
          reach = newReach(members, step, homes);
          reaches.push(reach);
        }
        reachOf.set(step.id, reach);
      }
      if (before && before !== reach) passages.push({ path: path.number, from: before, to: reach });
      before = reach;
    });
  }
  const depth = settle(reaches);
  return {
    reaches,
    passages,
    shares,
    from: Math.min(...reaches.map((reach) => reach.from)),
    to: Math.max(...reaches.map((reach) => reach.to)),
    depth,
  };
}

type Step = PathView["steps"][number];

function newReach(members: PathView[], step: Step, homes: ReadonlyMap<number, number>): Reach {
  const share = members.reduce((sum, member) => sum + member.share, 0);
  return {
    ids: [step.id],
    names: [step.name],
    paths: members.map(({ number }) => number),
    share,
    from: mean(members, step.id, "start"),
    to: mean(members, step.id, "finish"),
    // What is drawn highest stays straight; others join it from below.
    top: Math.min(...members.map(({ number }) => homes.get(number) ?? 0)),
  };
}

/** Whether the same paths go from one activity straight on to the next. */
function goesOn(members: PathView[], before: Reach, previous: string, next: string): boolean {
  return (
    members.length === before.paths.length &&
    members.every(
      ({ number, steps }) =>
        before.paths.includes(number) &&
        steps.findIndex(({ id }) => id === next) === steps.findIndex(({ id }) => id === previous) + 1,
    )
  );
}

/** When work stands on average over the paths through it, by how often each drives. */
function mean(members: PathView[], id: string, end: "start" | "finish"): number {
  let sum = 0;
  let weight = 0;
  for (const { share, steps } of members) {
    const step = steps.find((one) => one.id === id);
    if (!step) continue;
    sum += share * civil(step[end]);
    weight += share;
  }
  return sum / weight;
}

/** The most frequent first, then those that are most like it, so that bands part as little as they can. */
function inOrder(paths: readonly PathView[]): PathView[] {
  const first = new Set(paths[0]?.steps.map(({ id }) => id));
  const likeness = ({ steps }: PathView) => steps.filter(({ id }) => first.has(id)).length / steps.length;
  return [...paths].sort((a, b) => likeness(b) - likeness(a) || a.number - b.number);
}

/** Where the upper edge of each path would lie if it never met another. */
function homesOf(paths: readonly PathView[]): ReadonlyMap<number, number> {
  const homes = new Map<number, number>();
  let top = 0;
  for (const { number, share } of paths) {
    homes.set(number, top);
    top += share + GAP;
  }
  return homes;
}

const ROUNDS = 4;

/** Pushes reaches down that would lie over others at the same time; tells the lowest edge. */
function settle(reaches: Reach[]): number {
  for (let round = 0; round < ROUNDS; round++) {
    const sorted = [...reaches].sort((a, b) => a.top - b.top);
    sorted.forEach((reach, i) => {
      for (const other of sorted.slice(0, i)) {
        if (lieOver(reach, other)) reach.top = Math.max(reach.top, other.top + other.share + GAP / 3);
      }
    });
  }
  const highest = Math.min(...reaches.map(({ top }) => top));
  for (const reach of reaches) reach.top -= highest;
  return Math.max(...reaches.map(({ top, share }) => top + share));
}

/** Whether two reaches would cover each other: what one path goes through comes one after the other. */
const lieOver = (reach: Reach, other: Reach) =>
  reach.from < other.to && other.from < reach.to && !reach.paths.some((path) => other.paths.includes(path));

/** How far below the upper edge of a reach a path lies in it. */
export function offsetIn(reach: Reach, path: number, shares: ReadonlyMap<number, number>): number {
  let offset = 0;
  for (const number of reach.paths) {
    if (number === path) break;
    offset += shares.get(number) ?? 0;
  }
  return offset;
}
