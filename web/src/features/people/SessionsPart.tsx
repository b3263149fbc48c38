import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useEndSession, useEndSessions, useSessions } from "../../shared/api/people";
import { formatMoment } from "../../shared/format/dates";
import { browserName } from "./browserName";
import { Part } from "../../shared/ui/PageFrame";
import { tellRefusal } from "../../shared/ui/notify";

const Plain = chakra("button");

/** Where one is signed in. */
export function SessionsPart() {
  const sessions = useSessions();
  const end = useEndSession();
  const endAll = useEndSessions();
  return (
    <Part title="Where you are signed in">
      {sessions.data?.map((session) => (
        <Flex
          key={session.id}
          gap="4"
          py="1.5"
          borderBottomWidth="1px"
          borderColor="line"
          data-session={session.id}
        >
          <Box flex="1">
            {browserName(session.browser)}
            {session.here && " (here)"}
          </Box>
          <Box color="softInk">from {session.address}</Box>
          <Box color="softInk">since {formatMoment(session.since)}</Box>
          <Box color="softInk">last used {formatMoment(session.used)}</Box>
          {!session.here && (
            <Plain color="action" onClick={() => end.mutate(session.id, tellRefusal)}>
              Sign out there
            </Plain>
          )}
        </Flex>
      ))}
      <Button
        size="sm"
        mt="4"
        variant="outline"
        loading={endAll.isPending}
        onClick={() =>
          endAll.mutate(undefined, { ...tellRefusal, onSuccess: () => location.assign("/projects") })
        }
      >
        Sign out everywhere
      </Button>
    </Part>
  );
}
