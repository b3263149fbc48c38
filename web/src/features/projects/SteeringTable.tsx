import { Box, chakra, Flex, Table } from "@chakra-ui/react";
import { useState } from "react";
import type { ProjectSummary, StandingView } from "../../shared/api/client";
import { Input } from "../../shared/ui/Input";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { useNarrow } from "../../shared/ui/useNarrow";
import { SteeringLine } from "./SteeringLine";
import { type Axis, costAxis, finishAxis, ticks } from "./axes";
import {
  type Grouping,
  named,
  sorted,
  steeringRows,
  type SteeringSort,
  steeringSentence,
  type Wanted,
  wantedRows,
} from "./steering";

const Plain = chakra("button");
/** From so many lines on one looks for a project by its name, */
const MANY = 8;
/** and from so many on for those of a kind. */
const SOME = 3;
const WIDE = { finish: 300, cost: 170 };
/** In a narrow window finishes take less room, and drivers and costs none. */
const NARROW = { finish: 190, cost: 0 };

const SORTS: { by: SteeringSort; label: string; right?: boolean }[] = [
  { by: "name", label: "Project" },
  { by: "level", label: "Finish", right: true },
  { by: "chance", label: "Target", right: true },
  { by: "drift", label: "Drift", right: true },
];

const WANTED: { value: Wanted; label: string }[] = [
  { value: "all", label: "All" },
  { value: "unlikely", label: "Less than an even chance" },
  { value: "later", label: "Later than the last run" },
  { value: "findings", label: "With open findings" },
];

const GROUPINGS: { value: Grouping; label: string }[] = [
  { value: "programme", label: "By programme" },
  { value: "none", label: "Each by itself" },
];

interface Props {
  projects: ProjectSummary[];
  standings: readonly StandingView[];
}

/** All projects at hand, by which one can steer: when each ends and what it costs, on common axes, and what drives it. */
export function SteeringTable({ projects, standings }: Props) {
  const [sort, setSort] = useState<SteeringSort>();
  const [renaming, setRenaming] = useState<string>();
  const narrow = useNarrow();
  const widths = narrow ? NARROW : WIDE;
  const [name, setName] = useState("");
  const [wanted, setWanted] = useState<Wanted>("all");
  const [grouping, setGrouping] = useState<Grouping>("programme");
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const toggle = (key: string) => {
    const others = new Set(open);
    if (!others.delete(key)) others.add(key);
    setOpen(others);
  };
  const all = sorted(steeringRows(projects, standings, grouping), sort);
  const sentence = steeringSentence(all);
  const rows = named(wantedRows(all, wanted), name);
  const finish = finishAxis(rows, open);
  const cost = costAxis(rows);
  return (
    <>
      <Flex gap="4" mb="4" align="baseline">
        <Box flex="1" fontSize="19px" fontWeight="650" data-testid="steering">
          {sentence}
        </Box>
        {all.some(({ summary }) => summary?.project.programme) && (
          <LabelledSelect label="Grouping" value={grouping} choices={GROUPINGS} onPick={setGrouping} />
        )}
        {(all.length >= SOME || wanted !== "all") && (
          <LabelledSelect label="Show" value={wanted} choices={WANTED} onPick={setWanted} />
        )}
        {all.length > MANY && (
          <Input
            aria-label="Find a project"
            placeholder="Find a project"
            width="180px"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        )}
      </Flex>
      <Table.Root size="sm">
        <Table.Header>
          <Table.Row bg="transparent" verticalAlign="bottom">
            {SORTS.map(({ by, label, right }) => (
              <Table.ColumnHeader
                key={by}
                color="softInk"
                textAlign={right ? "right" : undefined}
                aria-sort={sort === by ? (by === "name" ? "ascending" : "descending") : "none"}
              >
                <Plain
                  onClick={() => setSort(sort === by ? undefined : by)}
                  fontWeight={sort === by ? "650" : "inherit"}
                >
                  {label}
                </Plain>
              </Table.ColumnHeader>
            ))}
            {!narrow && <Table.ColumnHeader color="softInk">Driven most by</Table.ColumnHeader>}
            <Table.ColumnHeader color="softInk" p="0" width={`${widths.finish}px`}>
              <Years axis={finish} width={widths.finish} />
            </Table.ColumnHeader>
            {!narrow && <Table.ColumnHeader color="softInk">Cost against budget</Table.ColumnHeader>}
            <Table.ColumnHeader aria-label="More" />
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {rows.map((row) => (
            <SteeringLine
              key={row.key}
              row={row}
              finish={finish}
              cost={cost}
              widths={widths}
              open={open.has(row.key)}
              onOpen={toggle}
              renaming={renaming === row.key}
              onRename={setRenaming}
            />
          ))}
        </Table.Body>
      </Table.Root>
      {rows.length === 0 && (
        <Box py="3" color="softInk">
          None of them.
        </Box>
      )}
      <Box color="softInk" fontSize="12.5px" mt="2">
        Mist from P5 to P95; short stroke P50, long stroke the level of confidence; dot the plan, flag the
        target. Cost: P10 to P90, stroke the level, upright line the budget, dotted the plan where there is
        none.
      </Box>
    </>
  );
}

/** The common axis, marked at years or quarters. */
function Years({ axis, width }: { axis: Axis; width: number }) {
  const x = (at: number) => ((at - axis.from) / (axis.to - axis.from)) * width;
  return (
    <Flex position="relative" height="34px" width={`${width}px`} fontWeight="400">
      <Box position="absolute" left="0" top="0" whiteSpace="nowrap">
        Finish: plan, odds, target
      </Box>
      {ticks(axis).map(({ at, label }) => (
        <Box
          key={at}
          position="absolute"
          left={`${x(at)}px`}
          top="17px"
          pl="1"
          fontSize="12px"
          whiteSpace="nowrap"
          borderLeftWidth="1px"
          borderColor="strongLine"
        >
          {x(at) < width - 52 ? label : ""}
        </Box>
      ))}
    </Flex>
  );
}
