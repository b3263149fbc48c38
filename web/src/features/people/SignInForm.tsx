import { Box, Button } from "@chakra-ui/react";
import { useState } from "react";
import { useMe, useSignIn } from "../../shared/api/people";
import { Refusal } from "../../shared/ui/Refusal";
import { Entry } from "../../shared/ui/Entry";
import { LostPassword } from "./LostPassword";

/** E-mail address and password, then a one-time code where it is asked for. */
export function SignInForm({ email: known = "", onIn }: { email?: string; onIn: () => void }) {
  const mail = useMe().data?.mail;
  const signIn = useSignIn();
  const [email, setEmail] = useState(known);
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const [codeNeeded, setCodeNeeded] = useState(false);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        signIn.mutate(
          { email, password, code },
          { onSuccess: (answer) => (answer.codeNeeded ? setCodeNeeded(true) : onIn()) },
        );
      }}
    >
      {codeNeeded ? (
        <Entry
          label="One-time code"
          hint="The six digits that your app shows, or one of the codes that you kept for a lost app."
          autoFocus
          required
          autoComplete="one-time-code"
          value={code}
          onChange={(event) => setCode(event.target.value)}
        />
      ) : (
        <>
          <Entry
            label="E-mail address"
            type="email"
            autoComplete="username"
            autoFocus={!known}
            required
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
          <Entry
            label="Password"
            type="password"
            autoComplete="current-password"
            autoFocus={!!known}
            required
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </>
      )}
      {signIn.error && <Refusal mt="4">{signIn.error.message}</Refusal>}
      <Button type="submit" mt="5" bg="action" color="onAction" loading={signIn.isPending}>
        Sign in
      </Button>
      {!codeNeeded && (
        <Box mt="4" color="softInk" fontSize="13px">
          {mail ? (
            <LostPassword email={email} />
          ) : (
            "Password forgotten? Whoever looks after this server makes you a link for another."
          )}
        </Box>
      )}
    </form>
  );
}
