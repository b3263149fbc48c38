import { Box, Button } from "@chakra-ui/react";
import { useState } from "react";
import { useChangePassword } from "../../shared/api/people";
import { notify } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";
import { Entry } from "../../shared/ui/Entry";
import { Part } from "../../shared/ui/PageFrame";
import { saidOf, saidOtherwise } from "./problems";

/** Another password. */
export function PasswordPart() {
  const change = useChangePassword();
  const [old, setOld] = useState("");
  const [fresh, setFresh] = useState("");
  const done = () => {
    setOld("");
    setFresh("");
    notify("Your password is changed; other browsers are signed out.");
  };
  return (
    <Part title="Password">
      <Box asChild maxW="24rem">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate({ password: old, fresh }, { onSuccess: done });
          }}
        >
          <Entry
            label="Password of now"
            type="password"
            autoComplete="current-password"
            required
            value={old}
            wrong={saidOf(change.error, "password")}
            onChange={(event) => setOld(event.target.value)}
          />
          <Entry
            label="Password from now on"
            type="password"
            autoComplete="new-password"
            hint="At least 12 characters. Other browsers are signed out."
            required
            value={fresh}
            wrong={saidOf(change.error, "fresh")}
            onChange={(event) => setFresh(event.target.value)}
          />
          {saidOtherwise(change.error, "password", "fresh") && (
            <Refusal mt="3">{change.error?.message}</Refusal>
          )}
          <Button type="submit" size="sm" mt="4" variant="outline" loading={change.isPending}>
            Change the password
          </Button>
        </form>
      </Box>
    </Part>
  );
}
