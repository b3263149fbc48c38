import { chakra } from "@chakra-ui/react";
import type { PlanView } from "../../shared/api/client";

const Select = chakra("select");

/** How deep each branch lies: those at the top at 1. */
function levels(plan: PlanView): Map<string, number> {
  const parents = new Map(plan.branches.map((branch) => [branch.id, branch.parent]));
  const level = (id: string): number => {
    const parent = parents.get(id);
    return parent ? level(parent) + 1 : 1;
  };
  return new Map(plan.branches.map((branch) => [branch.id, level(branch.id)]));
}

/** How many levels of branches there are. */
export const depthOf = (plan: PlanView) => Math.max(0, ...levels(plan).values());

/** The branches to be closed, so that nothing below a level is shown; none of them for all rows. */
export function closedBelow(plan: PlanView, level: number | undefined): string[] {
  return level === undefined ? [] : [...levels(plan)].filter(([, own]) => own >= level).map(([id]) => id);
}

interface Props {
  depth: number;
  onChoose: (level: number | undefined) => void;
}

/** Down to which level of the work breakdown rows are shown. */
export function LevelChoice({ depth, onChoose }: Props) {
  return (
    <Select
      aria-label="Rows shown"
      value=""
      height="28px"
      px="2"
      bg="panel"
      color="ink"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      onChange={(event) => onChoose(event.target.value === "all" ? undefined : Number(event.target.value))}
    >
      <option value="" disabled>
        Rows down to…
      </option>
      <option value="all">all activities</option>
      {Array.from({ length: depth }, (_, i) => (
        <option key={i} value={i + 1}>
          branches of level {i + 1}
        </option>
      ))}
    </Select>
  );
}
