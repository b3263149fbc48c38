import { fireEvent, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it } from "vitest";
import type { Neighbour, PlanView } from "../api/client";
import { useGridStore, viewOf } from "../grid/gridStore";
import { anEdit } from "../../test/anEdit";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { LinkList } from "./LinkList";
import { field, user } from "../../test/hands";

const ROWS = "PATCH /api/projects/p/rows";
const aLink = (from: string, to: string, type = "FS", lag = "0d") => ({ from, to, type, lag });
const PLAN = {
  ...aPlan(["A10", "A20", "A30", "B10"]),
  links: [aLink("A10", "A30"), aLink("A20", "A30", "SS", "3d"), aLink("A20", "B10")],
} as PlanView;
const aNeighbour = (id: string, more: Partial<Neighbour> = {}): Neighbour => ({
  id,
  name: `Work ${id}`,
  type: "FS",
  lag: "0d",
  drives: false,
  ...more,
});
const links = (
  side: "predecessors" | "successors",
  of: string,
  all: Neighbour[],
  answer: object = anEdit(),
) => {
  const sent = aServer({ [ROWS]: answer });
  const activity = PLAN.activities.find(({ id }) => id === of);
  if (!activity) throw new Error(`no ${of}`);
  shown(<LinkList plan={PLAN} activity={activity} side={side} links={all} />);
  return () => sent().map(({ body }) => body);
};
const BEFORE = [aNeighbour("A10", { drives: true }), aNeighbour("A20", { type: "SS", lag: "3d" })];

beforeEach(() => useGridStore.setState({ views: {} }));

describe("the links of an activity", () => {
  it("lead to what they tie it to, and say what holds it", async () => {
    links("predecessors", "A30", BEFORE);
    expect(screen.getByText("Marigold holds it where it stands.")).toBeInTheDocument();
    expect(screen.getByTitle("Work A10, which holds it where it stands")).toBeInTheDocument();
    await user.click(screen.getByTitle("Work A20"));
    expect(viewOf(useGridStore.getState(), "p").active).toEqual({ row: "A20", column: "name" });
  });

  it("are changed one by one, while the others stay", async () => {
    const sent = links("predecessors", "A30", BEFORE);
    await user.selectOptions(field("Type of the link with A10"), "FF");
    const lag = field("Lag of the link with A20");
    fireEvent.change(lag, { target: { value: "-2d" } });
    fireEvent.blur(lag);
    await user.click(field("Remove the link with A20"));
    await expect.poll(() => sent().length).toBe(3);
    expect(sent()).toEqual([
      [{ id: "A30", predecessors: "A10FF; A20SS+3d" }],
      [{ id: "A30", predecessors: "A10; A20SS−2d" }],
      [{ id: "A30", predecessors: "A10" }],
    ]);
  });

  it("are put in by code or name, on the side that is looked at", async () => {
    const sent = links("successors", "A10", [aNeighbour("A30")]);
    await user.type(field("Add a successor"), "b10 Work B10{Enter}");
    await expect.poll(() => sent()).toEqual([[{ id: "B10", predecessors: "A20; A10" }]]);
    await expect.poll(() => (field("Add a successor") as HTMLInputElement).value).toBe("");
  });

  it("are not put in to what is not there, nor in a loop, and what was typed stays", async () => {
    const sent = links("predecessors", "A10", [], refused("A10 and A30 would wait for each other"));
    await user.type(field("Add a predecessor"), "Z99{Enter}");
    expect(screen.getByText("There is no activity “Z99”.")).toBeInTheDocument();
    expect(sent()).toEqual([]);
    fireEvent.change(field("Add a predecessor"), { target: { value: "A30" } });
    fireEvent.keyDown(field("Add a predecessor"), { key: "Enter" });
    expect(await screen.findByText("A10 and A30 would wait for each other.")).toBeInTheDocument();
    expect(field("Add a predecessor")).toHaveValue("A30");
  });

  it("that stay as they are ask nothing of the server", () => {
    const sent = links("predecessors", "A30", BEFORE);
    fireEvent.blur(field("Lag of the link with A20"));
    fireEvent.blur(field("Add a predecessor"));
    expect(sent()).toEqual([]);
  });
});
