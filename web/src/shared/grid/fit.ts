import { create } from "zustand";
import { persist } from "zustand/middleware";

/** What a drawing needs to say anything. */
const LEAST_DRAWING = 340;
const LEAST_NAME = 150;
const LEAST_LEFT = 200;

/** Of a column, what decides who gets room. */
interface Fitting {
  width: number;
  kept?: boolean;
  gives?: boolean;
}

interface Splits {
  /** Where each person has put the divider of a grid, in pixels from the left; by its label. */
  splits: Record<string, number>;
  put: (grid: string, at: number | undefined) => void;
}

/** Where columns end and the drawing begins; kept in this browser. */
export const useSplits = create<Splits>()(
  persist(
    (set) => ({
      splits: {},
      put: (grid, at) =>
        set(({ splits }) => {
          const next = { ...splits };
          if (at === undefined) delete next[grid];
          else next[grid] = at;
          return { splits: next };
        }),
    }),
    { name: "tychon-splits", version: 1 },
  ),
);

const CHARACTER = 7.4;
const AROUND = 18;
const WIDEST = 130;

/** Columns that get wider for what stands in them; the same ones where none has to. */
export function widened<R, C extends { width: number; widens?: boolean; text: (row: R) => string }>(
  columns: C[],
  rows: readonly R[],
): C[] {
  const wider = columns.map((column) => {
    if (!column.widens) return column;
    const longest = rows.reduce((most, row) => Math.max(most, column.text(row).length), 0);
    const width = Math.min(WIDEST, Math.ceil(AROUND + CHARACTER * longest));
    return width > column.width ? { ...column, width } : column;
  });
  return wider.some((column, i) => column !== columns[i]) ? wider : columns;
}

const total = (columns: readonly Fitting[]) => columns.reduce((sum, column) => sum + column.width, 0);

/**
 * The columns there is room for. Where the window is narrow they give way before the drawing does: first the one that
 * gives gets narrower, then the last columns go; a divider that somebody has put somewhere decides instead. Without a
 * drawing all room is theirs.
 *
 * @param width of the grid
 * @param split where the divider was put
 */
export function fitted<C extends Fitting>(
  columns: readonly C[],
  width: number,
  split: number | undefined,
  drawn = true,
): C[] {
  const most = Math.max(LEAST_LEFT, width - 40);
  const beside = drawn ? LEAST_DRAWING : 0;
  const room = split === undefined ? Math.max(LEAST_LEFT, width - beside) : Math.min(most, split);
  const fitting = [...columns];
  const tooMuch = () => total(fitting) - room;
  const narrowed = () =>
    fitting.map((column) =>
      column.gives
        ? {
            ...column,
            width: Math.max(Math.min(LEAST_NAME, column.width), column.width - Math.max(0, tooMuch())),
          }
        : column,
    );
  while (total(narrowed()) > room) {
    const last = fitting.findLastIndex((column) => !column.kept);
    if (last < 0) break;
    fitting.splice(last, 1);
  }
  const result = narrowed();
  // What is left of the room that somebody has made, or that nothing else needs, goes to the one that gives.
  const rest = split === undefined && drawn ? 0 : Math.max(0, room - total(result));
  return result.map((column) => (column.gives ? { ...column, width: column.width + rest } : column));
}
