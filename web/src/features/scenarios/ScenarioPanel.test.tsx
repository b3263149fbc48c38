import { screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { PlanView, RiskView, ScenarioRow, ScenariosView } from "../../shared/api/client";
import type { ScenarioEdits } from "../../shared/api/scenarios";
import { shown } from "../../test/shown";
import { ScenarioPanel } from "./ScenarioPanel";
import { ScenarioTable } from "./ScenarioTable";
import { row } from "./testRow";
import type { ScenariosLook } from "./scenariosStore";
import { user } from "../../test/hands";

const plan = { project: { id: "p", currency: "EUR", targetFinish: "2028-10-02T17:00" } } as PlanView;
const risks = [
  {
    id: "R01",
    title: "Permit late",
    category: "Authorities/Permits",
    state: "open",
    response: { cost: 14000, decided: false },
  },
  { id: "R06", title: "Customs", category: "Authorities/Customs", state: "open" },
  { id: "R09", title: "It happened", category: "Site", state: "occurred" },
] as unknown as RiskView[];

function setUp(chosen: ScenarioRow) {
  const change = vi.fn(() => Promise.resolve({}));
  const edits = { change, remove: vi.fn(), takeOver: vi.fn() } as unknown as ScenarioEdits;
  const set = vi.fn();
  const look = { base: "", sort: "order", down: false, set } as unknown as ScenariosLook;
  const rows = [row(""), row("V1", { risks: { R01: "response" } })].map((one) =>
    one.id === chosen.id ? chosen : one,
  );
  const view = { revision: 1, level: 80, base: "", rows } as ScenariosView;
  const common = { plan, view, row: chosen, risks, edits, look };
  return { change, set, common, rows };
}

describe("the panel of a scenario", () => {
  it("switches a risk, and offers no switch that means nothing", async () => {
    const { change, common } = setUp(row("V1", { risks: { R01: "response" } }));
    shown(<ScenarioPanel {...common} onEnter={vi.fn()} onTakeOver={vi.fn()} />);
    expect(screen.getByRole("radio", { name: "R01 answered" })).toBeChecked();
    expect(screen.queryByRole("radio", { name: "R06 answered" })).toBeNull();
    expect(screen.queryByRole("radio", { name: "R09 off" })).toBeNull();
    await user.click(screen.getByRole("radio", { name: "R01 off" }));
    expect(change).toHaveBeenCalledWith([{ id: "V1", risks: { R01: "off" } }]);
    await user.click(screen.getByRole("radio", { name: "All of Authorities: off" }));
    expect(change).toHaveBeenLastCalledWith([
      { id: "V1", categories: { Authorities: "off" }, risks: { R01: null } },
    ]);
  });

  it("makes a scenario of a switch on the plan itself", async () => {
    const { change, set, common } = setUp(row(""));
    shown(<ScenarioPanel {...common} onEnter={vi.fn()} onTakeOver={vi.fn()} />);
    await user.click(screen.getByRole("radio", { name: "R06 off" }));
    expect(change).toHaveBeenCalledWith([{ id: "V2", add: true, name: "R06 off", risks: { R06: "off" } }]);
    await vi.waitFor(() => expect(set).toHaveBeenCalledWith(expect.objectContaining({ chosen: "V2" })));
  });

  it("refuses a target and a budget that are none, in their fields", async () => {
    const { change, common } = setUp(row("V1"));
    shown(<ScenarioPanel {...common} onEnter={vi.fn()} onTakeOver={vi.fn()} />);
    await user.type(screen.getByLabelText("Budget"), "plenty{Enter}");
    expect(await screen.findByRole("alert")).toHaveTextContent("An amount is needed, such as 5.2m");
    await user.type(screen.getByLabelText("Budget"), "{Escape}");
    await user.type(screen.getByLabelText("Target"), "2 Nov 2028{Enter}");
    await vi.waitFor(() =>
      expect(change).toHaveBeenCalledWith([{ id: "V1", targets: { finish: "2028-11-02T17:00" } }]),
    );
  });

  it("tells what no longer fits by row, and gives an edit up", async () => {
    const edit = {
      section: "activities",
      title: "Activity",
      key: "S40",
      name: "Road",
      what: "changed",
      fields: [{ name: "duration", before: "40d", after: "26d" }],
    };
    const { change, common } = setUp(
      row("V1", {
        edits: [edit],
        editCount: 1,
        misfits: [
          { section: "activities", key: "S40", idle: true, why: "it is no longer in the plan" },
          { section: "risks", key: "R99", idle: true, why: "it is no longer in the register" },
        ],
      }),
    );
    shown(<ScenarioPanel {...common} onEnter={vi.fn()} onTakeOver={vi.fn()} />);
    expect(screen.getByText("It has no effect: it is no longer in the plan.")).toBeInTheDocument();
    expect(screen.getByText("R99: it is no longer in the register.")).toBeInTheDocument();
    await user.click(screen.getByRole("button", { name: "Give up: S40 duration 40d → 26d" }));
    expect(change).toHaveBeenCalledWith([{ id: "V1", forget: [{ section: "activities", key: "S40" }] }]);
  });
});

describe("the table of scenarios", () => {
  it("ticks by the space bar, goes by arrows, sorts by its headers", async () => {
    const { set, common, rows } = setUp(row("V1"));
    shown(
      <ScenarioTable
        view={common.view}
        rows={rows}
        ticked={[""]}
        look={common.look}
        chosen="V1"
        currency="EUR"
        hasMoney
      />,
    );
    const line = within(screen.getByRole("table")).getByText("Scenario V1").closest("tr") as HTMLElement;
    line.focus();
    await user.keyboard(" ");
    expect(set).toHaveBeenLastCalledWith({ ticked: ["", "V1"] });
    await user.keyboard("{ArrowUp}");
    expect(set).toHaveBeenLastCalledWith({ chosen: "" });
    await user.click(screen.getByRole("button", { name: "costs now" }));
    expect(set).toHaveBeenLastCalledWith({ sort: "now", down: false });
    expect(screen.getAllByText("being worked out…")).toHaveLength(2);
  });
});
