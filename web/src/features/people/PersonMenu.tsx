import { IconButton, Menu, Portal } from "@chakra-ui/react";
import { CircleUserRound } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { useMe, useSignOut } from "../../shared/api/people";
import { useInbox } from "../../shared/api/together";
import { queryClient } from "../../shared/api/queryClient";
import { lazily } from "../../shared/ui/lazily";

const InboxDialog = lazily(() => import("./InboxDialog"), "InboxDialog");
const MembersDialog = lazily(() => import("./MembersDialog"), "MembersDialog");

/** Who one is, and what has to do with people. @param projectId where a project is open */
export function PersonMenu({ projectId }: { projectId?: string }) {
  const me = useMe().data;
  const signOut = useSignOut();
  const navigate = useNavigate();
  const [members, setMembers] = useState(false);
  const [inbox, setInbox] = useState(false);
  const unread = useInbox(!!me?.id).data?.filter((one) => !one.read).length ?? 0;
  if (!me?.signedIn) return null;
  const called = me.name ?? "You, alone on this machine";
  const label = unread > 0 ? `${called}: ${unread} waiting for you` : called;
  return (
    <>
      <Menu.Root positioning={{ placement: "bottom-end" }}>
        <Menu.Trigger asChild>
          <IconButton
            size="sm"
            variant="ghost"
            aria-label={label}
            title={label}
            color={unread > 0 ? "action" : "softInk"}
          >
            <CircleUserRound />
          </IconButton>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content bg="panel" minW="56">
              {projectId && !me.alone && (
                <Menu.Item value="members" onSelect={() => setMembers(true)}>
                  Who takes part in this project…
                </Menu.Item>
              )}
              {!me.alone && (
                <Menu.Item value="inbox" onSelect={() => setInbox(true)}>
                  What waits for you{unread > 0 && ` (${unread})`}
                </Menu.Item>
              )}
              {!me.alone && (
                <Menu.Item value="account" onSelect={() => void navigate("/account")}>
                  Your account
                </Menu.Item>
              )}
              {me.administrator && (
                <Menu.Item value="people" onSelect={() => void navigate("/people")}>
                  {me.alone ? "Work with others here…" : "People of this server"}
                </Menu.Item>
              )}
              {me.administrator && (
                <Menu.Item value="machines" onSelect={() => void navigate("/machines")}>
                  Machines that work here
                </Menu.Item>
              )}
              {!me.alone && (
                <Menu.Item
                  value="out"
                  onSelect={() => signOut.mutate(undefined, { onSettled: () => leave() })}
                >
                  Sign out
                </Menu.Item>
              )}
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {inbox && <InboxDialog onClose={() => setInbox(false)} />}
      {members && projectId && <MembersDialog project={projectId} onClose={() => setMembers(false)} />}
    </>
  );
}

/** Forgets what was read in somebody's name. */
function leave() {
  queryClient.clear();
  location.assign("/projects");
}
