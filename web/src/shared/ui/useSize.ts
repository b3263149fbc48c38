import { type RefObject, useLayoutEffect, useState } from "react";

function useMeasure(element: RefObject<HTMLElement | null>, read: (element: HTMLElement) => number): number {
  const [size, setSize] = useState(0);
  useLayoutEffect(() => {
    const target = element.current;
    if (!target) return;
    const measure = () => setSize(read(target));
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(target);
    return () => observer.disconnect();
  }, [element, read]);
  return size;
}

const innerWidth = (element: HTMLElement) => element.clientWidth;
const innerHeight = (element: HTMLElement) => element.clientHeight;

/** The inner width of an element, kept up to date; 0 until it is laid out. */
export const useWidth = (element: RefObject<HTMLElement | null>) => useMeasure(element, innerWidth);

/** The inner height of an element, likewise. */
export const useHeight = (element: RefObject<HTMLElement | null>) => useMeasure(element, innerHeight);
