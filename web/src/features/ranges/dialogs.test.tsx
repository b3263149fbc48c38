import { fireEvent, screen, within } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { EvidenceLook, PlanView } from "../../shared/api/client";
import { useGridStore } from "../../shared/grid/gridStore";
import { anEdit } from "../../test/anEdit";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { CorrelationDialog } from "./CorrelationDialog";
import { EvidenceDialog } from "./EvidenceDialog";
import { GradesDialog } from "./GradesDialog";
import { button, enter, field, note, user } from "../../test/hands";

const planned = (more: Partial<PlanView>) => ({ ...aPlan(["A10", "A20", "A30"]), ...more });

beforeEach(() => {
  useGridStore.setState({ views: {} });
});

describe("what moves together", () => {
  const STEEL = { id: "c1", name: "Steel", members: ["A10", "A20"], coefficient: 0.5, matrix: [] };
  const correlations = (members: string[] = []) =>
    shown(
      <CorrelationDialog plan={planned({ correlations: [STEEL] })} members={members} onClose={vi.fn()} />,
    );

  it("is said in words, and no number that is none is taken", async () => {
    const sent = aServer({});
    correlations();
    expect(screen.getByText(/They move clearly together/)).toBeInTheDocument();
    const coefficient = field("Coefficient");
    await user.clear(coefficient);
    await user.type(coefficient, "1.4{Enter}");
    expect(await screen.findByText(/A coefficient is a number from −1 to 1, not “1.4”/)).toBeInTheDocument();
    await user.clear(coefficient);
    await user.type(coefficient, "-0.9{Enter}");
    expect(await screen.findByText(/They move almost in step against each other/)).toBeInTheDocument();
    expect(sent()).toEqual([]);
  });

  it("is begun from what is selected and kept by its words", async () => {
    const sent = aServer({
      "POST /api/correlations/look": { possible: true, nearest: [], moved: [] },
      "PUT /api/projects/p/correlations": anEdit(),
    });
    correlations(["A20", "A30"]);
    const name = field("Name");
    await user.clear(name);
    await user.type(name, "Crane days{Enter}");
    await user.click(button("Keep"));
    await expect.poll(() => sent().length).toBe(2);
    expect(sent()[1]?.body).toEqual({
      id: "",
      name: "Crane days",
      members: ["A20", "A30"],
      coefficient: 0.5,
    });
  });

  it("shows the nearest set that can hold together before anything is kept", async () => {
    const sent = aServer({
      "POST /api/correlations/look": {
        possible: false,
        nearest: [[1], [0.7, 1], [-0.2, 0.4, 1]],
        moved: [{ one: "A10", other: "A20", asked: 0.9, nearest: 0.7 }],
      },
      "PUT /api/projects/p/correlations": anEdit(),
    });
    correlations(["A10", "A20", "A30"]);
    await user.click(button("Pair by pair"));
    expect(screen.getByRole("grid", { name: "Coefficients" })).toBeInTheDocument();
    await user.click(button("Keep"));
    const told = await screen.findByRole("alert");
    expect(told).toHaveTextContent("The nearest set that can differs in 1 pair");
    expect(told).toHaveTextContent("A10 with A20: 0.9 becomes 0.7");
    expect(sent().map(({ method }) => method)).toEqual(["POST"]);
    await user.click(button("Take the nearest"));
    expect(screen.queryByRole("alert")).toBeNull();
    await user.click(button("Keep"));
    await user.click(await screen.findByRole("button", { name: "Keep mine; the odds use the nearest" }));
    await expect.poll(() => sent().at(-1)?.method).toBe("PUT");
    expect(sent().at(-1)?.body).toEqual({
      id: "",
      name: "New group",
      members: ["A10", "A20", "A30"],
      matrix: [[1], [0.7, 1], [-0.2, 0.4, 1]],
    });
  });

  it("stays where it cannot be removed, with the reason", async () => {
    aServer({ "DELETE /api/projects/p/correlations/c1": refused("somebody else changed it") });
    correlations();
    await user.click(button("Remove"));
    expect(await screen.findByText("Somebody else changed it.")).toBeInTheDocument();
    expect(button(/Steel/)).toBeInTheDocument();
  });

  it("is left by one of its members", async () => {
    aServer({});
    correlations();
    await user.click(button("Take A10 out"));
    expect(screen.queryByText("A10")).toBeNull();
    expect(button("Take A20 out")).toBeInTheDocument();
  });
});

