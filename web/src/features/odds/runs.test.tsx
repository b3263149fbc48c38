import { fireEvent, screen, within } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { RunView } from "../../shared/api/client";
import { aPlan } from "../../test/aPlan";
import { aRun } from "../../test/aRun";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { RunControl } from "./RunControl";
import { FRESH, useRunSettings } from "./runRequest";
import { RunsDialog } from "./RunsDialog";
import { button, note, user } from "../../test/hands";

beforeEach(() => {
  useRunSettings.setState(FRESH);
});

describe("a run that is begun", () => {
  const control = (started = vi.fn()) => shown(<RunControl plan={aPlan()} onStarted={started} />);

  it("has the settings that were typed", async () => {
    const started = vi.fn();
    const sent = aServer({ "POST /api/projects/p/runs": aRun(1) });
    control(started);
    await user.click(button("Settings of the run: 10,000"));
    const type = (name: string, value: string) =>
      fireEvent.change(screen.getByRole("textbox", { name }), { target: { value } });
    type("Iterations", "5000");
    type("Until steady, %", "2");
    type("Seed", "17");
    type("Name", "Before the board");
    await user.selectOptions(screen.getByRole("combobox", { name: "Sampling" }), "Plain");
    expect(screen.getByLabelText(/^Settings of the run/)).toHaveAttribute(
      "aria-label",
      "Settings of the run: 5000, until 2 %, seed 17",
    );
    fireEvent.click(screen.getByText("Record a run"));
    await expect.poll(() => started.mock.calls.length).toBe(1);
    expect(sent()[0]?.body).toMatchObject({ iterations: 5000, seed: 17, name: "Before the board" });
  });

  it("is not begun by settings that make none, and says which", () => {
    const sent = aServer({});
    useRunSettings.setState({ iterations: "50" });
    control();
    expect(screen.getByRole("alert")).toHaveTextContent(
      "Iterations must be a whole number from 100 to 1,000,000, not “50”.",
    );
    expect(button("Record a run")).toBeDisabled();
    useRunSettings.setState({ iterations: "500", seed: "-3" });
    expect(sent()).toEqual([]);
  });

  it("says why the server begins none", async () => {
    const started = vi.fn();
    aServer({
      "POST /api/projects/p/runs": refused("It would take 9 GB of memory. Watch fewer activities."),
    });
    control(started);
    await user.click(button("Record a run"));
    expect(await screen.findByRole("alert")).toHaveTextContent("It would take 9 GB of memory.");
    expect(started).not.toHaveBeenCalled();
  });
});

describe("a run at work", () => {
  const atWork = (paused: boolean) =>
    shown(
      <RunControl
        plan={aPlan()}
        running={aRun(3, { state: "running", progress: { done: 2_500, paused } as RunView["progress"] })}
        onStarted={vi.fn()}
      />,
    );

  it("says how far it is, and is held, gone on with and stopped", async () => {
    const sent = aServer({
      "POST /api/runs/run3/pause": aRun(3),
      "POST /api/runs/run3/resume": aRun(3),
      "POST /api/runs/run3/stop": aRun(3),
    });
    const { unmount } = atWork(false);
    expect(screen.getByRole("progressbar")).toHaveAttribute("aria-valuenow", "25");
    expect(screen.getByText("Run 3: 25 %")).toBeInTheDocument();
    await user.click(button("Hold"));
    unmount();
    atWork(true);
    await user.click(button("Go on"));
    await user.click(button("Stop and keep"));
    await expect
      .poll(() => sent().map(({ path }) => path))
      .toEqual(["/api/runs/run3/pause", "/api/runs/run3/resume", "/api/runs/run3/stop"]);
  });

  it("says why it cannot be held", async () => {
    aServer({ "POST /api/runs/run3/pause": refused("This run has ended already.", [], 409) });
    atWork(false);
    await user.click(button("Hold"));
    await expect.poll(note).toBe("This run has ended already.");
  });
});

