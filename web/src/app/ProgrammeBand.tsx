import { Box, chakra } from "@chakra-ui/react";
import { Link, useNavigate } from "react-router";
import type { ProgrammeView } from "../shared/api/client";
import { tiesPlace, useProgramme } from "../shared/api/programmes";
import { FEW, memberPicks, nameOfMember } from "../features/programme/memberPicks";
import { PickerPopover } from "../shared/ui/PickerPopover";

const WayLink = chakra(Link);
const Open = chakra("button");
const WAY = { color: "action", textDecoration: "underline" } as const;

type Member = ProgrammeView["projects"][number];

/** Says on every stage that a programme is looked at, of which projects, and where those are edited. */
export function ProgrammeBand({ programme }: { programme: string }) {
  const view = useProgramme(programme).data;
  if (!view) return null;
  return (
    <Box px="4" py="1" bg="actionTint" fontSize="13px" role="note" aria-label="A programme">
      A programme, simulated in the same futures: what its rows say is edited in its{" "}
      {view.projects.length > FEW ? (
        <Many projects={view.projects} />
      ) : (
        <>projects, {view.projects.map((one, i) => [i > 0 && ", ", <One key={one.code} project={one} />])}</>
      )}
      .{" "}
      <WayLink to={`/projects#${tiesPlace(programme)}`} {...WAY}>
        What ties them
      </WayLink>
      {view.stuck && (
        <Box as="span" color="risk" role="alert">
          {" "}
          It stands as before the last edit: {view.stuck}.
        </Box>
      )}
    </Box>
  );
}

function One({ project: one }: { project: Member }) {
  return (
    <span>
      {one.code}{" "}
      {one.project ? (
        <WayLink to={`/projects/${one.project}/plan`} {...WAY}>
          {one.name}
        </WayLink>
      ) : (
        nameOfMember(one)
      )}
    </span>
  );
}

/** Many of them, looked for by code or name. */
function Many({ projects }: { projects: Member[] }) {
  const navigate = useNavigate();
  return (
    <PickerPopover
      title="Projects of this programme"
      label="Look for a project"
      placeholder="Code or name"
      find={memberPicks(projects)}
      onChoose={({ member }) => member.project && void navigate(`/projects/${member.project}/plan`)}
    >
      <Open {...WAY} cursor="pointer">
        {projects.length} projects
      </Open>
    </PickerPopover>
  );
}
