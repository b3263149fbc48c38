import { type PointerEvent, useEffect, useState } from "react";

/** Something that is dragged: a risk onto rows of the plan, or a row onto a risk. */
export interface Dragged {
  what: "risk" | "row";
  id: string;
  x: number;
  y: number;
  /** What it is over, where that is something it can be dropped on. */
  over?: string;
}

/** A pointer that has moved less was not meant to drag. */
const LEAST = 5;

/** The row under a point, in the part of the screen that takes what is dragged. */
function under(what: Dragged["what"], x: number, y: number): string | undefined {
  const place = document.elementFromPoint(x, y);
  const wanted = what === "risk" ? "rows" : "risks";
  return place?.closest(`[data-takes="${wanted}"]`)
    ? place.closest<HTMLElement>("[data-row]")?.dataset.row
    : undefined;
}

/** Dragging by the marks of risks and the codes of rows; what is dropped on is told with what was dragged. */
export function useAssignDrag(onDrop: (dragged: Dragged) => void) {
  const [dragged, setDragged] = useState<Dragged>();
  const [begun, setBegun] = useState<Dragged>();
  useEffect(() => {
    if (!begun) return undefined;
    const stop = () => {
      setBegun(undefined);
      setDragged(undefined);
    };
    let last: Dragged | undefined;
    const move = (event: globalThis.PointerEvent) => {
      const { clientX: x, clientY: y } = event;
      if (!last && Math.hypot(x - begun.x, y - begun.y) < LEAST) return;
      last = { ...begun, x, y, over: under(begun.what, x, y) };
      setDragged(last);
    };
    const up = () => {
      stop();
      if (last?.over) onDrop(last);
    };
    const key = (event: KeyboardEvent) => event.key === "Escape" && stop();
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", up);
    window.addEventListener("pointercancel", stop);
    window.addEventListener("keydown", key);
    return () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", up);
      window.removeEventListener("pointercancel", stop);
      window.removeEventListener("keydown", key);
    };
  }, [begun, onDrop]);
  const onPointerDown = (event: PointerEvent) => {
    const grip = event.target instanceof Element ? event.target.closest<HTMLElement>("[data-grip]") : null;
    const id = grip?.dataset.grip;
    if (!grip || !id || event.button !== 0) return;
    event.preventDefault();
    const what = grip.closest('[data-takes="risks"]') ? "risk" : "row";
    setBegun({ what, id, x: event.clientX, y: event.clientY });
  };
  return { dragged, onPointerDown };
}
