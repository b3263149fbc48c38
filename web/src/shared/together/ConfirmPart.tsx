import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { About } from "../api/client";
import { useMembers, useRole } from "../api/people";
import { useAsk, useConfirm, useConfirmations } from "../api/together";
import { SheetPart } from "../sheet/SheetPart";
import { Input } from "../ui/Input";
import { LabelledSelect } from "../ui/LabelledSelect";
import { notify } from "../ui/notify";
import { askable, stateSentence } from "./confirmWords";

interface Props {
  project: string;
  about: About;
  /** Whom the register names as owner. */
  owner?: string;
}

/** Whether whoever answers for something says that it holds: asked, said, and stale once it was changed. */
export function ConfirmPart({ project, about, owner }: Props) {
  const confirmations = useConfirmations(project);
  const members = useMembers(project).data ?? [];
  const role = useRole(project);
  const one = confirmations.data?.find(
    (known) => known.about.section === about.section && known.about.key === about.key,
  );
  // Where nobody has an account there is nobody to ask.
  if (members.length === 0) return null;
  const edits = role === "editor" || role === "owner";
  if (!one && !edits) return null;
  return (
    <SheetPart title="Confirmed by its owner">
      {one && <Box data-confirmation={one.state}>{stateSentence(one)}</Box>}
      {one?.mine && one.state !== "confirmed" && <Answer project={project} confirmation={one.id} />}
      {edits && one?.state !== "confirmed" && (
        <Ask project={project} about={about} asked={!!one} people={askable(members, owner)} />
      )}
    </SheetPart>
  );
}

function Answer({ project, confirmation }: { project: string; confirmation: string }) {
  const confirm = useConfirm(project);
  const [note, setNote] = useState("");
  const say = (holds: boolean) =>
    confirm.mutate(
      { id: confirmation, holds, note: note || undefined },
      { onError: (error) => notify(error.message) },
    );
  return (
    <Box mt="2">
      <Input
        aria-label="What you say to it"
        placeholder="What you say to it, if anything"
        value={note}
        maxLength={4000}
        onChange={(event) => setNote(event.target.value)}
      />
      <Flex gap="2" mt="2">
        <Button size="xs" bg="action" color="onAction" disabled={confirm.isPending} onClick={() => say(true)}>
          It holds
        </Button>
        <Button size="xs" variant="outline" disabled={confirm.isPending} onClick={() => say(false)}>
          It does not hold
        </Button>
      </Flex>
    </Box>
  );
}

interface AskProps {
  project: string;
  about: About;
  asked: boolean;
  people: readonly { email: string; name: string }[];
}

function Ask({ project, about, asked, people }: AskProps) {
  const ask = useAsk(project);
  const [picked, setPicked] = useState<string>();
  const email = picked ?? people[0]?.email ?? "";
  return (
    <Flex gap="2" mt="2" align="center">
      <LabelledSelect
        label="Who is asked"
        value={email}
        choices={people.map((one) => ({ value: one.email, label: one.name }))}
        onPick={setPicked}
      />
      <Button
        size="xs"
        variant="outline"
        disabled={ask.isPending}
        onClick={() => ask.mutate({ email, about: [about] }, { onError: (error) => notify(error.message) })}
      >
        {asked ? "Ask again" : "Ask to confirm it"}
      </Button>
    </Flex>
  );
}
