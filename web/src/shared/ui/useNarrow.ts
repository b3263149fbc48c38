import { useSyncExternalStore } from "react";

const narrow = globalThis.matchMedia?.("(max-width: 1150px)");

/** Whether the window is too narrow for bars to show all they have side by side. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (tell) => {
      narrow?.addEventListener("change", tell);
      return () => narrow?.removeEventListener("change", tell);
    },
    () => narrow?.matches ?? false,
  );
}
