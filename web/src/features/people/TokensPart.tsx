import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { useMakeToken, useTokens, useWithdrawToken } from "../../shared/api/people";
import { useProjects } from "../../shared/api/projects";
import { formatMoment } from "../../shared/format/dates";
import { LabelledSelect } from "../../shared/ui/LabelledSelect";
import { Entry } from "../../shared/ui/Entry";
import { Part } from "../../shared/ui/PageFrame";
import { tellRefusal } from "../../shared/ui/notify";

const Plain = chakra("button");
const SCOPES = [
  { value: "READING", label: "may read" },
  { value: "EVERYTHING", label: "may do what you may" },
] as const;
const DAYS = [
  { value: "30", label: "for 30 days" },
  { value: "90", label: "for 90 days" },
  { value: "366", label: "for a year" },
] as const;

/** What programs use the interface with in one's name. */
export function TokensPart() {
  const tokens = useTokens();
  const withdraw = useWithdrawToken();
  const names = new Map(useProjects().data?.map(({ project }) => [project.id, project.name]));
  return (
    <Part title="Tokens for programs">
      <Box color="softInk">
        A program sends a token as “Authorization: Bearer …” and works in your name, until it runs out or you
        withdraw it.
      </Box>
      {tokens.data?.map((token) => (
        <Flex
          key={token.id}
          gap="4"
          py="1.5"
          borderBottomWidth="1px"
          borderColor="line"
          data-token={token.name}
        >
          <Box flex="1" fontWeight="600">
            {token.name}
          </Box>
          <Box>
            {SCOPES.find((one) => one.value === token.scope)?.label},{" "}
            {token.project ? (names.get(token.project) ?? "one project") : "all projects"}
          </Box>
          <Box color="softInk">until {formatMoment(token.expiresAt)}</Box>
          <Box color="softInk">{token.usedAt ? `used ${formatMoment(token.usedAt)}` : "never used"}</Box>
          <Plain color="risk" onClick={() => withdraw.mutate(token.id, tellRefusal)}>
            Withdraw
          </Plain>
        </Flex>
      ))}
      <NewToken />
    </Part>
  );
}

function NewToken() {
  const make = useMakeToken();
  const projects = useProjects();
  const [name, setName] = useState("");
  const [scope, setScope] = useState<(typeof SCOPES)[number]["value"]>("READING");
  const [project, setProject] = useState("");
  const [days, setDays] = useState<(typeof DAYS)[number]["value"]>("90");
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(
          { name, scope, project: project || undefined, days: Number(days) },
          { onSuccess: () => setName("") },
        );
      }}
    >
      <Box maxW="24rem">
        <Entry
          label="A new token for"
          placeholder="Nightly report"
          required
          maxLength={100}
          value={name}
          wrong={make.error?.message}
          onChange={(event) => setName(event.target.value)}
        />
      </Box>
      <Flex gap="3" mt="3" align="center" wrap="wrap">
        <LabelledSelect label="What it may do" value={scope} choices={SCOPES} onPick={setScope} />
        <LabelledSelect
          label="In which project"
          value={project}
          choices={[
            { value: "", label: "in all your projects" },
            ...(projects.data ?? []).map((one) => ({
              value: one.project.id,
              label: `in ${one.project.name}`,
            })),
          ]}
          onPick={setProject}
        />
        <LabelledSelect label="How long" value={days} choices={DAYS} onPick={setDays} />
        <Button type="submit" size="sm" variant="outline" loading={make.isPending}>
          Make it
        </Button>
      </Flex>
      {make.data && (
        <Box mt="3" role="status">
          It is shown only now; keep it where programs keep secrets:
          <Box fontFamily="mono" wordBreak="break-all" data-testid="fresh-token">
            {make.data.token}
          </Box>
        </Box>
      )}
    </form>
  );
}
