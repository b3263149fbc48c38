import { Box } from "@chakra-ui/react";
import { useMembers, useRole } from "../shared/api/people";

/** What somebody may do who may not do all; nothing for those who edit. */
export function RoleBand({ projectId }: { projectId: string }) {
  const role = useRole(projectId);
  const self = useMembers(projectId).data?.find((member) => member.self);
  if (role !== "reader" && role !== "risk-owner") return null;
  return (
    <Box px="4" py="1" bg="actionTint" fontSize="13px" role="note">
      {role === "reader"
        ? "You read this project: you see everything and take it out; what you type is not kept."
        : `You keep the risks here that the register says are ${self?.ownerName}’s, and comment on anything; the rest you read.`}
    </Box>
  );
}
