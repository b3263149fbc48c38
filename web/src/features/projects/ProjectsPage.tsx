import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { ApiError, type ProjectView } from "../../shared/api/client";
import { useStandings } from "../../shared/api/programmes";
import { type Shelf, useBringIn, useProjects } from "../../shared/api/projects";
import { isSchedule } from "../../shared/api/schedules";
import { Problems } from "../../shared/schedule/Problems";
import { Choice } from "../../shared/ui/Choice";
import { Notice } from "../../shared/ui/Notice";
import { NewProgrammeDialog } from "../programme/NewProgrammeDialog";
import { TiesPart } from "../programme/TiesPart";
import { NewProjectMenu } from "./NewProjectMenu";
import { ProjectTable } from "./ProjectTable";
import { ScheduleImport } from "./ScheduleImport";
import { SteeringTable } from "./SteeringTable";

const FileInput = chakra("input");
const SHELVES: { value: Shelf; label: string }[] = [
  { value: "open", label: "At hand" },
  { value: "archived", label: "Put away" },
  { value: "deleted", label: "Deleted" },
];
const EMPTY: Record<Shelf, string> = {
  open: "There is no project yet. Bring in a project file, whose name ends in .tychon.json, or a schedule that a planner's tool has exported as XLSX or CSV; or paste a table here.",
  archived: "Nothing is put away.",
  deleted: "Nothing was deleted in the last 30 days.",
};

/** All projects, and the ways to begin one: from a file, from a pasted table, blank, or from an example. */
export function ProjectsPage() {
  const [shelf, setShelf] = useState<Shelf>("open");
  const projects = useProjects(shelf);
  const bringIn = useBringIn();
  const standings = useStandings();
  const [programme, setProgramme] = useState(false);
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [schedule, setSchedule] = useState<File>();
  const go = (project: ProjectView) => void navigate(`/projects/${project.id}/plan`);
  const choose = (file: File | undefined) => {
    if (!file) return;
    if (isSchedule(file)) setSchedule(file);
    else bringIn.mutate(file, { onSuccess: go });
  };
  if (schedule) return <ScheduleImport file={schedule} leave={() => setSchedule(undefined)} />;

  return (
    // A table is pasted and files are dropped anywhere; a button does the same.
    // oxlint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <Box
      as="main"
      maxW="1320px"
      mx="auto"
      px="6"
      py="10"
      minH="100%"
      onPaste={(event) => {
        const text = event.clipboardData.getData("text/plain");
        if (event.target instanceof HTMLInputElement || !/[\t;,]/.test(text) || !text.includes("\n")) return;
        setSchedule(new File([text], "Pasted table.csv", { type: "text/csv" }));
      }}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        choose(event.dataTransfer.files[0]);
      }}
      tabIndex={-1}
      outline="none"
    >
      <Flex align="center" gap="4" mb="5">
        <Box as="h1" fontSize="24px" fontWeight="650">
          Projects
        </Box>
        <Choice label="Which projects" choices={SHELVES} value={shelf} onChange={setShelf} />
        <Box flex="1" />
        <Button
          size="sm"
          variant="outline"
          disabled={!projects.data?.some(({ project }) => !project.programme)}
          onClick={() => setProgramme(true)}
        >
          New programme
        </Button>
        <NewProjectMenu onMade={go} />
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
          accept=".json,.csv,.tsv,.txt,.xlsx,.xlsm,.xls,application/json,text/csv"
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
      {projects.data?.length === 0 && <Notice>{EMPTY[shelf]}</Notice>}
      {projects.data && projects.data.length > 0 && shelf !== "open" && (
        <ProjectTable projects={projects.data} shelf={shelf} />
      )}
      {projects.data && projects.data.length > 0 && shelf === "open" && (
        <SteeringTable projects={projects.data} standings={standings.data ?? []} />
      )}
      {shelf === "open" &&
        projects.data
          ?.filter(({ project }) => project.programme)
          .map(({ project }) => <TiesPart key={project.id} project={project} />)}
      {programme && <NewProgrammeDialog projects={projects.data ?? []} onClose={() => setProgramme(false)} />}
    </Box>
  );
}
