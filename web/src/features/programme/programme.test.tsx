import { cleanup, screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { ProgrammeView } from "../../shared/api/client";
import { useNotes } from "../../shared/ui/notify";
import { aPlan } from "../../test/aPlan";
import { aProject } from "../../test/aProject";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { LettingOut } from "./LettingOut";
import { NewProgrammeDialog } from "./NewProgrammeDialog";
import { TakeInDialog } from "./TakeInDialog";
import { TieDialog } from "./TieDialog";
import { TiesPart } from "./TiesPart";
import { button, enter, field, handIn, user } from "../../test/hands";

const notes = () => useNotes.getState();

const VIEW: ProgrammeView = {
  id: "p",
  name: "Both",
  currency: "EUR",
  projects: [
    { code: "KR", project: "r", name: "Ridge", shown: "nothing", owned: true },
    { code: "VC", project: "c", name: "Centre", shown: "milestones", owned: true },
  ],
  ties: [],
  names: { "KR:S50": "Road surface", "VC:V20": "Site cleared" },
} as unknown as ProgrammeView;

const MANY: ProgrammeView["projects"] = Array.from({ length: 7 }, (_, i) => ({
  code: `P${i + 1}`,
  project: `id${i + 1}`,
  name: `Works ${i + 1}`,
  shown: "nothing",
  owned: true,
}));

describe("a programme that is begun", () => {
  const projects = [
    aProject("r", "Ridge"),
    aProject("c", "Centre"),
    aProject("z", "Alp", { currency: "CHF" }),
  ];

  it("has a name and projects, or cannot be begun", async () => {
    const closed = vi.fn();
    const changes = aServer({ "POST /api/programmes": { id: "p" } });
    shown(<NewProgrammeDialog projects={projects} onClose={closed} />);
    expect(button("Begin the programme")).toBeDisabled();
    enter("Name", "Both");
    expect(button("Begin the programme")).toBeDisabled();
    await user.click(field("Ridge"));
    await user.click(field("Centre"));
    await user.click(field("Alp"));
    expect(screen.getByText(/They count in EUR and CHF/)).toBeInTheDocument();
    await user.click(field("Alp"));
    expect(screen.queryByText(/They count in/)).toBeNull();
    await user.click(button("Begin the programme"));
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(changes().map(({ body }) => body)).toEqual([
      { name: "Both", projects: [{ project: "r" }, { project: "c" }] },
    ]);
  });

  it("keeps what was typed where the server refuses it", async () => {
    const closed = vi.fn();
    aServer({ "POST /api/programmes": refused("Ridge and Centre draw the same numbers.") });
    shown(<NewProgrammeDialog projects={projects} onClose={closed} />);
    enter("Name", "Both");
    await user.click(field("Ridge"));
    await user.click(button("Begin the programme"));
    expect(await screen.findByText("Ridge and Centre draw the same numbers.")).toBeInTheDocument();
    expect(field("Name")).toHaveValue("Both");
    expect(field("Ridge")).toBeChecked();
    expect(closed).not.toHaveBeenCalled();
    await user.click(button("Leave it"));
    expect(closed).toHaveBeenCalledOnce();
  });
});

describe("a project that is taken in", () => {
  const LIST = [
    aProject("r", "Ridge"),
    aProject("p", "Both", { programme: true }),
    aProject("n", "North hut"),
    aProject("z", "Alp", { currency: "CHF" }),
  ];

  it("is one that is not in it yet, and no programme", async () => {
    const changes = aServer({
      "GET /api/projects": LIST,
      "POST /api/projects/p/programme/projects": VIEW,
    });
    const closed = vi.fn();
    shown(<TakeInDialog programme={VIEW} onClose={closed} />);
    const choice = await screen.findByRole("combobox", { name: "Project" });
    expect(
      within(choice)
        .getAllByRole("option")
        .map((one) => one.textContent),
    ).toEqual(["North hut", "Alp"]);
    await handIn("Code", " NH ");
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(changes().map(({ body }) => body)).toEqual([{ project: "n", code: "NH" }]);
  });

  it("counts in another currency by a rate with its day alone", async () => {
    const changes = aServer({
      "GET /api/projects": LIST,
      "POST /api/projects/p/programme/projects": VIEW,
    });
    const closed = vi.fn();
    shown(<TakeInDialog programme={VIEW} onClose={closed} />);
    await user.selectOptions(await screen.findByRole("combobox", { name: "Project" }), "z");
    await user.click(button("Take it in"));
    expect(screen.getByText(/Alp counts in CHF: say what one is worth in EUR/)).toBeInTheDocument();
    enter("One CHF is worth, in EUR", "1,05");
    await user.click(button("Take it in"));
    expect(screen.getByText(/and on which day/)).toBeInTheDocument();
    expect(changes()).toEqual([]);
    enter("On", "1 Nov 2026");
    await user.click(button("Take it in"));
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(changes().map(({ body }) => body)).toEqual([{ project: "z", worth: 1.05, worthOn: "2026-11-01" }]);
  });

  it("is none where all are in it", async () => {
    aServer({ "GET /api/projects": [aProject("r", "Ridge")] });
    shown(<TakeInDialog programme={VIEW} onClose={vi.fn()} />);
    expect(await screen.findByText(/are part of it already/)).toBeInTheDocument();
  });
});

describe("a tie that is made", () => {
  const PUT = "PUT /api/projects/p/programme/ties";
  const dialog = (answer: object) => {
    const closed = vi.fn();
    const changes = aServer({ [PUT]: answer, "GET /api/projects/p/plan": aPlan() });
    shown(<TieDialog programme="p" taken={["T1"]} onClose={closed} />);
    return { closed, changes };
  };

  it("is work that waits for work, by the next free name", async () => {
    const { closed, changes } = dialog(VIEW);
    enter("Before", "KR:S50");
    enter("After", " VC:V20 ");
    await handIn("Lag", "5d");
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(changes().map(({ body }) => body)).toEqual([
      { kind: "logic", id: "T2", from: "KR:S50", to: "VC:V20", type: "FS", lag: "5d" },
    ]);
  });

  it("is one event for several", async () => {
    const { closed, changes } = dialog(VIEW);
    await user.click(button("One event for several"));
    enter("The risk whose chance holds", "KR:R12");
    await handIn("The same event in other registers", "VC:W03, XX:W01");
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(changes().map(({ body }) => body)).toEqual([
      { kind: "risk", id: "T2", risk: "KR:R12", others: ["VC:W03", "XX:W01"] },
    ]);
  });

  it("asks for a number where it needs one, before the server does", async () => {
    const { closed, changes } = dialog(VIEW);
    await user.click(button("Estimates move together"));
    enter("Name", "One contractor");
    await handIn("What moves together", "KR:S50, VC:V20");
    expect(screen.getByRole("alert")).toHaveTextContent("Say a number here.");
    expect(changes()).toEqual([]);
    await handIn("Rank correlation", "0,6");
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(changes().map(({ body }) => body)).toEqual([
      { kind: "together", id: "T2", name: "One contractor", members: ["KR:S50", "VC:V20"], coefficient: 0.6 },
    ]);
  });

  it("says in its field what is wrong, and keeps what was typed", async () => {
    const { closed } = dialog(
      refused("The tie was not kept.", [
        { pointer: "/resources/1", message: "VC has no resource “crews”." },
        { pointer: "/limit", message: "Below zero." },
      ]),
    );
    await user.click(button("A shared resource"));
    enter("Name", "Crew");
    enter("What each project calls it", "KR:crew, VC:crews");
    await handIn("How many there are for all", "-1");
    expect(await screen.findByText("VC has no resource “crews”.")).toHaveRole("alert");
    expect(screen.getByText("Below zero.")).toHaveRole("alert");
    expect(field("What each project calls it")).toHaveAttribute("aria-invalid", "true");
    expect(field("Name")).not.toHaveAttribute("aria-invalid");
    expect(field("What each project calls it")).toHaveValue("KR:crew, VC:crews");
    expect(closed).not.toHaveBeenCalled();
  });
});

describe("what ties a programme", () => {
  const project = aProject("p", "Both", { programme: true }).project;
  const TIES = [
    {
      id: "T1",
      definition: { kind: "logic", id: "T1", from: "KR:S50", to: "VC:V20", type: "FS", lag: "0d" },
    },
    {
      id: "T2",
      definition: { kind: "risk", id: "T2", risk: "KR:R1", others: ["VC:W1"] },
      idle: "KR has no R1",
    },
  ];
  const part = (view: Partial<ProgrammeView>, more: Record<string, object> = {}, at = "/") => {
    const changes = aServer({
      "GET /api/projects/p/programme": { ...VIEW, ties: TIES, ...view },
      "GET /api/projects/p/programme/ties/worth": [{ tie: "T1", moves: "VC", days: 17 }],
      "GET /api/me": { alone: false },
      ...more,
    });
    shown(<TiesPart project={project} />, at);
    return changes;
  };

  it("is brought into view where somebody has asked for it", async () => {
    const into = vi.spyOn(Element.prototype, "scrollIntoView");
    part({}, {}, "/projects#ties-other");
    await screen.findAllByTestId("worth");
    expect(into).not.toHaveBeenCalled();
    cleanup();
    part({}, {}, "/projects#ties-p");
    await screen.findAllByTestId("worth");
    await expect
      .poll(() => into.mock.instances)
      .toContain(screen.getByRole("region", { name: "What ties Both" }));
  });

  it("is told with what it costs, or why it binds nothing", async () => {
    part({});
    const costs = (await screen.findAllByTestId("worth")).map((one) => one);
    await expect.poll(() => costs[0]?.textContent).toBe("moves Centre by +17 working days at P80");
    expect(costs[1]).toHaveTextContent("binds nothing for now: KR has no R1");
    expect(screen.getByText("KR:S50 Road surface → VC:V20 Site cleared")).toBeInTheDocument();
  });

  it("says where it stands still after an edit of a project", async () => {
    part({ stuck: "KR:S50 is gone" });
    expect(await screen.findByText(/It stands as it stood before an edit/)).toHaveTextContent(
      "KR:S50 is gone",
    );
  });

  it("is taken away, and projects are taken out, unless that is refused", async () => {
    const changes = part(
      {},
      {
        "DELETE /api/projects/p/programme/ties/T2": VIEW,
        "DELETE /api/projects/p/programme/projects/r": refused("It is tied to others by T1.", [], 409),
      },
    );
    await user.click(await screen.findByRole("button", { name: "Untie T2" }));
    await user.click(button("Take KR out"));
    await expect.poll(() => notes().note?.text).toBe("It is tied to others by T1.");
    expect(changes().map(({ method, path }) => `${method} ${path}`)).toEqual([
      "DELETE /api/projects/p/programme/ties/T2",
      "DELETE /api/projects/p/programme/projects/r",
    ]);
  });

  it("takes one of many out that is looked for", async () => {
    const changes = part({ projects: MANY }, { "DELETE /api/projects/p/programme/projects/id7": VIEW });
    expect(await screen.findAllByTestId("worth")).toHaveLength(2);
    expect(screen.queryByRole("button", { name: "Take P7 out" })).toBeNull();
    await user.click(button("Take a project out"));
    await user.type(await screen.findByRole("combobox"), "p7");
    await expect.poll(() => screen.getAllByRole("option").length).toBe(1);
    await user.click(screen.getByRole("option"));
    await expect.poll(() => changes().length).toBe(1);
  });

  it("is not told to whom may not read all of its projects", async () => {
    part({
      projects: [VIEW.projects[0]!, { code: "VC", shown: "nothing", owned: false }] as never,
      ties: [],
    });
    expect(await screen.findByText(/You may not read all of its projects/)).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: "Tie two projects" })).toBeNull();
  });

  it("opens the ways to tie and to take in", async () => {
    part({ ties: [] });
    expect(await screen.findByText(/Nothing yet: each project goes its own way/)).toBeInTheDocument();
    await user.click(button("Tie two projects"));
    expect(await screen.findByRole("dialog", { name: "Tie projects" })).toBeInTheDocument();
    await user.click(button("Leave it"));
    await expect.poll(() => screen.queryByRole("dialog")).toBeNull();
    await user.click(button("Take a project in"));
    expect(await screen.findByRole("dialog", { name: "Take a project into Both" })).toBeInTheDocument();
  });
});