describe("past work", () => {
  const aFit = (shape: string, behind: number) => ({
    shape,
    words: { shape, low: 0.8, likely: 1, high: 1.6, basis: "factor" },
    aic: -4.2 + behind,
    behind,
    distance: 0.12,
    expectedDistance: 0.3,
    andersonDarling: 0.41,
    p10: 0.85,
    p50: 1.05,
    p90: 1.4,
    density: [1, 4, 2],
  });
  const LOOK = {
    observations: [
      [12, 15],
      [20, 19],
      [8, 13],
    ],
    ratios: true,
    few: true,
    problems: [{ row: 4, column: "actual", message: "“soon” is no number" }],
    mean: 1.28,
    median: 1.25,
    low: 0.95,
    high: 1.63,
    edges: [0.9, 1.3, 1.7],
    counts: [2, 1],
    axisLow: 0.5,
    axisHigh: 2,
    fits: [aFit("triangular", 0), aFit("uniform", 9)],
  } as unknown as EvidenceLook;
  const TEXT = "planned\tactual\n12\t15\n20\t19\n8\t13";
  const table = () => screen.getByRole("textbox", { name: "Past work" });
  const pasted = async (plan: PlanView, rows: string[], onClose = vi.fn()) => {
    shown(<EvidenceDialog plan={plan} rows={rows} onClose={onClose} />);
    fireEvent.change(table(), { target: { value: TEXT } });
    await user.click(button("Fit shapes to it"));
  };

  it("is fitted, ranked and given to rows with the observations", async () => {
    const closed = vi.fn();
    const sent = aServer({ "POST /api/evidence/look": LOOK, "POST /api/projects/p/evidence": anEdit() });
    await pasted(aPlan(), ["A10", "A20"], closed);
    expect(await screen.findByText(/3 observations, from 95 % of planned to 163 %/)).toBeInTheDocument();
    expect(screen.getByText(/Fewer than 15 observations/)).toBeInTheDocument();
    expect(screen.getByText(/1 rows are left out: row 4, “soon” is no number/)).toBeInTheDocument();
    const [best, other] = screen.getAllByRole("button", { name: /KS 0.12/ });
    expect(best).toHaveAttribute("aria-pressed", "true");
    expect(best).toHaveTextContent("The best of them. Its curve leaves the data by 12 points at most");
    await user.click(other as HTMLElement);
    expect(other).toHaveTextContent("Much worse than the best");
    enter("What this past work is called", "Ridge walls");
    await user.click(button("Give it to 2 selected rows"));
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(sent()[1]?.body).toMatchObject({
      evidence: { name: "Ridge walls", observations: LOOK.observations },
      estimate: { shape: "uniform" },
      rows: ["A10", "A20"],
    });
    expect(note()).toContain("2 ranges are fitted to Ridge walls.");
  });

  it("is kept as a grade where it is of ratios, once that has a name", async () => {
    const sent = aServer({ "POST /api/evidence/look": LOOK, "POST /api/projects/p/evidence": anEdit() });
    await pasted(aPlan(), []);
    expect(await screen.findByRole("button", { name: "Keep as a grade" })).toBeDisabled();
    expect(screen.getByText(/Select rows in the grid/)).toBeInTheDocument();
    enter("Name of the grade", "Masonry");
    enter("Mark of the grade", "M");
    await user.click(button("Keep as a grade"));
    await expect.poll(() => sent().length).toBe(2);
    expect(sent()[1]?.body).toMatchObject({
      grade: { name: "Masonry", mark: "M", note: "Fitted to Past work" },
    });
  });

  it("that is of values alone is no grade", async () => {
    aServer({ "POST /api/evidence/look": { ...LOOK, ratios: false } });
    await pasted(aPlan(), ["A10"]);
    expect(
      await screen.findByText(/Without planned values it cannot be kept as a grade/),
    ).toBeInTheDocument();
    expect(button("Give it to A10")).toBeInTheDocument();
  });

  it("that cannot be fitted stays typed, with the row that is wrong", async () => {
    aServer({
      "POST /api/evidence/look": {
        ...LOOK,
        refusal: "fewer than three rows can be read",
        problems: [{ row: 2, column: "actual", message: "“soon” is no number" }],
      },
    });
    await pasted(aPlan(), []);
    expect(
      await screen.findByText(/Nothing can be fitted: fewer than three rows can be read/),
    ).toHaveTextContent("Row 2, actual: “soon” is no number.");
    expect(table()).toHaveValue(TEXT);
  });

  it("is refused when it is given, and nothing is closed", async () => {
    const closed = vi.fn();
    aServer({
      "POST /api/evidence/look": LOOK,
      "POST /api/projects/p/evidence": refused("A10 is finished; what it takes is known"),
    });
    await pasted(aPlan(), ["A10"], closed);
    await user.click(await screen.findByRole("button", { name: "Give it to A10" }));
    expect(await screen.findByText("A10 is finished; what it takes is known.")).toBeInTheDocument();
    expect(closed).not.toHaveBeenCalled();
    await user.click(button("Other past work"));
    expect(table()).toHaveValue(TEXT);
  });

  it("that is attached says what stands on it, and why it cannot be removed", async () => {
    aServer({ "DELETE /api/projects/p/evidence/e1": refused("somebody else changed it") });
    const plan = planned({
      evidence: [
        { id: "e1", name: "Ridge walls", count: 24, ratios: true, on: ["A10"] },
        { id: "e2", name: "Old roofs", count: 9, ratios: false, on: [] },
      ],
    });
    shown(<EvidenceDialog plan={plan} rows={[]} onClose={vi.fn()} />);
    expect(screen.getByText("The reason of A10 Work A10.")).toBeInTheDocument();
    expect(screen.getByText("No range stands on it any more.")).toBeInTheDocument();
    await user.click(screen.getAllByRole("button", { name: "Remove" })[0] as HTMLElement);
    await expect.poll(note).toBe("Somebody else changed it.");
  });
});

