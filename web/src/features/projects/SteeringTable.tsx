import { Box, chakra, Flex, Table } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import type { ProjectSummary, StandingView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { formatChance, formatSigned } from "../../shared/format/numbers";
import { Input } from "../../shared/ui/Input";
import { useNarrow } from "../../shared/ui/useNarrow";
import { ProjectMenu } from "./ProjectMenu";
import { CostDrawing, FinishDrawing } from "./ReachDrawing";
import { Renaming } from "./Renaming";
import {
  type Axis,
  costAxis,
  drift,
  finishAxis,
  named,
  sorted,
  type SteeringRow,
  steeringRows,
  type SteeringSort,
  steeringSentence,
  ticks,
} from "./steering";

const ProjectLink = chakra(Link);
const Plain = chakra("button");
/** From so many lines on one looks for a project by its name. */
const MANY = 8;
const WIDE = { finish: 300, cost: 170 };
/** In a narrow window finishes take less room, and drivers and costs none. */
const NARROW = { finish: 190, cost: 0 };

const SORTS: { by: SteeringSort; label: string; right?: boolean }[] = [
  { by: "name", label: "Project" },
  { by: "level", label: "Finish", right: true },
  { by: "chance", label: "Target", right: true },
  { by: "drift", label: "Drift", right: true },
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
  const [wanted, setWanted] = useState("");
  const all = sorted(steeringRows(projects, standings), sort);
  const sentence = steeringSentence(all);
  const rows = named(all, wanted);
  const finish = finishAxis(rows);
  const cost = costAxis(rows);
  return (
    <>
      <Flex gap="4" mb="4" align="baseline">
        <Box flex="1" fontSize="19px" fontWeight="650" data-testid="steering">
          {sentence}
        </Box>
        {all.length > MANY && (
          <Input
            aria-label="Find a project"
            placeholder="Find a project"
            width="180px"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
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
            <Line
              key={row.key}
              row={row}
              finish={finish}
              cost={cost}
              widths={widths}
              renaming={renaming === row.key}
              onRename={setRenaming}
            />
          ))}
        </Table.Body>
      </Table.Root>
      <Box color="softInk" fontSize="12.5px" mt="2">
        Mist from P5 to P95; short stroke P50, long stroke the level of confidence; dot the plan, flag the
        target. Cost: P10 to P90, stroke the level, upright line the budget, dotted the plan where there is
        none.
      </Box>
    </>
  );
}

const countedFindings = (count: number) => (count === 1 ? "1 finding" : `${count} findings`);

interface LineProps {
  row: SteeringRow;
  finish: Axis;
  cost: Axis;
  widths: typeof WIDE;
  renaming: boolean;
  onRename: (key: string | undefined) => void;
}

function Line({ row, finish, cost, widths, renaming, onRename }: LineProps) {
  const { summary, standing, code } = row;
  const project = summary?.project;
  const moved = drift(row);
  const empty = summary?.activities === 0;
  return (
    <Table.Row
      bg={project?.programme ? "actionTint" : "transparent"}
      borderColor="line"
      data-project={row.name}
      data-within={row.programme && code !== undefined ? row.programme : undefined}
      css={{ "& td": { py: "1" } }}
    >
      <Table.Cell pl={code === undefined ? "2" : "7"} minW="150px">
        {renaming && project ? (
          <Renaming project={project} onDone={() => onRename(undefined)} />
        ) : project ? (
          <ProjectLink
            to={`/projects/${project.id}/plan`}
            fontWeight={code === undefined ? "600" : "400"}
            color="action"
          >
            {row.name}
          </ProjectLink>
        ) : (
          <Box as="span" color="softInk">
            {row.name}
          </Box>
        )}
        <Box as="span" color="softInk" ml="2" fontSize="12px">
          {code}
          {standing && standing.findings > 0 && code === undefined && countedFindings(standing.findings)}
        </Box>
      </Table.Cell>
      <Table.Cell textAlign="right" whiteSpace="nowrap" aria-busy={row.pending}>
        {empty ? (
          "nothing planned yet"
        ) : standing ? (
          <Box as="span" color={row.pending ? "softInk" : undefined}>
            P{standing.confidence} {formatDay(standing.finish.level)}
          </Box>
        ) : (
          <Box as="span" color="softInk">
            {row.problem ?? (row.pending ? "is worked out" : "")}
          </Box>
        )}
      </Table.Cell>
      <Table.Cell textAlign="right" fontWeight="650">
        {standing?.finish.chance !== undefined ? formatChance(standing.finish.chance) : ""}
      </Table.Cell>
      <Table.Cell
        textAlign="right"
        color="softInk"
        whiteSpace="nowrap"
        title={moved === undefined ? undefined : "Since the last recorded run"}
      >
        {moved === undefined ? "" : `${formatSigned(moved)} d`}
      </Table.Cell>
      {widths.cost > 0 && (
        <Table.Cell color="softInk" maxW="200px" truncate title={standing?.driver}>
          {standing?.driver ?? ""}
        </Table.Cell>
      )}
      <Table.Cell p="0">
        {standing && !empty && <FinishDrawing standing={standing} axis={finish} width={widths.finish} />}
      </Table.Cell>
      {widths.cost > 0 && (
        <Table.Cell>
          {standing && !empty && <CostDrawing standing={standing} axis={cost} width={widths.cost} />}
        </Table.Cell>
      )}
      <Table.Cell textAlign="right">
        {project && <ProjectMenu project={project} shelf="open" onRename={() => onRename(row.key)} />}
      </Table.Cell>
    </Table.Row>
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
