import { fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes, useLocation } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { useMe } from "../../shared/api/people";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { InboxDialog } from "./InboxDialog";
import { MembersDialog } from "./MembersDialog";
import { PeoplePage } from "./PeoplePage";
import { PersonMenu } from "./PersonMenu";
import { button, enter, field, note, user } from "../../test/hands";

const ME = { id: "e", name: "Edda Wirth", email: "edda@ridge.example", signedIn: true, administrator: true };
const aPerson = (id: string, name: string, more: object = {}) => ({
  id,
  name,
  email: `${id}@ridge.example`,
  since: "2026-11-01T08:00:00Z",
  joined: true,
  administrator: false,
  disabled: false,
  codes: false,
  ...more,
});

describe("the people of a server", () => {
  it("are told with what is the matter with them", async () => {
    aServer({
      "GET /api/me": ME,
      "GET /api/people": [
        aPerson("edda", "Edda Wirth", { administrator: true }),
        aPerson("olin", "Olin Dahl", { joined: false }),
        aPerson("uma", "Uma Rey", { disabled: true, codes: true }),
      ],
    });
    shown(<PeoplePage />);
    expect(await screen.findByText(/shut out/)).toBeInTheDocument();
    expect(screen.getByText(/has not joined yet/)).toBeInTheDocument();
    expect(field("Edda Wirth looks after people")).toBeChecked();
    const uma = screen.getByText(/Uma Rey/).closest("tr") as HTMLElement;
    expect(within(uma).getByRole("button", { name: "Let in again" })).toBeInTheDocument();
    expect(within(uma).getByRole("button", { name: "Remove for good" })).toBeInTheDocument();
    expect(within(uma).getByRole("button", { name: "Codes off" })).toBeInTheDocument();
    expect(screen.getAllByRole("button", { name: "Remove for good" })).toHaveLength(1);
  });

  it("are shut out, and that the last one who looks after them stays is said", async () => {
    const sent = aServer({
      "GET /api/me": ME,
      "GET /api/people": [aPerson("edda", "Edda Wirth", { administrator: true })],
      "PATCH /api/people/edda": refused("Somebody has to look after people."),
    });
    shown(<PeoplePage />);
    await user.click(await screen.findByLabelText("Edda Wirth looks after people"));
    await expect.poll(note).toBe("Somebody has to look after people.");
    await user.click(button("Shut out"));
    await expect.poll(() => sent().length).toBe(2);
    expect(sent().map(({ body }) => body)).toEqual([{ administrator: false }, { disabled: true }]);
  });

  it("get a link that is shown once, and whether it was sent", async () => {
    aServer({
      "GET /api/me": ME,
      "GET /api/people": [aPerson("edda", "Edda Wirth"), aPerson("olin", "Olin Dahl", { joined: false })],
      "POST /api/people/olin/reset": { path: "/join/k7", mailed: true },
    });
    shown(<PeoplePage />);
    const olin = (await screen.findByText("Olin Dahl")).closest("tr") as HTMLElement;
    await user.click(within(olin).getByRole("button", { name: "New link" }));
    expect(await screen.findByTestId("join-link")).toHaveTextContent(`${location.origin}/join/k7`);
    expect(screen.getByRole("status")).toHaveTextContent("This link was sent to Olin Dahl");
  });

  it("grow by one, with the fields that are wrong told", async () => {
    let known = [aPerson("edda", "Edda Wirth")];
    const sent = aServer({
      "GET /api/me": ME,
      "GET /api/people": () => known,
      "POST /api/people": ({ body }: { body: unknown }) => {
        if (!(body as { email: string }).email.endsWith(".example"))
          return refused("It cannot be.", [{ pointer: "/email", message: "This is no address." }]);
        known = [...known, aPerson("uma", "Uma Rey", { joined: false })];
        return { path: "/join/k8", mailed: false };
      },
    });
    shown(<PeoplePage />);
    await screen.findByText("Edda Wirth");
    enter("Name", "Uma Rey");
    enter("E-mail address", "uma@nowhere");
    await user.click(button("Add them and make a link"));
    expect(await screen.findByRole("alert")).toHaveTextContent("This is no address.");
    expect(field("Name")).toHaveValue("Uma Rey");
    enter("E-mail address", "uma@ridge.example");
    await user.click(button("Add them and make a link"));
    expect(await screen.findByText("Uma Rey")).toBeInTheDocument();
    expect(screen.getByRole("status")).toHaveTextContent("Hand this link to Uma Rey");
    expect(field("Name")).toHaveValue("");
    expect(sent().at(-1)?.body).toEqual({
      name: "Uma Rey",
      email: "uma@ridge.example",
      administrator: false,
    });
  });

  it("begin with oneself where one is alone", async () => {
    aServer({ "GET /api/me": { ...ME, alone: true }, "GET /api/people": [] });
    shown(<PeoplePage />);
    expect(await screen.findByText(/So far you are alone/)).toBeInTheDocument();
    expect(
      await screen.findByRole("button", { name: "Add yourself and set a password" }),
    ).toBeInTheDocument();
    expect(screen.queryByRole("table")).toBeNull();
  });

  it("are looked after by those alone who use codes, where the server wants that", async () => {
    aServer({ "GET /api/me": { ...ME, codesWanted: true }, "GET /api/people": [aPerson("edda", "Edda")] });
    shown(<PeoplePage />);
    expect(await screen.findByRole("link", { name: "turn them on in your account" })).toBeInTheDocument();
    expect(screen.queryByRole("table")).toBeNull();
  });
});

