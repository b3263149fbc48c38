import { Box, Button } from "@chakra-ui/react";
import { useState } from "react";
import { useParams } from "react-router";
import { useJoin, useJoining } from "../../shared/api/people";
import { Refusal } from "../../shared/ui/Refusal";
import { Entry } from "../../shared/ui/Entry";
import { saidOf, saidOtherwise } from "./problems";
import { Threshold } from "./Threshold";

/** Where somebody sets their password, by a link that they were given. */
export function JoinPage() {
  const { key = "" } = useParams();
  const joining = useJoining(key);
  const join = useJoin(key);
  const [password, setPassword] = useState("");
  const [again, setAgain] = useState("");
  const [differ, setDiffer] = useState(false);
  if (joining.isPending) return null;
  if (joining.isError)
    return <Threshold title="This link opens nothing">{<Box mt="3">{joining.error.message}</Box>}</Threshold>;
  if (join.isSuccess)
    return (
      <Threshold title="Your password is set">
        <Button asChild mt="5" bg="action" color="onAction">
          <a href="/projects">Sign in</a>
        </Button>
      </Threshold>
    );
  return (
    <Threshold title={`Welcome, ${joining.data.name}`}>
      <Box mt="3">
        Set the password with which you sign in as <b>{joining.data.email}</b>.
      </Box>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          setDiffer(password !== again);
          if (password === again) join.mutate(password);
        }}
      >
        <input type="text" autoComplete="username" value={joining.data.email} readOnly hidden />
        <Entry
          label="Password"
          type="password"
          autoComplete="new-password"
          hint="At least 12 characters; a few words that do not belong together are good."
          autoFocus
          required
          value={password}
          wrong={saidOf(join.error, "password")}
          onChange={(event) => setPassword(event.target.value)}
        />
        <Entry
          label="The same again"
          type="password"
          autoComplete="new-password"
          required
          value={again}
          wrong={differ ? "The two are not the same." : undefined}
          onChange={(event) => setAgain(event.target.value)}
        />
        {saidOtherwise(join.error, "password") && <Refusal mt="4">{join.error?.message}</Refusal>}
        <Button type="submit" mt="5" bg="action" color="onAction" loading={join.isPending}>
          Set the password
        </Button>
      </form>
    </Threshold>
  );
}
