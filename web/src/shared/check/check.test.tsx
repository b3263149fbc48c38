import { fireEvent, screen, within } from "@testing-library/react";
import type { UseQueryResult } from "@tanstack/react-query";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { CheckView, FindingView } from "../api/client";
import { useGridStore, viewOf } from "../grid/gridStore";
import { anEdit } from "../../test/anEdit";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { CheckPanel } from "./CheckPanel";
import { user } from "../../test/hands";

const FIX = "POST /api/projects/p/check/fix";
const ACCEPT = "POST /api/projects/p/check/accept";
const WORDS = {
  openEnd: { title: "Nothing follows", why: "What delays it is not seen." },
  lag: { title: "Lags that are long", why: "They hide work." },
  negative: { title: "Negative float", why: "It cannot be held." },
};

const aFinding = (check: string, on: string, more: Partial<FindingView> = {}): FindingView => ({
  check,
  on,
  message: `${on} has no successor`,
  fixable: false,
  ...more,
});
const panel = (findings: FindingView[], answers: object = {}) => {
  const sent = aServer(answers as Record<string, object>);
  shown(
    <CheckPanel
      plan={aPlan()}
      label="Check"
      title="Plan check"
      check={{ data: { findings }, isError: false } as unknown as UseQueryResult<CheckView>}
      words={WORDS}
      sentence={(open, accepted) => `${open} open, ${accepted} accepted.`}
      onClose={vi.fn()}
    />,
  );
  return sent;
};
const group = (title: string) => screen.getByRole("region", { name: title });

beforeEach(() => useGridStore.setState({ views: {} }));

describe("what a check has found", () => {
  it("stands fault by fault, with what is free of faults said at the end", () => {
    panel([
      aFinding("openEnd", "A10"),
      aFinding("openEnd", "project", { message: "three activities end nowhere" }),
      aFinding("lag", "A20", { accepted: "The concrete cures" }),
    ]);
    expect(screen.getByText(/2 open, 1 accepted\./)).toBeInTheDocument();
    expect(group("Nothing follows")).toHaveTextContent("Three activities end nowhere.");
    expect(group("Lags that are long")).toHaveTextContent("1 accepted");
    expect(group("Lags that are long")).toHaveTextContent("A20: accepted because “The concrete cures”");
    expect(screen.getByText(/Nothing found by the others: negative float\./)).toBeInTheDocument();
    expect(screen.queryByRole("region", { name: "Negative float" })).toBeNull();
  });

  it("leads to its row, and shows the rows alone", async () => {
    panel([aFinding("openEnd", "A10"), aFinding("openEnd", "A20")]);
    await user.click(screen.getByRole("button", { name: /^A20/ }));
    expect(viewOf(useGridStore.getState(), "p").active).toEqual({ row: "A20", column: "name" });
    await user.click(screen.getByRole("button", { name: "Show the rows" }));
    expect([...(viewOf(useGridStore.getState(), "p").search.rows?.ids ?? [])]).toEqual(["A10", "A20"]);
  });

  it("is told up to twelve times", () => {
    panel(Array.from({ length: 30 }, (_, i) => aFinding("openEnd", `B${i}`)));
    expect(within(group("Nothing follows")).getByText("and 18 more")).toBeInTheDocument();
    expect(document.querySelectorAll("[data-finding]")).toHaveLength(12);
  });

  it("is mended where it can be, or says why not", async () => {
    let answer: object = refused("somebody else has changed A10");
    const sent = panel([aFinding("openEnd", "A10", { fixable: true }), aFinding("openEnd", "A20")], {
      [FIX]: () => answer,
    });
    await user.click(screen.getByRole("button", { name: "Mend 1" }));
    expect(await screen.findByText("Somebody else has changed A10.")).toBeInTheDocument();
    answer = anEdit();
    await user.click(screen.getByRole("button", { name: "Mend 1" }));
    await expect.poll(() => screen.queryByText("Somebody else has changed A10.")).toBeNull();
    expect(sent()[0]?.body).toEqual({ check: "openEnd", on: ["A10"] });
  });

  it("is no fault for a reason, which stays typed where it is refused", async () => {
    const sent = panel([aFinding("openEnd", "A10")], { [ACCEPT]: refused("a reason is needed") });
    await user.click(screen.getByRole("button", { name: "It is no fault because…" }));
    const why = screen.getByLabelText("Why nothing follows is no fault");
    expect(why).toHaveFocus();
    await user.type(why, "It ends there{Enter}");
    expect(await screen.findByText("A reason is needed.")).toBeInTheDocument();
    expect(why).toHaveValue("It ends there");
    expect(sent()[0]?.body).toEqual({
      check: "openEnd",
      on: ["A10"],
      findings: ["A10 has no successor"],
      reason: "It ends there",
    });
    fireEvent.keyDown(why, { key: "Escape" });
    expect(screen.queryByLabelText("Why nothing follows is no fault")).toBeNull();
  });

  it("is a fault again once the reason is withdrawn", async () => {
    const sent = panel([aFinding("openEnd", "A10", { accepted: "It ends there" })], { [ACCEPT]: anEdit() });
    expect(screen.queryByRole("button", { name: "It is no fault because…" })).toBeNull();
    await user.click(screen.getByRole("button", { name: "Withdraw" }));
    await expect.poll(() => sent().length).toBe(1);
    expect(sent()[0]?.body).toEqual({ check: "openEnd", on: ["A10"], findings: ["A10 has no successor"] });
  });

  it("cannot be told where the plan cannot be checked, and is asked for again", async () => {
    const refetch = vi.fn();
    shown(
      <CheckPanel
        plan={aPlan()}
        label="Check"
        title="Plan check"
        check={
          {
            isError: true,
            error: new Error("The plan has a loop."),
            refetch,
          } as unknown as UseQueryResult<CheckView>
        }
        words={WORDS}
        sentence={() => ""}
        onClose={vi.fn()}
      />,
    );
    expect(screen.getByRole("alert")).toHaveTextContent("It cannot be checked: The plan has a loop.");
    await user.click(within(screen.getByRole("alert")).getByRole("button"));
    expect(refetch).toHaveBeenCalled();
  });
});
