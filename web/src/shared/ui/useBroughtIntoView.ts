import { type RefObject, useEffect } from "react";

const OWN_WAY = ["wheel", "keydown", "pointerdown"] as const;

/** Brings something into view, and keeps it there while what stands around is still on its way; until one goes one's own way. */
export function useBroughtIntoView(element: RefObject<HTMLElement | null>, asked: boolean) {
  useEffect(() => {
    const around = element.current?.parentElement;
    if (!asked || !around) return;
    const bring = () => element.current?.scrollIntoView();
    const watch = new ResizeObserver(bring);
    const leave = () => watch.disconnect();
    bring();
    watch.observe(around);
    for (const way of OWN_WAY) window.addEventListener(way, leave, { once: true });
    return () => {
      leave();
      for (const way of OWN_WAY) window.removeEventListener(way, leave);
    };
  }, [element, asked]);
}