describe("what others see of a project in a programme", () => {
  it("is what its owner lets out", async () => {
    const changes = aServer({ "PUT /api/projects/p/programme/projects/r/shown": VIEW });
    shown(<LettingOut programme={VIEW} />);
    expect(screen.getByRole("combobox", { name: "What others see of Centre" })).toHaveValue("milestones");
    await user.selectOptions(
      screen.getByRole("combobox", { name: "What others see of Ridge" }),
      "milestones",
    );
    await expect
      .poll(() => changes().map(({ path }) => path))
      .toEqual(["/api/projects/p/programme/projects/r/shown?what=milestones"]);
  });

  it("is chosen for one of many at a time", async () => {
    const changes = aServer({ "PUT /api/projects/p/programme/projects/id7/shown": VIEW });
    shown(<LettingOut programme={{ ...VIEW, projects: MANY }} />);
    expect(screen.queryByRole("combobox")).toBeNull();
    await user.click(button("What others see of a project"));
    await user.click(await screen.findByRole("option", { name: /Works 7/ }));
    await user.selectOptions(
      await screen.findByRole("combobox", { name: "What others see of Works 7" }),
      "its name, odds and milestones",
    );
    await expect.poll(() => changes().length).toBe(1);
  });

  it("is nobody's business who owns none of them", () => {
    const closed = { ...VIEW, projects: VIEW.projects.map((one) => ({ ...one, owned: false })) };
    shown(<LettingOut programme={closed} />);
    expect(screen.queryByRole("combobox")).toBeNull();
  });
});
