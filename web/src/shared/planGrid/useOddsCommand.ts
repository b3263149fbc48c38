import { useNavigate } from "react-router";
import { useGridStore, viewOf } from "../grid/gridStore";
import type { Command } from "../stage/commands";

/** The command that shows the odds of the selected row; none where no row is. */
export function useOddsCommand(project: string): Command[] {
  const navigate = useNavigate();
  const row = useGridStore((state) => viewOf(state, project).active?.row);
  return row
    ? [
        {
          id: "odds",
          label: `Odds of ${row}`,
          keys: "Alt O",
          run: () => void navigate(`/projects/${project}/odds?of=${encodeURIComponent(row)}`),
        },
      ]
    : [];
}
