import { screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { DoorPage } from "./DoorPage";
import { JoinPage } from "./JoinPage";
import { SignInForm } from "./SignInForm";
import { button, enter, field, user } from "../../test/hands";

const NOBODY = { signedIn: false, alone: false, mail: false };

describe("the door", () => {
  it("says how to come in where nobody has an account", () => {
    shown(<DoorPage alone />);
    expect(screen.getByRole("heading")).toHaveTextContent("belongs to whoever started it");
    expect(screen.queryByLabelText("Password")).toBeNull();
  });

  it("leads to single sign-on where there is one, and says why it let nobody in", () => {
    shown(<DoorPage alone={false} singleSignOn="the ridge's directory" />, "/?refused=account");
    expect(screen.getByRole("link", { name: "Sign in by the ridge's directory" })).toHaveAttribute(
      "href",
      "/oidc/start/sso",
    );
    expect(screen.getByText(/no account here with an address that was verified/)).toBeInTheDocument();
  });

  it("says nothing of a reason that it does not know", () => {
    shown(<DoorPage alone={false} />, "/?refused=nonsense");
    expect(screen.getByRole("heading")).toHaveTextContent("Sign in");
    expect(screen.queryByRole("alert")).toBeNull();
  });
});

describe("signing in", () => {
  it("is by address and password", async () => {
    const inside = vi.fn();
    const sent = aServer({ "GET /api/me": NOBODY, "POST /api/session": { codeNeeded: false } });
    shown(<SignInForm onIn={inside} />);
    enter("E-mail address", "edda@ridge.example");
    enter("Password", "moss under seven stones");
    await user.click(button("Sign in"));
    await expect.poll(() => inside.mock.calls.length).toBe(1);
    expect(sent()[0]?.body).toEqual({
      email: "edda@ridge.example",
      password: "moss under seven stones",
      code: "",
    });
  });

  it("asks for a code where the account has them, and says that one is wrong", async () => {
    const inside = vi.fn();
    aServer({
      "GET /api/me": NOBODY,
      "POST /api/session": ({ body }: { body: unknown }) => {
        const { code } = body as { code: string };
        if (code === "") return { codeNeeded: true };
        return code === "123456" ? { codeNeeded: false } : refused("This code is not right.");
      },
    });
    shown(<SignInForm email="edda@ridge.example" onIn={inside} />);
    expect(field("Password")).toHaveFocus();
    enter("Password", "moss under seven stones");
    await user.click(button("Sign in"));
    const code = await screen.findByLabelText("One-time code");
    await user.type(code, "000000{Enter}");
    expect(await screen.findByText("This code is not right.")).toBeInTheDocument();
    expect(inside).not.toHaveBeenCalled();
    enter("One-time code", "123456");
    await user.click(button("Sign in"));
    await expect.poll(() => inside.mock.calls.length).toBe(1);
  });

  it("keeps what was typed where it is refused", async () => {
    aServer({ "GET /api/me": NOBODY, "POST /api/session": refused("Address or password is not right.") });
    shown(<SignInForm onIn={vi.fn()} />);
    enter("E-mail address", "edda@ridge.example");
    enter("Password", "wrong");
    await user.click(button("Sign in"));
    expect(await screen.findByText("Address or password is not right.")).toBeInTheDocument();
    expect(field("E-mail address")).toHaveValue("edda@ridge.example");
    expect(field("Password")).toHaveValue("wrong");
  });

  it("sends a link for another password where there is mail, once an address stands there", async () => {
    const sent = aServer({ "GET /api/me": { ...NOBODY, mail: true }, "POST /api/lost": {} });
    shown(<SignInForm onIn={vi.fn()} />);
    const link = await screen.findByRole("button", { name: "Send a link for another" });
    expect(link).toBeDisabled();
    enter("E-mail address", "edda@ridge.example");
    expect(link).toBeEnabled();
    await user.click(link);
    expect(await screen.findByRole("status")).toHaveTextContent(
      "If somebody here signs in as edda@ridge.example, a link",
    );
    expect(sent()[0]?.body).toEqual({ email: "edda@ridge.example" });
  });

  it("says who can help where there is none", () => {
    aServer({ "GET /api/me": NOBODY });
    shown(<SignInForm onIn={vi.fn()} />);
    expect(screen.getByText(/Whoever looks after this server makes you a link/)).toBeInTheDocument();
  });
});

describe("a link to come in by", () => {
  const joining = () =>
    shown(
      <Routes>
        <Route path="/join/:key" element={<JoinPage />} />
      </Routes>,
      "/join/k1",
    );
  const WELCOME = { "GET /api/join/k1": { name: "Edda Wirth", email: "edda@ridge.example" } };

  it("opens nothing once it is used", async () => {
    aServer({ "GET /api/join/k1": refused("This link was used, or is too old.", [], 404) });
    joining();
    expect(await screen.findByText("This link was used, or is too old.")).toBeInTheDocument();
  });

  it("wants the same password twice before it asks the server", async () => {
    const sent = aServer({ ...WELCOME, "POST /api/join/k1": {} });
    joining();
    expect(await screen.findByRole("heading")).toHaveTextContent("Welcome, Edda Wirth");
    enter("Password", "moss under seven stones");
    enter("The same again", "moss under seven stone");
    await user.click(button("Set the password"));
    expect(screen.getByRole("alert")).toHaveTextContent("The two are not the same.");
    expect(sent()).toEqual([]);
    enter("The same again", "moss under seven stones");
    await user.click(button("Set the password"));
    expect(await screen.findByRole("link", { name: "Sign in" })).toHaveAttribute("href", "/projects");
    expect(sent()[0]?.body).toEqual({ password: "moss under seven stones" });
  });

  it("says at the field why a password will not do", async () => {
    aServer({
      ...WELCOME,
      "POST /api/join/k1": refused("Too short.", [{ pointer: "/password", message: "It has 5 characters." }]),
    });
    joining();
    await screen.findByRole("heading");
    enter("Password", "short");
    enter("The same again", "short");
    await user.click(button("Set the password"));
    expect(await screen.findByRole("alert")).toHaveTextContent("It has 5 characters.");
    expect(field("Password")).toHaveAttribute("aria-invalid", "true");
    expect(screen.queryByText("Too short.")).toBeNull();
  });
});
