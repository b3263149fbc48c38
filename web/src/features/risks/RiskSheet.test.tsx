import { screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { RiskEdits } from "../../shared/api/risks";
import { aPlan } from "../../test/aPlan";
import { A_RESPONSE, aRisk, anEffect } from "../../test/aRisk";
import { shown } from "../../test/shown";
import { ActionList } from "./ActionList";
import { AssignBar } from "./AssignBar";
import { DependsPart } from "./DependsPart";
import { ScorePart } from "./ScorePart";
import { StatePart } from "./StatePart";
import { user } from "../../test/hands";

const change = () => vi.fn(() => Promise.resolve(undefined));

describe("the state of a risk", () => {
  it("is closed for a reason alone", async () => {
    const changed = change();
    shown(<StatePart plan={aPlan()} risk={aRisk("R1")} change={changed} />);
    await user.selectOptions(screen.getByRole("combobox", { name: "State" }), "closed");
    await user.click(screen.getByRole("button", { name: "Close it" }));
    expect(screen.getByRole("alert")).toHaveTextContent("Say why it is closed");
    await user.type(screen.getByLabelText("Because"), "bought at home{Enter}");
    await user.click(screen.getByRole("button", { name: "Close it" }));
    expect(changed).toHaveBeenCalledWith({ state: "closed", closedBecause: "bought at home" });
  });

  it("is a fact once it has occurred, with what it took", async () => {
    const changed = change();
    shown(<StatePart plan={aPlan()} risk={aRisk("R1")} change={changed} />);
    await user.selectOptions(screen.getByRole("combobox", { name: "State" }), "occurred");
    await user.type(screen.getByLabelText("Days it took"), "many{Enter}");
    await user.click(screen.getByRole("button", { name: "It has occurred" }));
    expect(screen.getByRole("alert")).toHaveTextContent("Days are a number");
    const days = screen.getByLabelText("Days it took");
    await user.clear(days);
    await user.type(days, "7{Enter}");
    await user.click(screen.getByRole("button", { name: "It has occurred" }));
    expect(changed).toHaveBeenCalledWith({
      state: "occurred",
      occurred: { on: "2027-03-01", days: 7, money: 0 },
    });
  });

  it("is opened again without a question", async () => {
    const changed = change();
    shown(<StatePart plan={aPlan()} risk={aRisk("R1", { state: "closed" })} change={changed} />);
    await user.selectOptions(screen.getByRole("combobox", { name: "State" }), "open");
    expect(changed).toHaveBeenCalledWith({ state: "open" });
  });
});

describe("the score of a risk", () => {
  const scheme = {
    chance: [
      { name: "rare", from: 0, to: 0.5 },
      { name: "likely", from: 0.5, to: 1 },
    ],
    effects: [{ kind: "safety", name: "Safety", unit: "", levels: [{ name: "none" }, { name: "harm" }] }],
    tolerated: [2, 1],
  };

  it("is a level of each kind, and gone once none is said", async () => {
    const changed = change();
    const score = { chance: 0, effects: { safety: 2 }, product: 0, beyond: false };
    shown(<ScorePart risk={aRisk("R1", { score })} scheme={scheme} change={changed} />);
    await user.selectOptions(screen.getByLabelText("Chance"), "2");
    expect(changed).toHaveBeenCalledWith({ score: { safety: 2, chance: 2 } });
    await user.selectOptions(screen.getByLabelText("Safety"), "0");
    expect(changed).toHaveBeenLastCalledWith({ score: null });
  });

  it("is asked for after the response where there is one", () => {
    shown(<ScorePart risk={aRisk("R1", { response: A_RESPONSE })} scheme={scheme} change={change()} />);
    expect(screen.getByLabelText("Safety, after")).toBeInTheDocument();
  });
});

describe("what a risk hangs together with", () => {
  it("is another risk that occurred, or did not, and a group", async () => {
    const changed = change();
    const risks = [aRisk("R1"), aRisk("R2", { exclusiveGroup: "crane" })];
    shown(<DependsPart risk={risks[0]!} risks={risks} change={changed} />);
    await user.selectOptions(screen.getByLabelText("Only if"), "not R2");
    expect(changed).toHaveBeenCalledWith({ onlyIf: { risk: "R2", occurs: false } });
    await user.type(screen.getByLabelText("One of"), "crane{Enter}");
    expect(changed).toHaveBeenCalledWith({ exclusiveGroup: "crane" });
  });
});

describe("the actions of a response", () => {
  const action = {
    name: "Trial lift",
    cost: 22_000,
    start: "2027-10-01",
    finish: "2027-10-15",
    owner: "Site manager",
    state: "planned",
    progress: 0,
  };

  it("are changed one field at a time, and what is no amount is told", async () => {
    const onActions = change();
    shown(<ActionList plan={aPlan()} actions={[action]} onActions={onActions} />);
    const cost = screen.getByLabelText("Cost of action 1");
    await user.clear(cost);
    await user.type(cost, "a lot{Enter}");
    expect(await screen.findByRole("alert")).toHaveTextContent("A cost is an amount");
    await user.clear(cost);
    await user.type(cost, "25k{Enter}");
    expect(onActions).toHaveBeenCalledWith([{ ...action, cost: 25_000 }]);
    await user.selectOptions(screen.getByLabelText("State of action 1"), "done");
    expect(onActions).toHaveBeenLastCalledWith([{ ...action, state: "done", progress: 1, done: undefined }]);
  });

  it("grow by typing what is done", async () => {
    const onActions = change();
    shown(<ActionList plan={aPlan()} actions={[]} onActions={onActions} />);
    await user.type(screen.getByLabelText("Add an action"), "Ask the agency{Enter}");
    expect(onActions).toHaveBeenCalledWith([
      expect.objectContaining({ name: "Ask the agency", start: "2027-03-01", finish: "2027-03-31" }),
    ]);
  });
});

describe("giving rows to a risk", () => {
  const edits = () => ({ risks: vi.fn(() => Promise.resolve({})) }) as unknown as RiskEdits;
  const risks = [aRisk("R1", { effects: [anEffect({ on: ["A10"] })] }), aRisk("R2")];

  it("takes codes or names, and asks how much where nothing is known", async () => {
    const send = edits();
    const onClose = vi.fn();
    shown(
      <AssignBar
        plan={aPlan()}
        risks={risks}
        begun={{ risks: ["R2"], rows: [] }}
        edits={send}
        onClose={onClose}
      />,
    );
    const bar = within(screen.getByRole("group", { name: "Give rows to a risk" }));
    await user.type(bar.getByLabelText("strikes"), "nothing{Enter}");
    expect(screen.getByRole("alert")).toHaveTextContent("There is nothing called “nothing”.");
    await user.clear(bar.getByLabelText("strikes"));
    await user.type(bar.getByLabelText("strikes"), "A20, Work A10{Enter}");
    expect(screen.getByRole("alert")).toHaveTextContent("R2 has no effect yet");
    await user.type(bar.getByLabelText("How much"), "2..5d{Enter}");
    expect(send.risks).toHaveBeenCalledWith([{ id: "R2", time: "2..5d on A20, A10" }]);
    expect(onClose).toHaveBeenCalled();
  });

  it("lets them join what the risk does already", async () => {
    const send = edits();
    shown(
      <AssignBar
        plan={aPlan()}
        risks={risks}
        begun={{ risks: ["R1"], rows: ["A20"] }}
        edits={send}
        onClose={vi.fn()}
      />,
    );
    await user.click(screen.getByRole("button", { name: "Assign" }));
    expect(send.risks).toHaveBeenCalledWith([
      { id: "R1", impacts: [expect.objectContaining({ on: ["A10", "A20"] })] },
    ]);
  });
});
