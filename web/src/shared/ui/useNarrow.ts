import { useCallback, useSyncExternalStore } from "react";

const BARS = 1150;
const queries = new Map<number, MediaQueryList | undefined>();

function narrow(below: number): MediaQueryList | undefined {
  if (!queries.has(below)) queries.set(below, globalThis.matchMedia?.(`(max-width: ${below}px)`));
  return queries.get(below);
}

/** Whether the window is too narrow for something; where nothing is said, for bars to show all they have side by side. */
export function useNarrow(below = BARS): boolean {
  const subscribe = useCallback(
    (tell: () => void) => {
      narrow(below)?.addEventListener("change", tell);
      return () => narrow(below)?.removeEventListener("change", tell);
    },
    [below],
  );
  return useSyncExternalStore(subscribe, () => narrow(below)?.matches ?? false);
}
