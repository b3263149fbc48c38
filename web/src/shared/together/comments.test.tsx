import { fireEvent, screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Comment } from "../api/client";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { useNotes } from "../ui/notify";
import { CommentsPart } from "./CommentsPart";
import { note, user } from "../../test/hands";

const ABOUT = { section: "risks", key: "R1" };
const COMMENTS = "/api/projects/p/comments";

const aComment = (id: string, words: string, more: Partial<Comment> = {}): Comment => ({
  id,
  about: ABOUT,
  by: "Edda Wirth",
  own: false,
  words,
  at: "2026-11-20T08:00:00Z",
  ...more,
});
const members = (role: string) => [
  { id: "o", name: "Olin Dahl", email: "olin@ridge.example", role, self: true },
  { id: "u", name: "Uma Rey", email: "uma@ridge.example", role: "reader", self: false },
];
const talk = (comments: Comment[] | (() => Comment[]), more: object = {}, role = "editor") => {
  const sent = aServer({
    [`GET ${COMMENTS}`]: comments,
    "GET /api/projects/p/members": members(role),
    ...more,
  });
  shown(<CommentsPart project="p" about={ABOUT} />);
  return sent;
};
const said = (id: string) => document.querySelector(`[data-comment="${id}"]`) as HTMLElement;

describe("what is said of a risk", () => {
  it("stands with its answers and who said it; what is resolved stands behind", async () => {
    talk([
      aComment("a", "Is 30 % still right?"),
      aComment("b", "Since the survey, yes.", { answerTo: "a", own: true }),
      aComment("c", "Who owns it?", { resolvedAt: "2026-11-21T08:00:00Z", resolvedBy: "Uma Rey" }),
      aComment("d", "Of another risk", { about: { section: "risks", key: "R2" } }),
      aComment("e", "Gone", { by: undefined }),
    ]);
    expect(await screen.findByText("Is 30 % still right?")).toBeInTheDocument();
    expect(said("a")).toHaveTextContent(/Edda Wirth, .*You, .*Since the survey, yes./);
    expect(said("e")).toHaveTextContent("Somebody who is gone");
    expect(screen.queryByText("Of another risk")).toBeNull();
    expect(screen.queryByText("Who owns it?")).toBeNull();
    await user.click(screen.getByRole("button", { name: "1 resolved comment" }));
    expect(said("c")).toHaveTextContent("Resolved by Uma Rey");
    expect(within(said("c")).getByRole("button", { name: "Open again" })).toBeInTheDocument();
  });

  it("is handed in by Ctrl Enter, and names whom it is for", async () => {
    const sent = talk([], { [`POST ${COMMENTS}`]: {} });
    const field = await screen.findByLabelText("Say something");
    await screen.findByPlaceholderText("Say something; @ names somebody");
    fireEvent.change(field, { target: { value: "Please look at this, @um" } });
    await user.click(await screen.findByRole("button", { name: "@Uma Rey" }));
    expect(field).toHaveValue("Please look at this, @Uma Rey ");
    fireEvent.keyDown(field, { key: "Enter", ctrlKey: true });
    await expect.poll(() => sent().length).toBe(1);
    expect(sent()[0]?.body).toEqual({ about: ABOUT, words: "Please look at this, @Uma Rey " });
    await expect.poll(() => (field as HTMLTextAreaElement).value).toBe("");
  });

  it("stays typed where it is refused, and Esc takes it back", async () => {
    talk([], { [`POST ${COMMENTS}`]: refused("1,000 things are said of this project already.") });
    const field = await screen.findByLabelText("Say something");
    fireEvent.change(field, { target: { value: "One more" } });
    await user.click(screen.getByRole("button", { name: "Say it" }));
    expect(await screen.findByText(/1,000 things are said/)).toBeInTheDocument();
    expect(field).toHaveValue("One more");
    fireEvent.keyDown(field, { key: "Escape" });
    expect(field).toHaveValue("");
    expect(screen.queryByRole("button", { name: "Say it" })).toBeNull();
  });

  it("is answered", async () => {
    const sent = talk([aComment("a", "Is 30 % still right?")], { [`POST ${COMMENTS}`]: {} });
    await user.click(await screen.findByRole("button", { name: "Answer" }));
    fireEvent.change(screen.getByLabelText("Answer"), { target: { value: "Yes." } });
    await user.click(within(said("a")).getByRole("button", { name: "Answer" }));
    await expect
      .poll(() => sent().map(({ body }) => body))
      .toEqual([{ about: ABOUT, answerTo: "a", words: "Yes." }]);
    await expect.poll(() => screen.queryByLabelText("Answer")).toBeNull();
  });

  it("is changed and taken away by whoever said it, unless that is refused", async () => {
    const sent = talk([aComment("a", "Thirty", { own: true }), aComment("b", "Forty")], {
      [`PATCH ${COMMENTS}/a`]: refused("It was answered meanwhile."),
      [`DELETE ${COMMENTS}/a`]: refused("It was answered meanwhile."),
    });
    await screen.findByText("Thirty");
    expect(within(said("b")).queryByRole("button", { name: "Edit" })).toBeNull();
    await user.click(within(said("a")).getByRole("button", { name: "Edit" }));
    fireEvent.change(screen.getByLabelText("Your comment"), { target: { value: "Thirty-one" } });
    await user.click(screen.getByRole("button", { name: "Keep" }));
    await expect.poll(note).toBe("It was answered meanwhile.");
    expect(screen.getByLabelText("Your comment")).toHaveValue("Thirty-one");
    fireEvent.keyDown(screen.getByLabelText("Your comment"), { key: "Escape" });
    useNotes.getState().dismiss();
    await user.click(within(said("a")).getByRole("button", { name: "Take away" }));
    await expect.poll(note).toBe("It was answered meanwhile.");
    expect(sent().map(({ method }) => method)).toEqual(["PATCH", "DELETE"]);
  });

  it("is resolved", async () => {
    let resolvedAt: string | undefined;
    const sent = talk(() => [aComment("a", "Is 30 % still right?", { resolvedAt })], {
      [`PATCH ${COMMENTS}/a`]: () => {
        resolvedAt = "2026-11-21T08:00:00Z";
        return {};
      },
    });
    await user.click(await screen.findByRole("button", { name: "Resolved" }));
    expect(await screen.findByRole("button", { name: "1 resolved comment" })).toBeInTheDocument();
    expect(sent()[0]?.body).toEqual({ resolved: true });
  });

  it("is only read by readers", async () => {
    talk([], {}, "reader");
    expect(await screen.findByText("Nothing was said yet.")).toBeInTheDocument();
    expect(screen.queryByLabelText("Say something")).toBeNull();
  });
});
