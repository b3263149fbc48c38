import type { PathView } from "../../shared/api/client";
import { civil } from "../../shared/format/dates";

/** Paths that are mostly the same work, under the most frequent of them. */
export interface Way {
  /** Of all futures. */
  share: number;
  paths: PathView[];
  /** What tells it apart from the others: the longest work on it that they seldom have. */
  name: string;
  id: string;
}

/** A path goes the way of one with which it has so much of its working time in common. */
const ALIKE = 0.6;

type Step = PathView["steps"][number];

const time = ({ start, finish }: Step) => Math.max(0, civil(finish) - civil(start));
const sum = (steps: readonly Step[]) => steps.reduce((all, step) => all + time(step), 0);

/** How much of a path's working time lies on another. */
function common(path: PathView, other: PathView): number {
  const on = new Set(other.steps.map(({ id }) => id));
  return sum(path.steps.filter(({ id }) => on.has(id))) / Math.max(1, sum(path.steps));
}

/** The ways that lead to the end, the most frequent first. */
export function waysOf(paths: readonly PathView[]): Way[] {
  const ways: PathView[][] = [];
  for (const path of paths) {
    const way = ways.find(([first]) => first && common(path, first) >= ALIKE);
    if (way) way.push(path);
    else ways.push([path]);
  }
  const shareOf = (way: readonly PathView[]) => way.reduce((all, { share }) => all + share, 0);
  return ways
    .map((way) => {
      const others = ways.filter((other) => other !== way).flat();
      const { id, name } = tellingStep(way[0] as PathView, others);
      return { share: shareOf(way), paths: way, id, name };
    })
    .sort((a, b) => b.share - a.share);
}

/** The longest work of a path that others seldom have. */
function tellingStep(path: PathView, others: readonly PathView[]): Step {
  const shared = (id: string) =>
    others
      .filter(({ steps }) => steps.some((step) => step.id === id))
      .reduce((all, { share }) => all + share, 0);
  const rate = (step: Step) => (path.share / (path.share + shared(step.id))) ** 2 * time(step);
  return path.steps.reduce((best, step) => (rate(step) > rate(best) ? step : best));
}

/** What a path is called: its way, and where it goes its own within that. */
export function pathName(path: PathView, ways: readonly Way[]): string {
  const way = ways.find(({ paths }) => paths.includes(path));
  const first = way?.paths[0];
  if (!way || !first) return "";
  if (first === path) return way.name;
  const on = new Set(first.steps.map(({ id }) => id));
  const own = path.steps.filter(({ id }) => !on.has(id));
  const telling = own.reduce<Step | undefined>(
    (best, step) => (!best || time(step) > time(best) ? step : best),
    undefined,
  );
  return telling ? `${way.name}, by ${telling.name}` : `${way.name}, straight on`;
}
