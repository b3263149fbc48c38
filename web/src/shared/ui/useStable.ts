import { useCallback, useLayoutEffect, useRef } from "react";

/** The same function for as long as the component lives, which calls the newest one given. */
export function useStable<A extends unknown[], R>(newest: (...args: A) => R): (...args: A) => R {
  const latest = useRef(newest);
  useLayoutEffect(() => {
    latest.current = newest;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
