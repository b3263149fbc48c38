import type { KeyboardEvent, ReactNode } from "react";
import type { Block } from "./block";

/** What the grid knows of every row, whatever it is about. */
export interface GridRow {
  id: string;
  /** How deep it lies in the outline; 0 at the top, and everywhere in a list without one. */
  depth: number;
  /** Whether what lies beneath is shown; undefined for a row that nothing lies beneath. */
  open?: boolean;
  /** Written in bold, as what holds others. */
  strong?: boolean;
  /** Written softly, as what belongs to another. */
  soft?: boolean;
  /** Lit, as what something chosen elsewhere is about. */
  lit?: boolean;
}

export interface Column<R, E = never> {
  id: string;
  title: string;
  /** Explains the column where it stands. */
  hint?: string;
  /** The word of the glossary that its title is. */
  word?: string;
  width: number;
  align?: "right";
  /** Without it a row is not known: it never makes room for others. */
  kept?: boolean;
  /** Gets narrower before others go, and takes what is left over; the outline is drawn in it. */
  gives?: boolean;
  /** Gets wider where what stands in it is longer, as codes of a programme's projects are. */
  widens?: boolean;
  soft?: boolean;
  /** What the cell says; also what is copied. */
  text: (row: R) => string;
  render?: (row: R) => ReactNode;
  /** The cell of a row as it is edited; undefined where it cannot be. */
  cell?: (row: R) => Cell<R, E> | undefined;
}

/** What typing into a cell comes to: an edit to send with the row as it would be, or the reason why it is refused. */
export type Typed<R, E> = { edit: E; after: R } | { refusal: string };

/** Something that can be put in the place of the last word of a cell. */
export interface Completion {
  value: string;
  label: string;
}

export type Choices = readonly { value: string; label: string }[];

/** A cell that can be edited. */
export interface Cell<R, E> {
  /** The text an edit starts from. */
  start: string;
  /** Where one of a few words is chosen. */
  choices?: Choices;
  /** What the text so far may go on as. */
  complete?: (text: string) => Completion[];
  typed: (text: string) => Typed<R, E>;
  /** What emptying the cell comes to. */
  cleared?: () => Typed<R, E>;
  /** One step along an order that the choices have, with + and −. */
  step?: (by: 1 | -1) => Typed<R, E> | undefined;
  /** Whether filling and pasting pass it over. */
  passedOver?: boolean;
  /** Whether it is the row's id, so that the row is found by the new one afterwards. */
  names?: boolean;
}

/** What stands to the right of the columns, row by row, on one common axis. */
export interface Drawing<R> {
  /** Width it wants; it gets at least what is left of the window. */
  width: number;
  header: (width: number) => ReactNode;
  /** Must stay the same function while what it draws does, so that rows are not drawn anew on every scroll. */
  row: (row: R, width: number) => ReactNode;
  /** Drawn once behind all rows, over the height in view. */
  behind?: (width: number, height: number) => ReactNode;
  /** Drawn over all rows; given where each visible row stands. */
  over?: (tops: ReadonlyMap<string, number>, width: number) => ReactNode;
}

/** The grid as those find it who add keys and tools of their own. */
export interface At<R, C> {
  rows: R[];
  columns: C[];
  row?: R;
  column?: C;
  block?: Block;
  /** The rows selected: those picked one by one, or those of the block. */
  selected: () => string[];
  /** Selects the cell of a row in the active column, or in another. */
  select: (row: string, column?: string) => void;
  /** Gives the keyboard back to the grid. */
  focus: () => void;
}

/** A key of the user of a grid; tells whether it was taken. */
export type OwnKeys<R, C> = (event: KeyboardEvent, at: At<R, C>) => boolean;
