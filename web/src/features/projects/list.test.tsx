import { screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { ProjectSummary, StandingView } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { useNotes } from "../../shared/ui/notify";
import { aProject, aStanding } from "../../test/aProject";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { ProjectTable } from "./ProjectTable";
import { SteeringTable } from "./SteeringTable";
import { user } from "../../test/hands";

const ridge = aProject(
  "r",
  "Ridge",
  {},
  { kept: { level: 80, finish: "2028-10-01T17:00" } as ProjectSummary["kept"] },
);
const centre = aProject("c", "Centre");
const shed = aProject("s", "Shed", {}, { activities: 0 });
const both = aProject("p", "Both", { programme: true });
const standing = (project: string, more: Partial<StandingView>): StandingView => ({
  project,
  fresh: true,
  parts: [],
  ...more,
});
const milestone = {
  name: "Site ready",
  finish: aStanding("2028-02-01T17:00").finish,
} as NonNullable<StandingView["standing"]>["milestones"][number];
const STANDINGS: StandingView[] = [
  standing("r", {
    standing: aStanding("2028-10-24T17:00", 0.63, {
      driver: "The permit",
      findings: 2,
      milestones: [milestone],
    }),
  }),
  standing("c", { standing: aStanding("2028-09-18T17:00", 0.38, { driver: "The road" }) }),
  standing("s", { fresh: false }),
  standing("p", {
    standing: aStanding("2028-11-01T17:00", 0.9),
    parts: [
      {
        code: "R",
        project: "r",
        name: "Ridge",
        standing: aStanding("2028-10-30T17:00", 0.5, { milestones: [milestone] }),
      },
      { code: "X" },
    ],
  }),
];

const lines = () =>
  screen
    .getAllByRole("row")
    .flatMap((row) => (row.dataset.project === undefined ? [] : [row.dataset.project]));
const line = (name: string) =>
  screen.getAllByRole("row").find((row) => row.dataset.project === name) as HTMLElement;

describe("the list one steers by", () => {
  const list = (projects = [ridge, centre, shed, both]) =>
    shown(<SteeringTable projects={projects} standings={STANDINGS} />);

  it("puts programmes first, each with its projects, then what is part of none", () => {
    list();
    expect(lines()).toEqual(["Both", "Ridge", "A project that lets nothing out to you", "Centre", "Shed"]);
    expect(screen.getByTestId("steering")).toHaveTextContent("has less than an even chance of its date");
    expect(line("Both")).toHaveTextContent(`P80 ${formatDay("2028-11-01T17:00")}`);
    // Within the programme it finishes later than by itself.
    expect(line("Ridge")).toHaveTextContent(`P80 ${formatDay("2028-10-30T17:00")}`);
    expect(within(line("Ridge")).getByRole("link", { name: "Ridge" })).toHaveAttribute(
      "href",
      "/projects/r/plan",
    );
    expect(within(line("A project that lets nothing out to you")).queryByRole("link")).toBeNull();
    expect(line("Shed")).toHaveTextContent("nothing planned yet");
  });

  it("shows each by itself where that is wanted, with drift and findings of its own", async () => {
    list();
    await user.selectOptions(screen.getByRole("combobox", { name: "Grouping" }), "none");
    expect(lines()).toEqual(["Ridge", "Centre", "Shed", "Both"]);
    expect(line("Ridge")).toHaveTextContent(`P80 ${formatDay("2028-10-24T17:00")}`);
    expect(line("Ridge")).toHaveTextContent("+23 d");
    expect(line("Ridge")).toHaveTextContent("2 findings");
    expect(line("Ridge")).toHaveTextContent("The permit");
  });

  it("is ordered by what is clicked, and as it was by a second click", async () => {
    list([ridge, centre]);
    const target = screen.getByRole("button", { name: "Target" });
    await user.click(target);
    expect(lines()).toEqual(["Centre", "Ridge"]);
    expect(screen.getByRole("columnheader", { name: "Target" })).toHaveAttribute("aria-sort", "descending");
    await user.click(screen.getByRole("button", { name: "Finish" }));
    expect(lines()).toEqual(["Ridge", "Centre"]);
    await user.click(screen.getByRole("button", { name: "Finish" }));
    expect(screen.getByRole("columnheader", { name: "Finish" })).toHaveAttribute("aria-sort", "none");
  });

  it("shows those of a kind, and says where there is none", async () => {
    list([ridge, centre, shed]);
    const show = screen.getByRole("combobox", { name: "Show" });
    await user.selectOptions(show, "unlikely");
    expect(lines()).toEqual(["Centre"]);
    await user.selectOptions(show, "later");
    expect(lines()).toEqual(["Ridge"]);
    await user.selectOptions(show, "findings");
    expect(lines()).toEqual(["Ridge"]);
    await user.selectOptions(show, "all");
    expect(lines()).toHaveLength(3);
  });

  it("opens a project into its milestones", async () => {
    list([ridge, centre]);
    const open = screen.getByRole("button", { name: "Milestones of Ridge" });
    expect(open).toHaveAttribute("aria-expanded", "false");
    await user.click(open);
    expect(open).toHaveAttribute("aria-expanded", "true");
    expect(screen.getByText("Site ready").closest("tr")).toHaveTextContent(
      `P80 ${formatDay("2028-02-01T17:00")}`,
    );
    await user.click(open);
    expect(screen.queryByText("Site ready")).toBeNull();
    expect(screen.queryByRole("button", { name: "Milestones of Centre" })).toBeNull();
  });

  it("looks for one by its name once there are many", async () => {
    const many = Array.from({ length: 9 }, (_, i) => aProject(`m${i}`, `Hut ${i}`));
    shown(<SteeringTable projects={many} standings={[]} />);
    await user.type(screen.getByRole("textbox", { name: "Find a project" }), "hut 7");
    expect(lines()).toEqual(["Hut 7"]);
    await user.type(screen.getByRole("textbox", { name: "Find a project" }), "x");
    expect(screen.getByText("None of them.")).toBeInTheDocument();
  });
});

describe("what can be done with a project of the list", () => {
  /** Opens the menu of a project and takes one of its ways. */
  const take = async (project: string, way: string) => {
    screen.getByLabelText(`More for ${project}`).focus();
    await user.keyboard("{Enter}");
    const item = await screen.findByText(way);
    while (!item.closest("[role=menuitem]")?.hasAttribute("data-highlighted"))
      await user.keyboard("{ArrowDown}");
    await user.keyboard("{Enter}");
  };

  it("is to put it away, with a way back", async () => {
    const changes = aServer({ "PUT /api/projects/c/shelf": {} });
    shown(<SteeringTable projects={[ridge, centre]} standings={STANDINGS} />);
    await take("Centre", "Put away");
    await expect.poll(() => useNotes.getState().note?.text).toBe("“Centre” is put away.");
    useNotes.getState().note?.actions[0]?.run();
    await expect
      .poll(() => changes().map(({ path }) => path))
      .toEqual(["/api/projects/c/shelf?shelf=archived", "/api/projects/c/shelf?shelf=open"]);
  });

  it("is refused in the server's words", async () => {
    aServer({ "PUT /api/projects/c/shelf": refused("It is part of a programme: take it out there first.") });
    shown(<SteeringTable projects={[ridge, centre]} standings={STANDINGS} />);
    await take("Centre", "Delete");
    await expect
      .poll(() => useNotes.getState().note?.text)
      .toBe("It is part of a programme: take it out there first.");
  });

  it("is to bring it back where it was deleted", async () => {
    const changes = aServer({ "PUT /api/projects/c/shelf": {} });
    shown(<ProjectTable projects={[centre, shed]} shelf="deleted" />);
    expect(line("Shed")).toHaveTextContent("nothing planned yet");
    expect(line("Centre")).toHaveTextContent("no run recorded");
    await take("Centre", "Bring back");
    expect(screen.queryByText("Delete")).toBeNull();
    await expect.poll(() => changes().map(({ path }) => path)).toEqual(["/api/projects/c/shelf?shelf=open"]);
  });

  it("is to call it otherwise, unless that is refused", async () => {
    const changes = aServer({ "PATCH /api/projects/c/settings": refused("The name is empty.") });
    shown(<SteeringTable projects={[ridge, centre]} standings={STANDINGS} />);
    await take("Centre", "Rename");
    const name = await screen.findByRole("textbox", { name: "Name of the project" });
    await user.clear(name);
    await user.type(name, " {Enter}");
    expect(await screen.findByRole("alert")).toHaveTextContent("The name is empty.");
    expect(changes().map(({ body }) => body)).toEqual([{ name: " " }]);
    await user.type(name, "{Escape}");
    expect(screen.queryByRole("textbox", { name: "Name of the project" })).toBeNull();
    expect(line("Centre")).toHaveTextContent("Centre");
  });
});
