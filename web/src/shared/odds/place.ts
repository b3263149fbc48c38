import type { Axis } from "./chartAxis";
import { chanceOnCurve, type Quantity, valueOnCurve } from "./quantity";

/** Where the reading line stands: at a chance in percent, or at a value. */
export type Line = { by: "chance"; chance: number } | { by: "value"; value: number };

/** Where a reading line stands in the chart. */
export interface Place {
  chance: number;
  value: number;
  x: number;
  y: number;
}

export function placeOf(line: Line, { curve }: Quantity, axis: Axis): Place {
  const chance = line.by === "chance" ? line.chance / 100 : chanceOnCurve(curve, line.value);
  const value = line.by === "value" ? line.value : valueOnCurve(curve, chance);
  return { chance, value, x: axis.x(Math.max(axis.min, Math.min(axis.max, value))), y: axis.y(chance) };
}

/** Moves a place along one direction until it is far enough from what is there already. */
export const clearOf = (at: number, taken: number | undefined, room: number) =>
  taken === undefined || Math.abs(at - taken) >= room ? at : at < taken ? taken - room : taken + room;
