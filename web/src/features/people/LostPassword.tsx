import { Box, Button } from "@chakra-ui/react";
import { useLostPassword } from "../../shared/api/people";
import { Refusal } from "../../shared/ui/Refusal";

/** Sends a link for another password to the address that stands above. */
export function LostPassword({ email }: { email: string }) {
  const lost = useLostPassword();
  if (lost.isSuccess)
    return (
      <Box role="status">
        If somebody here signs in as {lost.variables}, a link for another password is on its way there.
      </Box>
    );
  return (
    <>
      Password forgotten?{" "}
      <Button
        type="button"
        variant="plain"
        size="xs"
        p="0"
        h="auto"
        minW="0"
        fontSize="13px"
        color="action"
        textDecoration="underline"
        disabled={!email.includes("@")}
        loading={lost.isPending}
        onClick={() => lost.mutate(email)}
      >
        Send a link for another
      </Button>
      {!email.includes("@") && " once your address stands above."}
      {lost.error && <Refusal mt="3">{lost.error.message}</Refusal>}
    </>
  );
}
