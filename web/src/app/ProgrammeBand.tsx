import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { useProgramme } from "../shared/api/programmes";

const WayLink = chakra(Link);

/** Says on every stage that a programme is looked at, of which projects, and where those are edited. */
export function ProgrammeBand({ programme }: { programme: string }) {
  const view = useProgramme(programme).data;
  if (!view) return null;
  return (
    <Box px="4" py="1" bg="actionTint" fontSize="13px" role="note" aria-label="A programme">
      A programme, simulated in the same futures: what its rows say is edited in its projects,{" "}
      {view.projects.map((one, i) => (
        <span key={one.code}>
          {i > 0 && ", "}
          {one.code}{" "}
          {one.project ? (
            <WayLink to={`/projects/${one.project}/plan`} color="action" textDecoration="underline">
              {one.name}
            </WayLink>
          ) : (
            (one.name ?? "a project that you may not read")
          )}
        </span>
      ))}
      .{" "}
      <WayLink to="/projects" color="action" textDecoration="underline">
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
