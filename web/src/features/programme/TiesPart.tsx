import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { useLocation } from "react-router";
import type { ProjectView } from "../../shared/api/client";
import {
  type Tie,
  tiesPlace,
  useProgramme,
  useTakeOut,
  useTieWorths,
  useUntie,
} from "../../shared/api/programmes";
import { useMe } from "../../shared/api/people";
import { tellRefusal } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";
import { useBroughtIntoView } from "../../shared/ui/useBroughtIntoView";
import { LettingOut } from "./LettingOut";
import { TakeInDialog } from "./TakeInDialog";
import { PickerPopover } from "../../shared/ui/PickerPopover";
import { FEW, memberPicks } from "./memberPicks";
import { TieDialog } from "./TieDialog";
import { rateSaid, tieSaid, worthSaid } from "./tieWords";

const Plain = chakra("button");
const FileLink = chakra("a");

/** What ties the projects of a programme, what each tie costs, and the ways to change what it consists of. */
export function TiesPart({ project }: { project: ProjectView }) {
  const programme = useProgramme(project.id);
  const view = programme.data;
  const worths = useTieWorths(project.id, `${project.revision} ${view?.ties.length ?? 0}`);
  const untie = useUntie(project.id);
  const takeOut = useTakeOut(project.id);
  const me = useMe().data;
  const [dialog, setDialog] = useState<"tie" | "take">();
  const [today] = useState(Date.now);
  const box = useRef<HTMLDivElement>(null);
  const asked = useLocation().hash === `#${tiesPlace(project.id)}`;
  const there = view !== undefined;
  useBroughtIntoView(box, asked && there);
  if (!view) return null;
  const out = ({ project: one }: (typeof view.projects)[number]) => one && takeOut.mutate(one, tellRefusal);
  const closed = view.projects.some((one) => one.project === undefined);
  return (
    <Box ref={box} as="section" aria-label={`What ties ${view.name}`} mt="8" data-programme={view.name}>
      <Box as="h2" fontSize="16px" fontWeight="650" mb="2">
        What ties {view.name}
      </Box>
      {view.stuck && (
        <Refusal mb="2">It stands as it stood before an edit of one of its projects: {view.stuck}.</Refusal>
      )}
      {closed && (
        <Box color="softInk">You may not read all of its projects, so what ties them is not told to you.</Box>
      )}
      {!closed && view.ties.length === 0 && (
        <Box color="softInk">Nothing yet: each project goes its own way, in the same futures.</Box>
      )}
      {view.ties.map((one) => {
        const worth = worths.data?.find(({ tie }) => tie === one.id);
        return (
          <Flex key={one.id} gap="4" py="1.5" borderBottomWidth="1px" borderColor="line" data-tie={one.id}>
            <Box flex="1">{tieSaid(one.definition as Tie, view.names)}</Box>
            <Box flex="1" color="softInk" data-testid="worth">
              {one.idle
                ? `binds nothing for now: ${one.idle}`
                : worth
                  ? worthSaid(worth, view.projects, project.confidence)
                  : worths.isError
                    ? worths.error.message
                    : "is worked out"}
            </Box>
            <Plain
              color="action"
              aria-label={`Untie ${one.id}`}
              onClick={() => untie.mutate(one.id, tellRefusal)}
            >
              Untie
            </Plain>
          </Flex>
        );
      })}
      {view.projects.map((one) => {
        const rate = rateSaid(one, view.currency, today);
        return (
          rate && (
            <Box key={one.code} mt="2" color="softInk" data-rate={one.code}>
              {rate}
            </Box>
          )
        );
      })}
      {!closed && (
        <Flex gap="4" mt="3" align="center" wrap="wrap">
          <Button size="xs" variant="outline" onClick={() => setDialog("tie")}>
            Tie two projects
          </Button>
          <Button size="xs" variant="outline" onClick={() => setDialog("take")}>
            Take a project in
          </Button>
          <FileLink href={`/api/projects/${project.id}/programme/file`} color="action" fontSize="12.5px">
            Take it out as a file
          </FileLink>
          {view.projects.length > FEW ? (
            <PickerPopover
              title="Projects of this programme"
              label="Which project to take out"
              placeholder="Code or name"
              find={memberPicks(view.projects)}
              onChoose={({ member }) => out(member)}
            >
              <Plain color="action" fontSize="12.5px">
                Take a project out
              </Plain>
            </PickerPopover>
          ) : (
            view.projects.length > 1 &&
            view.projects.map((one) => (
              <Plain key={one.code} color="action" fontSize="12.5px" onClick={() => out(one)}>
                Take {one.code} out
              </Plain>
            ))
          )}
        </Flex>
      )}
      {!me?.alone && <LettingOut programme={view} />}
      {dialog === "tie" && (
        <TieDialog
          programme={project.id}
          taken={view.ties.map(({ id }) => id)}
          onClose={() => setDialog(undefined)}
        />
      )}
      {dialog === "take" && <TakeInDialog programme={view} onClose={() => setDialog(undefined)} />}
    </Box>
  );
}
