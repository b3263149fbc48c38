import { Box } from "@chakra-ui/react";
import { queryClient } from "../../shared/api/queryClient";
import { SignInForm } from "./SignInForm";
import { Threshold } from "./Threshold";

/** What whoever is not known sees: where to sign in or, where nobody has an account, how to come in. */
export function DoorPage({ alone }: { alone: boolean }) {
  if (alone)
    return (
      <Threshold title="This Tychon belongs to whoever started it">
        <Box mt="3">
          Open the address that was printed where it was started. It is good once; whenever it was used,
          another is printed there for another browser.
        </Box>
        <Box mt="3" color="softInk">
          Others who want to work here need an account: whoever started it adds them with “./tychon people
          add”.
        </Box>
      </Threshold>
    );
  return (
    <Threshold title="Sign in">
      <SignInForm onIn={() => void queryClient.invalidateQueries()} />
    </Threshold>
  );
}
