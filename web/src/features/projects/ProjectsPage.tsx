import { Box, Button, chakra, Flex, Table } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { ApiError } from "../../shared/api/client";
import { useBringIn, useProjects } from "../../shared/api/projects";
import { formatDay, formatMoment } from "../../shared/format/dates";
import { Notice } from "../../shared/ui/Notice";
import { Problems } from "./Problems";
import { ScheduleImport } from "./ScheduleImport";

const FileInput = chakra("input");
const ProjectLink = chakra(Link);

/** All projects, and the way to bring one in from its file. */
export function ProjectsPage() {
  const projects = useProjects();
  const bringIn = useBringIn();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [schedule, setSchedule] = useState<File | undefined>(undefined);
  const choose = (file: File | undefined) => {
    if (!file) return;
    if (/\.(csv|tsv|txt)$/i.test(file.name)) {
      setSchedule(file);
    } else {
      bringIn.mutate(file, { onSuccess: (project) => void navigate(`/projects/${project.id}/plan`) });
    }
  };
  if (schedule) return <ScheduleImport file={schedule} leave={() => setSchedule(undefined)} />;

  return (
    <Box maxW="860px" mx="auto" px="6" py="10">
      <Flex align="baseline" gap="6" mb="6">
        <Box as="h1" fontSize="24px" fontWeight="650">
          Projects
        </Box>
        <Box flex="1" />
        <Button
          size="sm"
          bg="action"
          color="onAction"
          loading={bringIn.isPending}
          onClick={() => input.current?.click()}
        >
          Bring in a file
        </Button>
        <FileInput
          ref={input}
          type="file"
          aria-label="Project file or schedule"
          accept=".json,.csv,.tsv,.txt,application/json,text/csv"
          display="none"
          onChange={(event) => {
            choose(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      </Flex>
      {bringIn.error && (
        <Box mb="6">
          <Problems
            title="The file was not taken over; nothing was kept of it."
            problems={
              bringIn.error instanceof ApiError && bringIn.error.problems.length > 0
                ? bringIn.error.problems.map((p) => ({ where: p.pointer, message: p.message }))
                : [{ where: "", message: bringIn.error.message }]
            }
          />
        </Box>
      )}
      {projects.isPending && <Notice>Reading the list of projects…</Notice>}
      {projects.isError && (
        <Notice alert retry={() => void projects.refetch()}>
          The projects cannot be shown: {projects.error.message}
        </Notice>
      )}
      {projects.data?.length === 0 && (
        <Notice>
          There is no project yet. Bring in a project file, whose name ends in .tychon.json, or a schedule
          that a planner's tool has exported as CSV.
        </Notice>
      )}
      {projects.data && projects.data.length > 0 && (
        <Table.Root size="sm">
          <Table.Header>
            <Table.Row bg="transparent">
              <Table.ColumnHeader color="softInk">Project</Table.ColumnHeader>
              <Table.ColumnHeader color="softInk">Starts</Table.ColumnHeader>
              <Table.ColumnHeader color="softInk">Target finish</Table.ColumnHeader>
              <Table.ColumnHeader color="softInk">Last edited</Table.ColumnHeader>
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {projects.data.map((project) => (
              <Table.Row key={project.id} bg="transparent" borderColor="line">
                <Table.Cell>
                  <ProjectLink to={`/projects/${project.id}/plan`} fontWeight="600" color="action">
                    {project.name}
                  </ProjectLink>
                </Table.Cell>
                <Table.Cell>{formatDay(project.start)}</Table.Cell>
                <Table.Cell>{project.targetFinish ? formatDay(project.targetFinish) : "none set"}</Table.Cell>
                <Table.Cell>{formatMoment(project.editedAt)}</Table.Cell>
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      )}
    </Box>
  );
}
