import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Codes } from "../../shared/api/client";
import { useBeginCodes, useTurnCodesOff, useTurnCodesOn } from "../../shared/api/people";
import { Entry } from "../../shared/ui/Entry";
import { Modules } from "./Modules";
import { Part } from "../../shared/ui/PageFrame";
import { saidOf } from "./problems";

/** One-time codes beside the password: turned on with an app, turned off with the password. */
export function CodesPart({ on }: { on: boolean }) {
  const begin = useBeginCodes();
  const off = useTurnCodesOff();
  const [password, setPassword] = useState("");
  const [codes, setCodes] = useState<Codes>();
  const [kept, setKept] = useState<string[]>();
  const ask = on ? off : begin;
  if (kept) return <RecoveryCodes codes={kept} onDone={() => setKept(undefined)} />;
  if (codes)
    return (
      <GivenToAnApp
        codes={codes}
        onOn={(recovery) => {
          setCodes(undefined);
          setKept(recovery);
        }}
      />
    );
  return (
    <Part title="One-time codes">
      <Box color="softInk">
        {on
          ? "On: whoever knows your password needs your app as well."
          : "Off. With an app for one-time codes on your phone, a stolen password alone opens nothing."}
      </Box>
      <Box asChild maxW="24rem">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            const after = () => setPassword("");
            if (on) off.mutate(password, { onSuccess: after });
            else
              begin.mutate(password, {
                onSuccess: (made) => {
                  after();
                  setCodes(made);
                },
              });
          }}
        >
          <Entry
            label="Your password"
            type="password"
            autoComplete="current-password"
            required
            value={password}
            wrong={saidOf(ask.error, "password") ?? ask.error?.message}
            onChange={(event) => setPassword(event.target.value)}
          />
          <Button type="submit" size="sm" mt="4" variant="outline" loading={ask.isPending}>
            {on ? "Turn one-time codes off" : "Use one-time codes"}
          </Button>
        </form>
      </Box>
    </Part>
  );
}

function GivenToAnApp({ codes, onOn }: { codes: Codes; onOn: (recovery: string[]) => void }) {
  const turnOn = useTurnCodesOn();
  const [code, setCode] = useState("");
  return (
    <Part title="One-time codes">
      <Flex gap="8" align="flex-start" mt="3" wrap="wrap">
        <Modules rows={codes.picture} label="The secret as a picture for your app" />
        <Box maxW="24rem" flex="1">
          <Box>Let your app look at the picture, or type this secret into it:</Box>
          <Box fontFamily="mono" my="2" wordBreak="break-all" data-testid="codes-secret">
            {codes.secret.replaceAll(/(.{4})/g, "$1 ").trim()}
          </Box>
          <form
            onSubmit={(event) => {
              event.preventDefault();
              turnOn.mutate(code, { onSuccess: onOn });
            }}
          >
            <Entry
              label="The code that it shows now"
              autoComplete="one-time-code"
              autoFocus
              required
              value={code}
              wrong={turnOn.error?.message}
              onChange={(event) => setCode(event.target.value)}
            />
            <Button type="submit" size="sm" mt="4" bg="action" color="onAction" loading={turnOn.isPending}>
              Turn them on
            </Button>
          </form>
        </Box>
      </Flex>
    </Part>
  );
}

function RecoveryCodes({ codes, onDone }: { codes: string[]; onDone: () => void }) {
  return (
    <Part title="Keep these codes">
      <Box>
        One-time codes are on. Each of these lets you in once where your app is lost; they are not shown
        again. Keep them where you keep passwords, or on paper.
      </Box>
      <Box
        as="ul"
        fontFamily="mono"
        my="3"
        css={{ columns: 2 }}
        maxW="30rem"
        listStyleType="none"
        data-testid="recovery-codes"
      >
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </Box>
      <Flex gap="3">
        <Button
          size="sm"
          variant="outline"
          onClick={() => void navigator.clipboard.writeText(codes.join("\n"))}
        >
          Copy them
        </Button>
        <Button size="sm" bg="action" color="onAction" onClick={onDone}>
          I have kept them
        </Button>
      </Flex>
    </Part>
  );
}
