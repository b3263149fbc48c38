import { Box, Button, chakra, Flex, Table } from "@chakra-ui/react";
import { useRef } from "react";
import { Link, useNavigate } from "react-router";
import { ApiError } from "../../shared/api/client";
import { useBringIn, useProjects } from "../../shared/api/projects";
import { formatDay, formatMoment } from "../../shared/format/dates";
import { Notice } from "../../shared/ui/Notice";

const FileInput = chakra("input");
const ProjectLink = chakra(Link);
const MOST_PROBLEMS = 50;

/** All projects, and the way to bring one in from its file. */
export function ProjectsPage() {
  const projects = useProjects();
  const bringIn = useBringIn();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const choose = (file: File | undefined) => {
    if (file) bringIn.mutate(file, { onSuccess: (project) => void navigate(`/projects/${project.id}/plan`) });
  };

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
          Bring in a project file
        </Button>
        <FileInput
          ref={input}
          type="file"
          aria-label="Project file"
          accept=".json,application/json"
          display="none"
          onChange={(event) => {
            choose(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      </Flex>
      {bringIn.error && <FileProblems error={bringIn.error} />}
      {projects.isPending && <Notice>Reading the list of projects…</Notice>}
      {projects.isError && (
        <Notice alert retry={() => void projects.refetch()}>
          The projects cannot be shown: {projects.error.message}
        </Notice>
      )}
      {projects.data?.length === 0 && (
        <Notice>
          There is no project yet. Bring in a project file, a name that ends in .tychon.json, to begin.
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

function FileProblems({ error }: { error: Error }) {
  const problems = error instanceof ApiError ? error.problems : [];
  return (
    <Box role="alert" mb="6" px="4" py="3" bg="riskTint" borderWidth="1px" borderColor="risk">
      <Box fontWeight="600">The file was not taken over; nothing was kept of it.</Box>
      {problems.length === 0 && <Box mt="1">{error.message}</Box>}
      <Box as="ul" mt="1" maxH="14rem" overflow="auto">
        {problems.slice(0, MOST_PROBLEMS).map((problem) => (
          <Box as="li" key={problem.pointer + problem.message}>
            {problem.pointer && <b>{problem.pointer} </b>}
            {problem.message}
          </Box>
        ))}
        {problems.length > MOST_PROBLEMS && <li>and {problems.length - MOST_PROBLEMS} more</li>}
      </Box>
    </Box>
  );
}
