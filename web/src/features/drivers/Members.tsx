import { Box } from "@chakra-ui/react";
import type { Measure } from "./driversStore";
import type { Goal } from "./goal";
import { type InputRow } from "./measures";
import { valueText } from "./measureWords";
import { PartLine } from "./PartLine";

const MOST = 16;

interface Props {
  members: InputRow[];
  measure: Measure;
  goal: Goal;
  goOf: (row: InputRow) => (() => void) | undefined;
}

/** The inputs that belong together, the largest first; a click leads to the thing itself. */
export function Members({ members, measure, goal, goOf }: Props) {
  const most = Math.max(...members.map(({ value }) => Math.abs(value ?? 0)), 1e-9);
  return (
    <Box>
      {members.slice(0, MOST).map((row) => (
        <PartLine
          key={row.id}
          mark={row.mark}
          name={row.name}
          text={valueText(row, measure, goal)}
          share={Math.abs(row.value ?? 0) / most}
          go={goOf(row)}
        />
      ))}
      {members.length > MOST && (
        <Box color="softInk">{members.length - MOST} more: open the row to see them all.</Box>
      )}
    </Box>
  );
}
