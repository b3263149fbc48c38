import { Box, Button, chakra, Flex, Table } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import type { Person } from "../../shared/api/client";
import {
  useAddPerson,
  useChangePerson,
  useMe,
  usePeople,
  useRemovePerson,
  useResetPerson,
} from "../../shared/api/people";
import { formatMoment } from "../../shared/format/dates";
import { Notice } from "../../shared/ui/Notice";
import { notify, tellRefusal } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";
import { Entry } from "../../shared/ui/Entry";
import { Part, PageFrame } from "../../shared/ui/PageFrame";
import { saidOf, saidOtherwise } from "./problems";

const Plain = chakra("button");
const Check = chakra("input");

/** Everybody who can come in, for those who look after them. */
export function PeoplePage() {
  const me = useMe().data;
  const people = usePeople();
  const [link, setLink] = useState<LinkFor>();
  if (me?.codesWanted)
    return (
      <PageFrame title="People of this server">
        You look after the people of this server once one-time codes are on for you:{" "}
        <Box asChild color="action" textDecoration="underline">
          <Link to="/account">turn them on in your account</Link>
        </Box>
        .
      </PageFrame>
    );
  if (people.isError) return <Notice alert>{people.error.message}</Notice>;
  return (
    <PageFrame title={me?.alone ? "Work with others here" : "People of this server"}>
      {me?.alone ? (
        <Box>
          So far you are alone: whoever opened the address that was printed is you. Add yourself first. From
          then on everybody signs in, and you own all projects that are here.
        </Box>
      ) : (
        <Box color="softInk">
          Those who look after people do not read projects by that: each project has its own people, whom its
          owners choose.
        </Box>
      )}
      {people.data && people.data.length > 0 && <PeopleTable people={people.data} onLink={setLink} />}
      {link && (
        <Box mt="4" p="3" bg="actionTint" role="status">
          {link.mailed
            ? `This link was sent to ${link.name}, and can be handed over as well; it is good once, for three days, and is not shown again:`
            : `Hand this link to ${link.name}; it is good once, for three days, and is not shown again:`}
          <Box fontFamily="mono" wordBreak="break-all" data-testid="join-link">
            {location.origin + link.path}
          </Box>
          <Button
            size="xs"
            variant="outline"
            mt="2"
            onClick={() =>
              void navigator.clipboard.writeText(location.origin + link.path).then(() => notify("Copied."))
            }
          >
            Copy it
          </Button>
        </Box>
      )}
      <AddPerson first={people.data?.length === 0} onLink={setLink} />
    </PageFrame>
  );
}

interface LinkFor {
  name: string;
  path: string;
  /** Whether it was sent to them as well. */
  mailed: boolean;
}

interface Linking {
  onLink: (link: LinkFor) => void;
}

function PeopleTable({ people, onLink }: { people: Person[] } & Linking) {
  const change = useChangePerson();
  const reset = useResetPerson();
  const remove = useRemovePerson();
  return (
    <Table.Root size="sm" mt="4">
      <Table.Header>
        <Table.Row bg="transparent">
          {["Name", "Signs in as", "Since", "Looks after people", ""].map((header) => (
            <Table.ColumnHeader key={header} color="softInk">
              {header}
            </Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {people.map((person) => (
          <Table.Row key={person.id} bg="transparent" borderColor="line" data-person={person.email}>
            <Table.Cell fontWeight="600">
              {person.name}
              <Box as="span" color="softInk" fontWeight="400">
                {person.disabled ? " · shut out" : person.joined ? "" : " · has not joined yet"}
              </Box>
            </Table.Cell>
            <Table.Cell>{person.email}</Table.Cell>
            <Table.Cell>{formatMoment(person.since)}</Table.Cell>
            <Table.Cell>
              <Check
                type="checkbox"
                aria-label={`${person.name} looks after people`}
                checked={person.administrator}
                onChange={(event) =>
                  change.mutate(
                    { person: person.id, change: { administrator: event.target.checked } },
                    tellRefusal,
                  )
                }
              />
            </Table.Cell>
            <Table.Cell>
              <Flex gap="3" justify="flex-end" color="action" whiteSpace="nowrap">
                <Plain
                  onClick={() =>
                    reset.mutate(person.id, {
                      ...tellRefusal,
                      onSuccess: (made) => onLink({ name: person.name, ...made }),
                    })
                  }
                >
                  New link
                </Plain>
                {person.codes && (
                  <Plain
                    onClick={() =>
                      change.mutate({ person: person.id, change: { codes: false } }, tellRefusal)
                    }
                  >
                    Codes off
                  </Plain>
                )}
                <Plain
                  onClick={() =>
                    change.mutate({ person: person.id, change: { disabled: !person.disabled } }, tellRefusal)
                  }
                >
                  {person.disabled ? "Let in again" : "Shut out"}
                </Plain>
                {person.disabled && (
                  <Plain color="risk" onClick={() => remove.mutate(person.id, tellRefusal)}>
                    Remove for good
                  </Plain>
                )}
              </Flex>
            </Table.Cell>
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
  );
}

function AddPerson({ first, onLink }: { first: boolean } & Linking) {
  const add = useAddPerson();
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  return (
    <Part title={first ? "You" : "Somebody else"}>
      <Box asChild maxW="24rem">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            add.mutate(
              { name, email, administrator: first },
              {
                onSuccess: (made) => {
                  if (first) return location.assign(made.path);
                  onLink({ name, ...made });
                  setName("");
                  setEmail("");
                },
              },
            );
          }}
        >
          <Entry
            label="Name"
            required
            value={name}
            wrong={saidOf(add.error, "name")}
            onChange={(event) => setName(event.target.value)}
          />
          <Entry
            label="E-mail address"
            hint="What they sign in with"
            required
            value={email}
            wrong={saidOf(add.error, "email")}
            onChange={(event) => setEmail(event.target.value)}
          />
          {saidOtherwise(add.error, "name", "email") && <Refusal mt="3">{add.error?.message}</Refusal>}
          <Button type="submit" size="sm" mt="4" bg="action" color="onAction" loading={add.isPending}>
            {first ? "Add yourself and set a password" : "Add them and make a link"}
          </Button>
        </form>
      </Box>
    </Part>
  );
}
