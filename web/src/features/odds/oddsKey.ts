import type { OwnKeys } from "../../shared/grid/types";

/** Alt O in a list of activities shows the odds of the one that is selected. */
export const oddsKey =
  <R extends { id: string }, C>(onOdds: (activity: string) => void): OwnKeys<R, C> =>
  (event, { row }) => {
    if (!event.altKey || event.key.toLowerCase() !== "o" || !row) return false;
    onOdds(row.id);
    return true;
  };
