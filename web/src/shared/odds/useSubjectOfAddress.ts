import { useEffect } from "react";
import { useSearchParams } from "react-router";
import { useOddsStore } from "./oddsStore";

/** Where the address names a row, as when one comes from a grid, its finish is looked at. */
export function useSubjectOfAddress(project: string) {
  const [address, setAddress] = useSearchParams();
  const of = address.get("of");
  const look = useOddsStore((state) => state.look);
  useEffect(() => {
    if (of === null) return;
    look(project, { what: "finish", of });
    setAddress(
      (now) => {
        now.delete("of");
        return now;
      },
      { replace: true },
    );
  }, [of, project, look, setAddress]);
}
