import { Box, chakra, Table } from "@chakra-ui/react";
import { Link } from "react-router";
import type { MilestoneReach } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { formatChance, formatSigned } from "../../shared/format/numbers";
import { ProjectMenu } from "./ProjectMenu";
import { CostDrawing, FinishDrawing } from "./ReachDrawing";
import { Renaming } from "./Renaming";
import { type Axis } from "./axes";
import { confirmedWords, drift, type SteeringRow } from "./steering";

const ProjectLink = chakra(Link);
const Plain = chakra("button");

const countedFindings = (count: number) => (count === 1 ? "1 finding" : `${count} findings`);

interface LineProps {
  row: SteeringRow;
  finish: Axis;
  cost: Axis;
  /** Of the drawings; a cost without width is left out, with its driver. */
  widths: { finish: number; cost: number };
  open: boolean;
  onOpen: (key: string) => void;
  renaming: boolean;
  onRename: (key: string | undefined) => void;
}

/** A project or programme; opened, with its milestones. */
export function SteeringLine({ row, finish, cost, widths, open, onOpen, renaming, onRename }: LineProps) {
  const { summary, standing, code } = row;
  const project = summary?.project;
  const moved = drift(row);
  const empty = summary?.activities === 0;
  const milestones = standing?.milestones ?? [];
  const confirmed = confirmedWords(row);
  return (
    <>
      <Table.Row
        bg={project?.programme ? "actionTint" : "transparent"}
        borderColor="line"
        data-project={row.name}
        data-within={row.programme && code !== undefined ? row.programme : undefined}
        css={{ "& td": { py: "1" } }}
      >
        <Table.Cell pl={code === undefined ? "2" : "7"} minW="150px">
          {milestones.length > 0 && (
            <Plain
              aria-expanded={open}
              aria-label={`Milestones of ${row.name}`}
              title="Milestones"
              width="24px"
              height="24px"
              ml="-24px"
              color="softInk"
              onClick={() => onOpen(row.key)}
            >
              {open ? "⌄" : "›"}
            </Plain>
          )}
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
            {confirmed && (
              <Box as="span" ml="2" title={confirmed.long}>
                {confirmed.short}
              </Box>
            )}
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
          {standing && !empty && (
            <FinishDrawing
              finish={standing.finish}
              confidence={standing.confidence}
              axis={finish}
              width={widths.finish}
            />
          )}
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
      {open &&
        standing &&
        milestones.map((one, i) => (
          <MilestoneLine
            key={i}
            milestone={one}
            confidence={standing.confidence}
            inset={code === undefined ? "7" : "12"}
            finish={finish}
            widths={widths}
          />
        ))}
    </>
  );
}

interface MilestoneProps {
  milestone: MilestoneReach;
  confidence: number;
  inset: string;
  finish: Axis;
  widths: { finish: number; cost: number };
}

function MilestoneLine({ milestone, confidence, inset, finish, widths }: MilestoneProps) {
  return (
    <Table.Row
      bg="transparent"
      borderColor="line"
      data-milestone={milestone.name}
      css={{ "& td": { py: "0" } }}
    >
      <Table.Cell pl={inset} color="softInk">
        {milestone.name}
      </Table.Cell>
      <Table.Cell textAlign="right" whiteSpace="nowrap" color="softInk">
        P{confidence} {formatDay(milestone.finish.level)}
      </Table.Cell>
      <Table.Cell colSpan={widths.cost > 0 ? 3 : 2} />
      <Table.Cell p="0">
        <FinishDrawing
          finish={milestone.finish}
          confidence={confidence}
          axis={finish}
          width={widths.finish}
          slim
        />
      </Table.Cell>
      <Table.Cell colSpan={widths.cost > 0 ? 2 : 1} />
    </Table.Row>
  );
}
