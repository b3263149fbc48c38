import { chakra, Flex } from "@chakra-ui/react";
import { useNavigate } from "react-router";
import { type Here, initialsOf, nameOf, usePresence } from "../shared/api/presence";
import { STAGES } from "./stages";

const Disc = chakra("button");
const MOST = 6;

/** Who else has the project open; a click leads to where they are. */
export function HereNow({ projectId }: { projectId: string }) {
  const here = usePresence((state) => state.here);
  const navigate = useNavigate();
  const people = [...new Map(here.map((one) => [one.person || one.window, one])).values()];
  if (people.length === 0) return null;
  return (
    <Flex as="ul" aria-label="Also here" align="center" gap="1" listStyleType="none">
      {people.slice(0, MOST).map((one) => (
        <li key={one.window}>
          <Disc
            aria-label={whereabouts(one)}
            title={whereabouts(one)}
            data-here={nameOf(one)}
            width="26px"
            height="26px"
            borderRadius="full"
            bg="actionTint"
            color="action"
            fontSize="11px"
            fontWeight="650"
            onClick={() =>
              one.stage &&
              void navigate(
                `/projects/${projectId}/${one.stage}${one.row ? `?row=${encodeURIComponent(one.row)}` : ""}`,
              )
            }
            // The letters stand for the name, which is read out in full.
            data-initials={initialsOf(one.name) || "+1"}
            css={{ "&::before": { content: "attr(data-initials)" } }}
          />
        </li>
      ))}
      {people.length > MOST && (
        <li title={people.slice(MOST).map(nameOf).join(", ")}>+{people.length - MOST}</li>
      )}
    </Flex>
  );
}

function whereabouts(one: Here): string {
  const stage = STAGES.find(({ path }) => path === one.stage)?.name;
  if (!stage) return `${nameOf(one)} is here`;
  return `${nameOf(one)} is in ${stage}${one.row ? `, at ${one.row}` : ""}`;
}
