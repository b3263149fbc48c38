import { useEffect } from "react";
import { onRowsEdited } from "../api/edits";
import { useRowEdits } from "../api/rowEdits";

/** Wherever a duration is changed in this window, a range that was made for another one does not go unsaid. */
export function useOfferToScale(project: string) {
  const edits = useRowEdits(project);
  useEffect(
    () =>
      onRowsEdited((before, result) => {
        // What shapes are is not needed before somebody edits.
        void import("./scaleAlong").then(({ offerToScale }) => offerToScale(before, result, edits));
      }),
    [edits],
  );
}
