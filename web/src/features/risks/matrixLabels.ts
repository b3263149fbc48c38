import type { RiskView } from "../../shared/api/client";
import { cellOf, type Place, type Placed } from "./matrixPlaces";

/** A cell with more marks says how many it holds instead. */
const CROWD = 8;

const crowdKey = (risk: RiskView, place: Place) => {
  const { chance, effect } = cellOf(place);
  return `${risk.kind} ${chance} ${effect}`;
};

/** Cells that hold more marks than can be told apart, with how many. */
export function crowds(placed: readonly Placed[]) {
  const cells = new Map<string, Placed[]>();
  for (const one of placed) {
    const key = crowdKey(one.risk, one.now);
    const there = cells.get(key);
    if (there) there.push(one);
    else cells.set(key, [one]);
  }
  return [...cells].flatMap(([key, all]) => {
    const [first] = all;
    return first && all.length > CROWD
      ? [{ key, place: cellOf(first.now), count: all.length, risk: first.risk }]
      : [];
  });
}

interface Label {
  x: number;
  y: number;
  anchor: "start" | "end";
}

const LABEL_WIDTH = 30;
const LABEL_HEIGHT = 13;

/** Where the codes of marks stand: beside them, where nothing else does; not at all in a crowd. */
export function labels(
  placed: readonly Placed[],
  x: (place: Place) => number,
  y: (place: Place, risk: RiskView) => number,
): Map<string, Label> {
  const taken: { left: number; top: number; right: number; bottom: number }[] = placed.flatMap(
    ({ risk, now, after }) =>
      [now, after].flatMap((place) =>
        place
          ? [
              {
                left: x(place) - 7,
                right: x(place) + 7,
                top: y(place, risk) - 7,
                bottom: y(place, risk) + 7,
              },
            ]
          : [],
      ),
  );
  const found = new Map<string, Label>();
  const crowded = new Set(crowds(placed).map(({ key }) => key));
  for (const { risk, now } of placed) {
    if (crowded.has(crowdKey(risk, now))) continue;
    const at = { x: x(now), y: y(now, risk) };
    const tries: Label[] = [
      { x: at.x + 10, y: at.y + 4, anchor: "start" },
      { x: at.x - 10, y: at.y + 4, anchor: "end" },
      { x: at.x + 8, y: at.y - 9, anchor: "start" },
      { x: at.x + 8, y: at.y + 17, anchor: "start" },
      { x: at.x - 8, y: at.y - 9, anchor: "end" },
      { x: at.x - 8, y: at.y + 17, anchor: "end" },
    ];
    const box = (label: Label) => {
      const left = label.anchor === "start" ? label.x : label.x - LABEL_WIDTH;
      return { left, right: left + LABEL_WIDTH, top: label.y - LABEL_HEIGHT + 3, bottom: label.y + 2 };
    };
    const free = tries.find((label) => {
      const one = box(label);
      return !taken.some(
        (other) =>
          one.left < other.right &&
          one.right > other.left &&
          one.top < other.bottom &&
          one.bottom > other.top,
      );
    });
    if (free) {
      taken.push(box(free));
      found.set(risk.id, free);
    }
  }
  return found;
}
