import { Box } from "@chakra-ui/react";
import { useCallMe, useMe } from "../../shared/api/people";
import { TextField } from "../../shared/ui/Field";
import { CodesPart } from "./CodesPart";
import { PasswordPart } from "./PasswordPart";
import { PageFrame } from "../../shared/ui/PageFrame";
import { SessionsPart } from "./SessionsPart";
import { TokensPart } from "./TokensPart";

/** What somebody does with their own account. */
export function AccountPage() {
  const me = useMe().data;
  const call = useCallMe();
  if (!me?.id) return null;
  return (
    <PageFrame title="Your account">
      <Box color="softInk" mb="4">
        You sign in as {me.email}.
      </Box>
      <Box maxW="28rem">
        <TextField
          label="Name"
          hint="What others here see of you"
          value={me.name ?? ""}
          onHandIn={(name) =>
            call.mutateAsync(name).then(
              () => undefined,
              (error: Error) => error.message,
            )
          }
        />
      </Box>
      <CodesPart on={me.codes} />
      <PasswordPart />
      <SessionsPart />
      <TokensPart />
    </PageFrame>
  );
}
