import { screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { aProject } from "../../test/aProject";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { AccountPage } from "./AccountPage";
import { CodesPart } from "./CodesPart";
import { PasswordPart } from "./PasswordPart";
import { SessionsPart } from "./SessionsPart";
import { TokensPart } from "./TokensPart";
import { button, enter, field, note, user } from "../../test/hands";

describe("one's name", () => {
  const ME = { id: "e", name: "Edda Wirth", email: "edda@ridge.example", signedIn: true, codes: false };
  const NOTHING = { "GET /api/me/sessions": [], "GET /api/me/tokens": [], "GET /api/projects": [] };

  it("is handed in by Enter and stays typed where it is refused", async () => {
    const sent = aServer({ ...NOTHING, "GET /api/me": ME, "PATCH /api/me": refused("A name is wanted.") });
    shown(<AccountPage />);
    const name = await screen.findByDisplayValue("Edda Wirth");
    await user.clear(name);
    await user.type(name, " {Enter}");
    expect(await screen.findByText(/A name is wanted/)).toBeInTheDocument();
    expect(name).toHaveValue(" ");
    expect(sent()[0]?.body).toEqual({ name: " " });
    await user.type(name, "{Escape}");
    expect(name).toHaveValue("Edda Wirth");
  });
});

describe("one-time codes", () => {
  const BEGUN = { secret: "ABCDEFGH2345", picture: "101\n010\n111", address: "otpauth://x" };

  it("are on once the app has shown one, and what helps without it is shown once", async () => {
    const sent = aServer({
      "POST /api/me/codes": BEGUN,
      "PUT /api/me/codes": ["aaaa-bbbb", "cccc-dddd"],
    });
    shown(<CodesPart on={false} />);
    enter("Your password", "moss under seven stones");
    await user.click(button("Use one-time codes"));
    expect(await screen.findByTestId("codes-secret")).toHaveTextContent("ABCD EFGH 2345");
    enter("The code that it shows now", "123456");
    await user.click(button("Turn them on"));
    expect(await screen.findByTestId("recovery-codes")).toHaveTextContent("aaaa-bbbbcccc-dddd");
    await user.click(button("I have kept them"));
    expect(screen.queryByText("aaaa-bbbb")).toBeNull();
    expect(sent().map(({ body }) => body)).toEqual([
      { password: "moss under seven stones" },
      { code: "123456" },
    ]);
  });

  it("stay as they are by a wrong password", async () => {
    aServer({ "POST /api/me/codes/off": refused("This is not your password.") });
    shown(<CodesPart on />);
    enter("Your password", "wrong");
    await user.click(button("Turn one-time codes off"));
    expect(await screen.findByRole("alert")).toHaveTextContent("This is not your password.");
    expect(field("Your password")).toHaveValue("wrong");
  });

  it("are not on by a wrong code", async () => {
    aServer({ "POST /api/me/codes": BEGUN, "PUT /api/me/codes": refused("This code is not right.") });
    shown(<CodesPart on={false} />);
    enter("Your password", "moss under seven stones");
    await user.click(button("Use one-time codes"));
    await user.type(await screen.findByLabelText("The code that it shows now"), "000000{Enter}");
    expect(await screen.findByRole("alert")).toHaveTextContent("This code is not right.");
    expect(screen.queryByTestId("recovery-codes")).toBeNull();
  });
});

describe("another password", () => {
  it("is set, said, and no longer stands there", async () => {
    const sent = aServer({ "PUT /api/me/password": {} });
    shown(<PasswordPart />);
    enter("Password of now", "old one that is long");
    enter("Password from now on", "new one that is long");
    await user.click(button("Change the password"));
    await expect.poll(note).toContain("Your password is changed");
    expect(field("Password of now")).toHaveValue("");
    expect(field("Password from now on")).toHaveValue("");
    expect(sent()[0]?.body).toEqual({ password: "old one that is long", fresh: "new one that is long" });
  });

  it("is refused at the field that is wrong", async () => {
    aServer({
      "PUT /api/me/password": refused("Two things.", [
        { pointer: "/fresh", message: "At least 12 characters." },
      ]),
    });
    shown(<PasswordPart />);
    enter("Password of now", "old one that is long");
    enter("Password from now on", "short");
    await user.click(button("Change the password"));
    expect(await screen.findByRole("alert")).toHaveTextContent("At least 12 characters.");
    expect(field("Password from now on")).toHaveAttribute("aria-invalid", "true");
    expect(field("Password of now")).not.toHaveAttribute("aria-invalid");
  });
});

describe("where one is signed in", () => {
  const SESSIONS = [
    {
      id: "1",
      browser: "Firefox/140.0 (Windows NT 10.0)",
      address: "10.0.0.2",
      since: "2026-11-01T08:00:00Z",
    },
    { id: "2", browser: "", address: "10.0.0.3", since: "2026-11-02T08:00:00Z", here: true },
  ].map((one) => ({ here: false, used: "2026-11-26T08:00:00Z", ...one }));

  it("tells browsers and addresses, and ends one that is not here", async () => {
    let left = SESSIONS;
    const sent = aServer({
      "GET /api/me/sessions": () => left,
      "DELETE /api/me/sessions/1": () => {
        left = SESSIONS.slice(1);
        return {};
      },
    });
    shown(<SessionsPart />);
    expect(await screen.findByText("Firefox on Windows")).toBeInTheDocument();
    expect(screen.getByText(/A browser \(here\)/)).toBeInTheDocument();
    await user.click(button("Sign out there"));
    await expect.poll(() => screen.queryByText("Firefox on Windows")).toBeNull();
    expect(sent()).toHaveLength(1);
  });

  it("says why one does not end", async () => {
    aServer({
      "GET /api/me/sessions": SESSIONS,
      "DELETE /api/me/sessions/1": refused("The database cannot be reached.", [], 503),
    });
    shown(<SessionsPart />);
    await user.click(await screen.findByRole("button", { name: "Sign out there" }));
    await expect.poll(note).toBe("The database cannot be reached.");
    expect(screen.getByText("Firefox on Windows")).toBeInTheDocument();
  });
});

describe("tokens for programs", () => {
  const TOKEN = {
    id: "t",
    name: "Nightly report",
    scope: "READING",
    project: "r",
    expiresAt: "2027-02-01T08:00:00Z",
  };
  const PROJECTS = { "GET /api/projects": [aProject("r", "Ridge")] };

  it("are told with what they may do, where and until when", async () => {
    aServer({
      ...PROJECTS,
      "GET /api/me/tokens": [TOKEN, { ...TOKEN, id: "u", name: "Old", project: "gone" }],
    });
    shown(<TokensPart />);
    const line = await screen.findByText("Nightly report");
    expect(line.parentElement).toHaveTextContent("may read, Ridge");
    expect(line.parentElement).toHaveTextContent("never used");
    expect(screen.getByText("Old").parentElement).toHaveTextContent("may read, one project");
  });

  it("are made for a project and a time, and shown once", async () => {
    const sent = aServer({
      ...PROJECTS,
      "GET /api/me/tokens": [],
      "POST /api/me/tokens": { token: "ty_secret" },
    });
    shown(<TokensPart />);
    await screen.findByRole("option", { name: "in Ridge" });
    await user.selectOptions(field("What it may do"), "may do what you may");
    await user.selectOptions(field("In which project"), "in Ridge");
    await user.selectOptions(field("How long"), "for a year");
    enter("A new token for", "Nightly report");
    await user.click(button("Make it"));
    expect(await screen.findByTestId("fresh-token")).toHaveTextContent("ty_secret");
    expect(field("A new token for")).toHaveValue("");
    expect(sent()[0]?.body).toEqual({ name: "Nightly report", scope: "EVERYTHING", project: "r", days: 366 });
  });

  it("says why one cannot be withdrawn", async () => {
    aServer({
      ...PROJECTS,
      "GET /api/me/tokens": [TOKEN],
      "DELETE /api/me/tokens/t": refused("The database cannot be reached.", [], 503),
    });
    shown(<TokensPart />);
    const line = (await screen.findByText("Nightly report")).parentElement as HTMLElement;
    await user.click(within(line).getByRole("button", { name: "Withdraw" }));
    await expect.poll(note).toBe("The database cannot be reached.");
  });
});