describe("who takes part in a project", () => {
  const aMember = (id: string, name: string, role: string, more: object = {}) => ({
    id,
    name,
    email: `${id}@ridge.example`,
    role,
    ownerName: "",
    self: false,
    ...more,
  });
  const MEMBERS = [
    aMember("edda", "Edda Wirth", "owner", { self: true }),
    aMember("olin", "Olin Dahl", "risk-owner", { ownerName: "O. Dahl" }),
  ];
  const NAMES = { "GET /api/people/names": [{ id: "uma", name: "Uma Rey", email: "uma@ridge.example" }] };
  const routes = (more: object) => ({ ...NAMES, "GET /api/projects/p/members": MEMBERS, ...more });
  const members = () => shown(<MembersDialog project="p" onClose={vi.fn()} />);

  it("is chosen by its owners, each with what they are", async () => {
    const sent = aServer(routes({ "PUT /api/projects/p/members": {} }));
    members();
    await user.selectOptions(await screen.findByLabelText("What Olin Dahl is"), "editor");
    await expect.poll(() => sent().length).toBe(1);
    expect(sent()[0]?.body).toEqual({ email: "olin@ridge.example", role: "editor" });
  });

  it("is taken in, and a risk owner by the name in the register", async () => {
    const sent = aServer(routes({ "PUT /api/projects/p/members": {} }));
    members();
    await screen.findByText("Olin Dahl");
    enter("Take somebody in", "uma@ridge.example");
    await user.selectOptions(field("As what"), "risk-owner");
    const names = screen.getAllByLabelText("In the register");
    fireEvent.change(names.at(-1) as HTMLElement, { target: { value: "U. Rey" } });
    await user.click(button("Take in"));
    await expect.poll(() => sent().length).toBe(1);
    expect(sent()[0]?.body).toEqual({ email: "uma@ridge.example", role: "risk-owner", ownerName: "U. Rey" });
    await expect.poll(() => (field("Take somebody in") as HTMLInputElement).value).toBe("");
  });

  it("says at the field why somebody cannot be taken in", async () => {
    aServer(routes({ "PUT /api/projects/p/members": refused("Nobody signs in as bo@ridge.example.") }));
    members();
    await screen.findByText("Olin Dahl");
    enter("Take somebody in", "bo@ridge.example");
    await user.click(button("Take in"));
    expect(await screen.findByRole("alert")).toHaveTextContent("Nobody signs in as bo@ridge.example.");
    expect(field("Take somebody in")).toHaveValue("bo@ridge.example");
  });

  it("cannot be left by its last owner, which is said", async () => {
    aServer(routes({ "DELETE /api/projects/p/membership": refused("A project needs an owner.") }));
    members();
    await user.click(await screen.findByRole("button", { name: "Leave" }));
    await expect.poll(note).toBe("A project needs an owner.");
  });

  it("is only told to who does not own it", async () => {
    aServer({
      ...NAMES,
      "GET /api/projects/p/members": [
        aMember("edda", "Edda Wirth", "owner"),
        aMember("olin", "Olin Dahl", "reader", { self: true }),
      ],
    });
    members();
    expect(await screen.findByText("Olin Dahl (you)")).toBeInTheDocument();
    expect(screen.queryByRole("combobox")).toBeNull();
    expect(screen.queryByRole("button", { name: "Take out" })).toBeNull();
    expect(screen.queryByLabelText("Take somebody in")).toBeNull();
    expect(button("Leave")).toBeInTheDocument();
  });
});

