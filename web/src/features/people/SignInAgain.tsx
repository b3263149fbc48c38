import { Box } from "@chakra-ui/react";
import { queryClient } from "../../shared/api/queryClient";
import { WideDialog } from "../../shared/ui/WideDialog";
import { SignInForm } from "./SignInForm";

/** Over a page whose session has ended: what is typed on it stays. */
export function SignInAgain({ email }: { email: string }) {
  return (
    <WideDialog title="Sign in again" width="28rem" onClose={() => undefined}>
      <Box flex="1" fontSize="15px">
        <Box color="softInk">
          You were signed out, by the clock or from another browser. The page stays as it is; what was not
          kept can be handed in again.
        </Box>
        <SignInForm email={email} onIn={() => void queryClient.invalidateQueries()} />
      </Box>
    </WideDialog>
  );
}
