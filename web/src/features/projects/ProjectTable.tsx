import { chakra, Table } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import type { ProjectSummary } from "../../shared/api/client";
import type { Shelf } from "../../shared/api/projects";
import { formatDay, formatMoment } from "../../shared/format/dates";
import { formatWhole } from "../../shared/format/numbers";
import { ProjectMenu } from "./ProjectMenu";
import { Renaming } from "./Renaming";

const ProjectLink = chakra(Link);
const HEADERS = ["Project", "Activities", "Planned finish", "By the last run", "Target", "Last edited", ""];

/** The projects with what matters of each. */
export function ProjectTable({ projects, shelf }: { projects: ProjectSummary[]; shelf: Shelf }) {
  const [renaming, setRenaming] = useState<string>();
  return (
    <Table.Root size="sm">
      <Table.Header>
        <Table.Row bg="transparent">
          {HEADERS.map((header) => (
            <Table.ColumnHeader
              key={header}
              color="softInk"
              textAlign={header === "Activities" ? "right" : undefined}
            >
              {header}
            </Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {projects.map(({ project, finish, kept, activities }) => (
          <Table.Row key={project.id} bg="transparent" borderColor="line" data-project={project.name}>
            <Table.Cell>
              {renaming === project.id ? (
                <Renaming project={project} onDone={() => setRenaming(undefined)} />
              ) : (
                <ProjectLink to={`/projects/${project.id}/plan`} fontWeight="600" color="action">
                  {project.name}
                </ProjectLink>
              )}
            </Table.Cell>
            <Table.Cell textAlign="right">{formatWhole(activities)}</Table.Cell>
            <Table.Cell>{activities > 0 ? formatDay(finish) : "nothing planned yet"}</Table.Cell>
            <Table.Cell title={kept ? "By the last recorded run" : undefined}>
              {kept ? `P${kept.level} ${formatDay(kept.finish)}` : "no run recorded"}
            </Table.Cell>
            <Table.Cell>{project.targetFinish ? formatDay(project.targetFinish) : "none set"}</Table.Cell>
            <Table.Cell>{formatMoment(project.editedAt)}</Table.Cell>
            <Table.Cell textAlign="right">
              <ProjectMenu project={project} shelf={shelf} onRename={() => setRenaming(project.id)} />
            </Table.Cell>
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
  );
}
