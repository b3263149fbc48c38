import { describe, expect, it } from "vitest";
import type { Comment, Confirmation, Member, RiskView } from "../api/client";
import { initialsOf, takeEdited, takePresence, usePresence, WINDOW } from "../api/presence";
import { commentsOf } from "./comments";
import { askable, confirmedSentence, risksToAsk, stateSentence } from "./confirmWords";

const AT = "2026-11-26T12:00:00Z";
const about = { section: "risks", key: "R06" };
const comment = (id: string, more: Partial<Comment> = {}): Comment => ({
  id,
  about,
  own: false,
  words: id,
  at: AT,
  ...more,
});
const member = (name: string, ownerName = name, self = false): Member => ({
  id: name,
  name,
  email: `${name}@ridge.example`,
  role: "editor",
  ownerName,
  self,
});
const confirmation = (key: string, state: Confirmation["state"], section = "risks"): Confirmation => ({
  id: key,
  about: { section, key },
  whom: "Rolf",
  mine: false,
  askedAt: AT,
  answeredAt: AT,
  state,
});
const risk = (id: string, owner: string, state = "open") => ({ id, owner, state }) as RiskView;

describe("comments", () => {
  it("stand with their answers, what is resolved apart", () => {
    const { open, closed } = commentsOf(
      [
        comment("a"),
        comment("b", { resolvedAt: AT }),
        comment("c", { answerTo: "a" }),
        comment("d", { about: { section: "risks", key: "R01" } }),
      ],
      about,
    );
    expect(open.map((talk) => [talk.first.id, talk.answers.map((one) => one.id)])).toEqual([["a", ["c"]]]);
    expect(closed.map((talk) => talk.first.id)).toEqual(["b"]);
  });
});

describe("confirmations", () => {
  it("say who said what, and that it was changed since", () => {
    expect(stateSentence(confirmation("R06", "confirmed"))).toMatch(/^Rolf confirmed it, .*26/);
    expect(stateSentence({ ...confirmation("R06", "declined"), mine: true, note: "Rather 1 in 3." })).toMatch(
      /^You said that it does not hold, .*: “Rather 1 in 3.”/,
    );
    expect(stateSentence(confirmation("R06", "stale"))).toContain("changed since");
    expect(stateSentence({ ...confirmation("R06", "asked"), mine: true })).toMatch(/^You are asked since/);
  });

  it("ask whoever the register names first, and oneself last", () => {
    const members = [member("Nora", "Nora", true), member("Mira"), member("Tomas", "Logistics lead")];
    expect(askable(members, "logistics LEAD").map((one) => one.name)).toEqual(["Tomas", "Mira", "Nora"]);
    expect(askable(members, "").map((one) => one.name)).toEqual(["Mira", "Tomas", "Nora"]);
  });

  it("ask each owner about their own open risks that are not settled", () => {
    const asked = risksToAsk(
      [member("Tomas", "Logistics lead"), member("Mira")],
      [
        risk("R1", "Logistics lead"),
        risk("R2", "mira"),
        risk("R3", "Nobody here"),
        risk("R4", "Mira", "closed"),
        risk("R5", "Mira"),
        risk("R6", "Mira"),
      ],
      [confirmation("R5", "confirmed"), confirmation("R6", "stale")],
    );
    expect([...asked]).toEqual([
      ["Tomas@ridge.example", ["R1"]],
      ["Mira@ridge.example", ["R2", "R6"]],
    ]);
  });

  it("tell how much of what odds rest on was confirmed, where anybody was asked", () => {
    const plan = { activities: [{ estimate: {} }, { grade: "rough" }, {}], costs: [] } as never;
    expect(confirmedSentence(plan, 16, [])).toBeUndefined();
    expect(
      confirmedSentence(plan, 16, [
        confirmation("R06", "confirmed"),
        confirmation("S20", "confirmed", "ranges"),
        confirmation("S30", "stale", "ranges"),
      ]),
    ).toBe("Confirmed by their owners: 1 of 16 risks and 1 of 2 ranges of their own; 1 changed since.");
  });
});

describe("who else is here", () => {
  const here = (window: string, person: string) => ({
    window,
    person,
    name: person,
    stage: "risks",
    row: "",
  });

  it("leaves out one's own windows", () => {
    takePresence([here(WINDOW, ""), here("w2", "")], undefined);
    expect(usePresence.getState().here.map((one) => one.window)).toEqual(["w2"]);
    takePresence([here(WINDOW, "me"), here("w2", "me"), here("w3", "you")], "me");
    expect(usePresence.getState().here.map((one) => one.window)).toEqual(["w3"]);
  });

  it("marks what somebody has just edited", () => {
    takeEdited("Edda", ["S20", "S30"]);
    takeEdited("Rolf", ["S30"]);
    expect(usePresence.getState().edited).toEqual({ S20: "Edda", S30: "Rolf" });
  });

  it("is shown by first letters", () => {
    expect(initialsOf("Edda Maria Wirth")).toBe("EW");
    expect(initialsOf("plato")).toBe("P");
  });
});