describe("recorded runs", () => {
  const open = vi.fn();
  const compare = vi.fn();
  const dialog = (runs: RunView[], of?: string) =>
    shown(
      <RunsDialog
        plan={aPlan()}
        runs={runs}
        shown={of}
        onOpen={open}
        onCompare={compare}
        onClose={() => undefined}
      />,
    );
  const line = (number: number) => document.querySelector(`[data-run="${number}"]`) as HTMLElement;
  const press = (number: number, name: string) =>
    user.click(within(line(number)).getByRole("button", { name }));
  const NOTHING_SAID = { "GET /api/projects/p/comments": [], "GET /api/projects/p/members": [] };

  beforeEach(() => vi.clearAllMocks());

  it("say how each was made and how far it lies from the one that is open", () => {
    aServer(NOTHING_SAID);
    dialog(
      [
        aRun(3, { levelFinish: "2028-06-11T17:00:00", own: false, by: "Edda Wirth", revision: 0 }),
        aRun(2, { state: "failed", failure: "The plan has a loop.", levelFinish: undefined, done: 0 }),
        aRun(1, { tolerance: 0.02, done: 4_000, state: "stopped" }),
      ],
      "run1",
    );
    expect(line(3)).toHaveTextContent("by Edda Wirth, 10,000 futures, seed 4711");
    expect(line(3)).toHaveTextContent(", +10 days");
    expect(within(line(3)).getByRole("button", { name: "What changed since" })).toBeInTheDocument();
    expect(line(2)).toHaveTextContent("failed: The plan has a loop.");
    expect(within(line(2)).getByRole("button", { name: "Open" })).toBeDisabled();
    expect(line(1)).toHaveTextContent("4,000 futures until steady to 2 %, seed 4711, stopped early");
    expect(line(1)).toHaveTextContent("Made from the plan as it is");
    expect(within(line(1)).queryByRole("button", { name: "Put beside what is shown" })).toBeNull();
  });

  it("say what recording is for where there is none", () => {
    dialog([]);
    expect(screen.getByText(/No run is recorded yet/)).toBeInTheDocument();
  });

  it("are opened, put beside, made again and gone on with", async () => {
    aServer({
      ...NOTHING_SAID,
      "POST /api/runs/run1/again": aRun(9),
      "POST /api/runs/run1/resume": aRun(1, { state: "running" }),
    });
    dialog([aRun(1, { state: "interrupted", done: 3_000 })]);
    await press(1, "Open");
    await press(1, "Put beside what is shown");
    await press(1, "Run again");
    await press(1, "Go on with it");
    await expect.poll(() => open.mock.calls.map(([run]) => run as string)).toEqual(["run1", "run9", "run1"]);
    expect(compare).toHaveBeenCalledWith("run1");
  });

  it("say why none is made again", async () => {
    aServer({
      ...NOTHING_SAID,
      "POST /api/runs/run1/again": refused("30 of your runs are at work or wait.", [], 429),
    });
    dialog([aRun(1)]);
    await press(1, "Run again");
    await expect.poll(note).toBe("30 of your runs are at work or wait.");
    expect(open).not.toHaveBeenCalled();
  });

  it("are deleted with a way back, and stay where that is refused", async () => {
    let kept = true;
    const sent = aServer({
      ...NOTHING_SAID,
      "DELETE /api/runs/run1": () => (kept ? refused("Only whoever made it deletes it.", [], 403) : {}),
      "POST /api/runs/run1/restore": aRun(1),
    });
    dialog([aRun(1)]);
    await press(1, "Delete");
    await expect.poll(note).toBe("Only whoever made it deletes it.");
    expect(screen.queryByRole("status")).toBeNull();
    kept = false;
    await press(1, "Delete");
    expect(await screen.findByRole("status")).toHaveTextContent("Run 1 is deleted; for 30 days");
    await user.click(button("Take back"));
    await expect.poll(() => screen.queryByRole("status")).toBeNull();
    expect(sent().map(({ method }) => method)).toEqual(["DELETE", "DELETE", "POST"]);
  });

  it("are called something, and keep what was typed where that is refused", async () => {
    aServer({ ...NOTHING_SAID, "PATCH /api/runs/run1": refused("the name has more than 200 characters") });
    dialog([aRun(1)]);
    const name = within(line(1)).getByLabelText("Name");
    await user.type(name, "Before the board{Enter}");
    expect(await screen.findByText(/The name has more than 200 characters/)).toBeInTheDocument();
    expect(name).toHaveValue("Before the board");
  });
});
