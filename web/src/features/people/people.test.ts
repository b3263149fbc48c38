import { describe, expect, it } from "vitest";
import { ApiError } from "../../shared/api/client";
import { browserName } from "./browserName";
import { noticeAddress, noticeSentence } from "./notices";
import { saidOf, saidOtherwise } from "./problems";
import { roleName } from "./roles";

const notice = {
  id: "n",
  project: "p",
  projectName: "Ridge",
  kind: "ask" as const,
  about: { section: "ranges", key: "S20" },
  by: "Edda Wirth",
  at: "2026-11-26T12:00:00Z",
  read: false,
};

describe("what waits for somebody", () => {
  it("says who wants what of them", () => {
    expect(noticeSentence(notice)).toBe("Edda Wirth asks you to confirm the range of S20");
    expect(noticeSentence({ ...notice, kind: "declined", about: { section: "risks", key: "R06" } })).toBe(
      "Edda Wirth says that risk R06 does not hold",
    );
    expect(noticeSentence({ ...notice, kind: "mention", by: undefined })).toContain("Somebody named you");
    expect(noticeSentence({ ...notice, kind: "answer", about: { section: "runs", key: "0191-…" } })).toBe(
      "Edda Wirth answered you, on a run",
    );
  });

  it("leads to where that is seen", () => {
    expect(noticeAddress(notice)).toBe("/projects/p/ranges?row=S20");
    expect(noticeAddress({ ...notice, about: { section: "wbs", key: "1 a" } })).toBe(
      "/projects/p/plan?row=1%20a",
    );
    expect(noticeAddress({ ...notice, about: { section: "runs", key: "r" } })).toBe("/projects/p/odds");
    expect(noticeAddress({ ...notice, about: { section: "scenarios", key: "S1" } })).toBe(
      "/projects/p/scenarios?row=S1",
    );
  });
});

describe("words about people", () => {
  it("tells browsers apart by what they call themselves", () => {
    const agent = "Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/140.0 Safari/537.36";
    expect(browserName(agent)).toBe("Chromium or Chrome on Linux");
    expect(browserName("Mozilla/5.0 (Windows NT 10.0; rv:140.0) Gecko/20100101 Firefox/140.0")).toBe(
      "Firefox on Windows",
    );
    expect(browserName("")).toBe("A browser");
  });

  it("puts what is wrong beside the field it is about", () => {
    const error = new ApiError(422, "too short; taken", [
      { pointer: "/password", message: "too short" },
      { pointer: "/email", message: "taken" },
    ]);
    expect(saidOf(error, "email")).toBe("taken");
    expect(saidOf(error, "name")).toBeUndefined();
    expect(saidOtherwise(error, "email", "password")).toBeUndefined();
    expect(saidOtherwise(new ApiError(503, "Try again.", []), "email")).toBe("Try again.");
  });

  it("calls a part by its name", () => {
    expect(roleName("risk-owner")).toBe("Risk owner");
  });
});
