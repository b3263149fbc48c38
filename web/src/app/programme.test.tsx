import { render, screen } from "@testing-library/react";
import { beforeEach, describe, expect, it } from "vitest";
import type { PlanView, ProgrammeView } from "../shared/api/client";
import { useGridStore, viewOf } from "../shared/grid/gridStore";
import { aPlan } from "../test/aPlan";
import { aServer } from "../test/aServer";
import { shownStage } from "../test/shown";
import { ProgrammeBand } from "./ProgrammeBand";
import { useFolded } from "./useFolded";
import { user } from "../test/hands";

const member = (n: number, more: object = {}) => ({
  code: `P${n}`,
  project: `id${n}`,
  name: `Works ${n}`,
  shown: "nothing",
  owned: true,
  ...more,
});
const members = (count: number) => Array.from({ length: count }, (_, i) => member(i + 1));
const view = (projects: object[], more: object = {}) =>
  ({ id: "g", name: "All", currency: "EUR", projects, ties: [], names: {}, ...more }) as ProgrammeView;
const band = (programme: ProgrammeView) => {
  aServer({ "GET /api/projects/g/programme": programme });
  shownStage(aPlan(), <ProgrammeBand programme="g" />);
};

describe("what is said over a programme", () => {
  it("names a few projects, each with the way to it, where whoever looks may read it", async () => {
    band(
      view([
        member(1),
        member(2, { project: undefined }),
        member(3, { project: undefined, name: undefined }),
      ]),
    );
    expect(await screen.findByRole("link", { name: "Works 1" })).toHaveAttribute(
      "href",
      "/projects/id1/plan",
    );
    expect(screen.getByRole("note")).toHaveTextContent(
      "is edited in its projects, P1 Works 1, P2 Works 2, P3 a project that you may not read.",
    );
    expect(screen.queryByRole("link", { name: "Works 2" })).toBeNull();
  });

  it("counts many, which are looked for by code or name", async () => {
    band(view(members(50)));
    await user.click(await screen.findByRole("button", { name: "50 projects" }));
    const field = await screen.findByRole("combobox");
    await user.type(field, "works 42");
    await expect
      .poll(() => screen.getAllByRole("option").map(({ textContent }) => textContent))
      .toEqual(["P42Works 42"]);
    await user.click(screen.getByRole("option"));
    expect(await screen.findByTestId("address")).toHaveTextContent("/projects/id42/plan");
  });

  it("says where it stands still", async () => {
    band(view(members(2), { stuck: "P1:A10 and P2:A10 wait for each other" }));
    expect(await screen.findByRole("alert")).toHaveTextContent(
      "It stands as before the last edit: P1:A10 and P2:A10 wait for each other.",
    );
  });
});

describe("the rows of a programme", () => {
  const Folded = ({ plan }: { plan: PlanView }) => {
    useFolded(plan);
    return null;
  };
  const programme = (id: string, projects: number): PlanView => ({
    ...aPlan(),
    project: { ...aPlan().project, id, programme: true },
    branches: members(projects).flatMap(({ code, name }) => [
      { id: code, code, name },
      { id: `${code}:S`, code: `${code}.1`, name: "Site", parent: code },
    ]) as PlanView["branches"],
  });
  const closed = (id: string) => [...viewOf(useGridStore.getState(), id).closed];

  beforeEach(() => useGridStore.setState({ views: {} }));

  it("are its projects at first, where those are many", () => {
    render(<Folded plan={programme("many", 7)} />);
    expect(closed("many")).toEqual(["P1", "P2", "P3", "P4", "P5", "P6", "P7"]);
  });

  it("stay as somebody has opened them", () => {
    const { rerender } = render(<Folded plan={programme("opened", 7)} />);
    useGridStore.getState().setClosed("opened", []);
    rerender(<Folded plan={programme("opened", 8)} />);
    expect(closed("opened")).toEqual([]);
  });

  it("are all there where its projects are few, as those of a plan are", () => {
    render(<Folded plan={programme("few", 2)} />);
    expect(closed("few")).toEqual([]);
    render(<Folded plan={{ ...programme("plan", 9), project: aPlan().project }} />);
    expect(closed("p")).toEqual([]);
  });
});
