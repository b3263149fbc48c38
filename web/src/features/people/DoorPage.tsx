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
