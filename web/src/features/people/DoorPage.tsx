import { Box, Button } from "@chakra-ui/react";
import { useSearchParams } from "react-router";
import { queryClient } from "../../shared/api/queryClient";
import { Refusal } from "../../shared/ui/Refusal";
import { SignInForm } from "./SignInForm";
import { Threshold } from "./Threshold";

/** Why whoever came from the provider of single sign-on is not let in. */
const REFUSED: Record<string, string | undefined> = {
  account:
    "You are known there, but have no account here with an address that was verified. Whoever looks after this server can add you.",
  provider: "It could not be confirmed who you are. Try again, or sign in with your password.",
};

/** What whoever is not known sees: where to sign in or, where nobody has an account, how to come in. */
export function DoorPage({ alone, singleSignOn }: { alone: boolean; singleSignOn?: string }) {
  const [address] = useSearchParams();
  const refused = REFUSED[address.get("refused") ?? ""];
  if (alone)
    return (
      <Threshold title="This Tychon belongs to whoever started it">
        <Box mt="3">
          To get in, open the address that was printed in the terminal where Tychon was started. It is good
          once; another is printed whenever it was used. Your browser then stays in for 30 days from its last
          use.
        </Box>
        <Box mt="3">
          If that terminal is closed, stop Tychon and start it again with “./tychon start”: it prints a new
          address, and nothing is lost.
        </Box>
        <Box mt="3" color="softInk">
          Others who want to work here need an account: whoever started it adds them with “./tychon people
          add”.
        </Box>
      </Threshold>
    );
  return (
    <Threshold title="Sign in">
      {refused && <Refusal mt="4">{refused}</Refusal>}
      {singleSignOn && (
        <Button asChild mt="5" variant="outline">
          <a href="/oidc/start/sso">Sign in by {singleSignOn}</a>
        </Button>
      )}
      <SignInForm onIn={() => void queryClient.invalidateQueries()} />
    </Threshold>
  );
}