describe("what waits for somebody", () => {
  const aNotice = (id: string, read: boolean, key = "S20") => ({
    id,
    project: "p",
    projectName: "Ridge",
    kind: "ask",
    about: { section: "ranges", key },
    by: "Edda Wirth",
    words: "Is 12 d still right?",
    at: "2026-11-26T12:00:00Z",
    read,
  });
  const Where = () => <output>{useLocation().pathname + useLocation().search}</output>;
  const inbox = (onClose = vi.fn()) =>
    shown(
      <Routes>
        <Route
          path="*"
          element={
            <>
              <InboxDialog onClose={onClose} />
              <Where />
            </>
          }
        />
      </Routes>,
    );

  it("is nothing, or all of it is read at once", async () => {
    let all = [aNotice("a", false), aNotice("b", true), aNotice("c", false, "S30")];
    const sent = aServer({
      "GET /api/me/inbox": () => all,
      "POST /api/me/inbox/read": () => {
        all = [];
        return {};
      },
    });
    inbox();
    await user.click(await screen.findByRole("button", { name: "All of it is read" }));
    expect(await screen.findByText("Nothing waits for you.")).toBeInTheDocument();
    expect(sent()[0]?.body).toEqual({ notices: ["a", "c"] });
  });

  it("leads to what it is about, and is read by that", async () => {
    const closed = vi.fn();
    const sent = aServer({ "GET /api/me/inbox": [aNotice("a", false)], "POST /api/me/inbox/read": {} });
    inbox(closed);
    await user.click(await screen.findByText("Edda Wirth asks you to confirm the range of S20"));
    expect(closed).toHaveBeenCalled();
    expect(screen.getByText("/projects/p/ranges?row=S20")).toBeInTheDocument();
    await expect.poll(() => sent().map(({ body }) => body)).toEqual([{ notices: ["a"] }]);
  });

  it("is counted at who one is", async () => {
    aServer({ "GET /api/me": ME, "GET /api/me/inbox": [aNotice("a", false), aNotice("b", true)] });
    shown(<PersonMenu projectId="p" />);
    const menu = await screen.findByRole("button", { name: "Edda Wirth: 1 waiting for you" });
    await user.click(menu);
    expect(await screen.findByRole("menuitem", { name: "What waits for you (1)" })).toBeInTheDocument();
    for (const entry of [
      "Who takes part in this project…",
      "Your account",
      "People of this server",
      "Sign out",
    ])
      expect(screen.getByRole("menuitem", { name: entry })).toBeInTheDocument();
  });

  it("is nothing for who is alone: there is no account", async () => {
    aServer({ "GET /api/me": { signedIn: true, alone: true, administrator: true }, "GET /api/me/inbox": [] });
    shown(<PersonMenu projectId="p" />);
    await user.click(await screen.findByRole("button", { name: "You, alone on this machine" }));
    expect(await screen.findByRole("menuitem", { name: "Work with others here…" })).toBeInTheDocument();
    expect(screen.queryByRole("menuitem", { name: "Your account" })).toBeNull();
    expect(screen.queryByRole("menuitem", { name: "Sign out" })).toBeNull();
  });

  it("shows nothing to who is not signed in", async () => {
    const Asked = () => <output>{useMe().isSuccess && "It is known who asks."}</output>;
    aServer({ "GET /api/me": { signedIn: false } });
    shown(
      <>
        <PersonMenu />
        <Asked />
      </>,
    );
    expect(await screen.findByText("It is known who asks.")).toBeInTheDocument();
    expect(screen.queryByRole("button")).toBeNull();
  });
});