describe("the table of grades", () => {
  const aGrade = (id: string, name: string) =>
    ({
      id,
      name,
      mark: name[0],
      note: "",
      shape: { shape: "triangular", low: 0.9, likely: 1, high: 1.2 },
    }) as unknown as PlanView["grades"][number];
  const GRADES = [aGrade("g1", "Narrow"), aGrade("g2", "Wide")];
  const plan = (grades = GRADES) =>
    planned({
      grades,
      branches: [{ id: "S", code: "1", name: "Site", grade: "g2" }] as PlanView["branches"],
    });
  const table = (of = plan(), onClose = vi.fn()) => shown(<GradesDialog plan={of} onClose={onClose} />);
  const names = () =>
    [...screen.getByRole("grid", { name: "Table of grades" }).querySelectorAll("[data-column=name]")].map(
      (cell) => cell.textContent,
    );

  it("is kept in its order with what was changed, in factors", async () => {
    const closed = vi.fn();
    const sent = aServer({ "PUT /api/projects/p/grades": anEdit() });
    table(plan(), closed);
    const high = field("High, %");
    await user.clear(high);
    await user.type(high, "140{Enter}");
    await user.click(button("Narrow down"));
    expect(names()).toEqual(["Wide", "Narrow"]);
    await user.click(button("Keep the table"));
    await expect.poll(() => closed.mock.calls.length).toBe(1);
    expect(sent()[0]?.body).toEqual([
      { id: "g2", name: "Wide", mark: "W", note: "", shape: "triangular", low: 0.9, likely: 1, high: 1.2 },
      { id: "g1", name: "Narrow", mark: "N", note: "", shape: "triangular", low: 0.9, likely: 1, high: 1.4 },
    ]);
  });

  it("says of which grade it was refused, and stays open", async () => {
    const closed = vi.fn();
    aServer({
      "PUT /api/projects/p/grades": refused("Not kept.", [
        { pointer: "/1/high", message: "the highest is below the likely" },
      ]),
    });
    table(plan(), closed);
    await user.click(button("Keep the table"));
    expect(await screen.findByText("Wide: The highest is below the likely.")).toBeInTheDocument();
    expect(closed).not.toHaveBeenCalled();
  });

  it("begins with a starter table, or says why there is none", async () => {
    let there = false;
    aServer({ "GET /api/grades/starter": () => (there ? GRADES : refused("the server is busy", [], 503)) });
    table(plan([]));
    await user.click(button("Begin with a starter table"));
    expect(await screen.findByText("The server is busy.")).toBeInTheDocument();
    there = true;
    await user.click(button("Begin with a starter table"));
    await expect.poll(() => screen.queryByText(/There are no grades yet/)).toBeNull();
    expect(names()).toEqual(["Narrow", "Wide"]);
  });

  it("takes a new one, and removes one that nothing has", async () => {
    table();
    expect(button("Remove Narrow")).toBeEnabled();
    await user.click(button("New grade"));
    expect(names()).toEqual(["Narrow", "Wide", "New grade"]);
    await user.click(button("Remove New grade"));
    expect(names()).toEqual(["Narrow", "Wide"]);
    fireEvent.mouseDown(screen.getByText("Wide"));
    expect(await screen.findByRole("button", { name: "Remove Wide" })).toBeDisabled();
  });

  it("takes grades out of a file, or says that there are none", async () => {
    table();
    const file = (text: string) => new File([text], "grades.json", { type: "application/json" });
    await user.upload(field("File of grades"), file("{"));
    expect(await screen.findByText(/it is not sound JSON/)).toBeInTheDocument();
    await user.upload(field("File of grades"), file('{"grades": []}'));
    expect(await screen.findByText("There are no grades in this file.")).toBeInTheDocument();
    const more = [
      { id: "g1", name: "Slim", shape: "uniform", low: 0.9, high: 1.1 },
      { id: "g9", name: "Wild" },
    ];
    await user.upload(field("File of grades"), file(JSON.stringify({ grades: more })));
    await expect.poll(names).toEqual(["Slim", "Wide", "Wild"]);
    expect(within(screen.getByRole("dialog")).queryByText("There are no grades in this file.")).toBeNull();
  });
});
