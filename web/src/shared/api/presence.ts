import { create } from "zustand";
import { http } from "./client";

/** A window that has the project open: whose, and where. */
export interface Here {
  window: string;
  person: string;
  name: string;
  stage: string;
  row: string;
}

interface Presence {
  here: readonly Here[];
  /** Who has just edited what, by the key of the row. */
  edited: Readonly<Record<string, string>>;
}

const MARKED_MS = 5000;

const KEPT = "tychon-window";

/** What a page leaves to the next in its window; a window that is made as a copy of it finds nothing. */
function leftByTheLast(): string | null {
  const kept = globalThis.sessionStorage?.getItem(KEPT) ?? null;
  globalThis.sessionStorage?.removeItem(KEPT);
  return kept;
}

/** Tells this window from others; a page that is loaded anew goes on in the name of the one before. */
export const WINDOW = leftByTheLast() ?? crypto.randomUUID();

globalThis.addEventListener?.("pagehide", () => sessionStorage.setItem(KEPT, WINDOW));
globalThis.addEventListener?.("pageshow", leftByTheLast);

/** Who else has the project open, and what they have just edited. */
export const usePresence = create<Presence>()(() => ({ here: [], edited: {} }));

/** @param me the account of whoever this window belongs to, whose other windows are no news; nothing without accounts */
export function takePresence(all: readonly Here[], me: string | undefined) {
  usePresence.setState({
    here: all.filter((one) => (me === undefined ? one.window !== WINDOW : one.person !== me)),
  });
}

/** Marks rows for a while as edited by somebody. */
export function takeEdited(name: string, keys: readonly string[]) {
  const marks = Object.fromEntries(keys.map((key) => [key, name]));
  usePresence.setState(({ edited }) => ({ edited: { ...edited, ...marks } }));
  window.setTimeout(
    () =>
      usePresence.setState(({ edited }) => ({
        edited: Object.fromEntries(Object.entries(edited).filter(([key, by]) => marks[key] !== by)),
      })),
    MARKED_MS,
  );
}

let place: { project: string; stage: string; row: string } | undefined;

/** Tells the others where this window is; nobody has to wait for it. */
export function beAt(project: string, stage: string, row: string) {
  place = { project, stage, row };
  http
    .POST("/api/projects/{id}/presence", {
      params: { path: { id: project } },
      body: { window: WINDOW, stage, row },
    })
    .catch(() => undefined);
}

/** Tells once more where it is, to whoever was told that it had gone. */
export function beThereAgain(project: string) {
  if (place?.project === project) beAt(project, place.stage, place.row);
}

/** What somebody is called who may have no account. */
export const nameOf = (one: { name: string }): string => one.name || "Another window";

/** The first letters of a name, as many as tell it. */
export const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => word.charAt(0).toUpperCase())
    .filter((_, i, all) => i === 0 || i === all.length - 1)
    .join("");
