import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Role } from "../../shared/api/client";
import {
  useLeaveProject,
  useMembers,
  useNames,
  usePutMember,
  useRemoveMember,
  useRole,
} from "../../shared/api/people";
import { TextField } from "../../shared/ui/Field";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { tellRefusal } from "../../shared/ui/notify";
import { WideDialog } from "../../shared/ui/WideDialog";
import { Entry } from "../../shared/ui/Entry";
import { ROLES, roleName } from "./roles";

const Plain = chakra("button");

/** What stands last in a line, so that what is before it stands below each other. */
const LAST = { minW: "64px", textAlign: "right" } as const;

/** Who takes part in a project, and as what. */
export function MembersDialog({ project, onClose }: { project: string; onClose: () => void }) {
  const members = useMembers(project);
  const owns = useRole(project) === "owner";
  const put = usePutMember(project);
  const remove = useRemoveMember(project);
  const leave = useLeaveProject(project);
  return (
    <WideDialog title="Who takes part" width="760px" onClose={onClose}>
      <Box flex="1">
        {members.data?.map((member) => (
          <Flex
            key={member.id}
            gap="4"
            py="2"
            align="center"
            borderBottomWidth="1px"
            borderColor="line"
            data-member={member.email}
          >
            <Box flex="1">
              <Box fontWeight="600">
                {member.name}
                {member.self && " (you)"}
              </Box>
              <Box color="softInk" fontSize="13px">
                {member.email}
              </Box>
            </Box>
            {owns && member.role === "risk-owner" && (
              <Box width="15rem">
                <TextField
                  label="In the register"
                  hint="The name that risks have as owner"
                  value={member.ownerName}
                  onHandIn={(ownerName) =>
                    put.mutateAsync({ email: member.email, role: member.role, ownerName }).then(
                      () => undefined,
                      (error: Error) => error.message,
                    )
                  }
                />
              </Box>
            )}
            {owns ? (
              <LabelledSelect
                label={`What ${member.name} is`}
                value={member.role}
                choices={ROLES}
                onPick={(role) => put.mutate({ email: member.email, role }, tellRefusal)}
              />
            ) : (
              <Box>{roleName(member.role)}</Box>
            )}
            {member.self ? (
              <Plain
                color="risk"
                {...LAST}
                onClick={() =>
                  leave.mutate(undefined, { ...tellRefusal, onSuccess: () => location.assign("/projects") })
                }
              >
                Leave
              </Plain>
            ) : (
              owns && (
                <Plain color="risk" {...LAST} onClick={() => remove.mutate(member.id, tellRefusal)}>
                  Take out
                </Plain>
              )
            )}
          </Flex>
        ))}
        {owns && <Invite project={project} />}
      </Box>
    </WideDialog>
  );
}

function Invite({ project }: { project: string }) {
  const put = usePutMember(project);
  const names = useNames();
  const [email, setEmail] = useState("");
  const [role, setRole] = useState<Role>("reader");
  const [ownerName, setOwnerName] = useState("");
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate(
          { email, role, ownerName: ownerName || undefined },
          {
            onSuccess: () => {
              setEmail("");
              setOwnerName("");
            },
          },
        );
      }}
    >
      <Flex gap="4" align="flex-start" wrap="wrap">
        <Box flex="2" minW="15rem">
          <Entry
            label="Take somebody in"
            placeholder="Their e-mail address"
            list="people-here"
            required
            value={email}
            wrong={put.error?.message}
            onChange={(event) => setEmail(event.target.value)}
          />
          <datalist id="people-here">
            {names.data?.map((one) => (
              <option key={one.id} value={one.email}>
                {one.name}
              </option>
            ))}
          </datalist>
        </Box>
        {role === "risk-owner" && (
          <Box flex="1" minW="12rem">
            <Entry
              label="In the register"
              hint="The name that risks have as owner, where it is not theirs"
              value={ownerName}
              onChange={(event) => setOwnerName(event.target.value)}
            />
          </Box>
        )}
      </Flex>
      <Flex gap="3" mt="3" align="center">
        <LabelledSelect label="As what" before="as" value={role} choices={ROLES} onPick={setRole} />
        <Button type="submit" size="sm" bg="action" color="onAction" loading={put.isPending}>
          Take in
        </Button>
      </Flex>
      <Box mt="3" color="softInk" fontSize="13px">
        {ROLES.find((one) => one.value === role)?.what}
      </Box>
    </form>
  );
}
