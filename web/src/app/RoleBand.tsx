import { Box } from "@chakra-ui/react";
import { useEffect } from "react";
import { useReads } from "../shared/api/part";
import { useMembers, useRole } from "../shared/api/people";

/** What somebody may do who may not do all; nothing for those who edit. */
export function RoleBand({ projectId }: { projectId: string }) {
  const role = useRole(projectId);
  const self = useMembers(projectId).data?.find((member) => member.self);
  const reads = role === "reader";
  useEffect(() => {
    useReads.setState({ reads });
    return () => useReads.setState({ reads: false });
  }, [reads]);
  if (!reads && role !== "risk-owner") return null;
  return (
    <Box px="4" py="1" bg="actionTint" fontSize="13px" role="note">
      {reads
        ? "You read this project: you see everything and take it out, and change nothing."
        : `You keep the risks here that the register says are ${self?.ownerName}’s, and comment on anything; the rest you read.`}
    </Box>
  );
}
