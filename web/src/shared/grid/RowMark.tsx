import { nameOf, usePresence } from "../api/presence";

/** Who else is at a row, or has just edited it. */
export function RowMark({ row }: { row: string }) {
  const edited = usePresence((state) => state.edited[row]);
  const here = usePresence((state) => state.here.find((one) => one.row === row));
  if (!edited && !here) return null;
  return (
    <span className={edited ? "mark fresh" : "mark"} title={here && `${nameOf(here)} is here`}>
      {edited}
    </span>
  );
}
