import { describe, expect, it } from "vitest";
import type { ProjectSummary, Standing, StandingView } from "../../shared/api/client";
import { aProject } from "../../test/aProject";
import { costAxis, finishAxis, ticks } from "./axes";
import { confirmedWords, drift, named, sorted, steeringRows, steeringSentence, wantedRows } from "./steering";

const project = (id: string, name: string, more: Partial<ProjectSummary["project"]> = {}): ProjectSummary =>
  aProject(id, name, more, { finish: "2028-07-10T17:00", activities: 60 });

const standing = (level: string, chance: number, more: Partial<Standing> = {}): Standing => ({
  confidence: 80,
  finish: {
    plan: "2028-07-10T17:00",
    target: "2028-10-02T17:00",
    chance,
    level,
    tenths: Array.from(
      { length: 11 },
      (_, i) => `2028-${String(i < 9 ? i + 1 : 9).padStart(2, "0")}-10T17:00`,
    ),
  },
  currency: "EUR",
  findings: 0,
  milestones: [],
  parts: [],
  ...more,
});

const view = (id: string, one: Standing, parts: StandingView["parts"] = []): StandingView => ({
  project: id,
  standing: one,
  fresh: true,
  parts,
});

const ridge = project("r", "Ridge");
const centre = project("c", "Centre");
const shed = project("s", "Shed");
const whole = project("p", "Programme", { programme: true });
const standings = [
  view("r", standing("2028-10-24T17:00", 0.63)),
  view("c", standing("2028-05-03T17:00", 0.38)),
  view("s", standing("2027-09-17T17:00", 0.44)),
  view(
    "p",
    standing("2028-12-12T17:00", 0.48, {
      cost: { plan: 5e6, target: 6e6, chance: 0.2, level: 7.1e6, tenths: Array<number>(11).fill(6.5e6) },
    }),
    [{ code: "R", project: "r", name: "Ridge", standing: standing("2028-10-25T17:00", 0.61) }, { code: "X" }],
  ),
];

describe("where all projects stand", () => {
  const rows = steeringRows([ridge, centre, shed, whole], standings);

  it("lists programmes first with what is in them, and what is in none after", () => {
    expect(rows.map(({ code, name }) => [code, name])).toEqual([
      [undefined, "Programme"],
      ["R", "Ridge"],
      ["X", "A project that lets nothing out to you"],
      [undefined, "Centre"],
      [undefined, "Shed"],
    ]);
    expect(rows[1]?.standing?.finish.chance).toBe(0.61);
  });

  it("is ordered by chance with projects staying beneath their programme", () => {
    expect(sorted(rows, "chance").map(({ name }) => name)).toEqual([
      "Centre",
      "Shed",
      "Programme",
      "Ridge",
      "A project that lets nothing out to you",
    ]);
    expect(sorted(rows, undefined)).toEqual(rows);
  });

  it("is searched by name, a programme with what is in it", () => {
    expect(named(rows, " shed").map(({ name }) => name)).toEqual(["Shed"]);
    expect(named(rows, "ridge").map(({ name }) => name)).toEqual(["Programme", "Ridge"]);
    expect(named(rows, "programme")).toHaveLength(3);
    expect(named(rows, "")).toHaveLength(5);
  });

  it("lists each by itself, as it stands alone", () => {
    const flat = steeringRows([ridge, centre, shed, whole], standings, "none");
    expect(flat.map(({ name }) => name)).toEqual(["Ridge", "Centre", "Shed", "Programme"]);
    expect(flat.every(({ code }) => code === undefined)).toBe(true);
    expect(flat[0]?.standing?.finish.chance).toBe(0.63);
  });

  it("shows those of a kind, with the programme that one of them is in", () => {
    const names = (wanted: Parameters<typeof wantedRows>[1]) =>
      wantedRows(
        steeringRows(
          [
            { ...ridge, kept: { level: 80, finish: "2028-10-12T17:00" } },
            { ...shed, kept: { level: 80, finish: "2027-09-18T17:00" } },
            centre,
            whole,
          ],
          [
            ...standings.filter(({ project }) => project !== "p" && project !== "r"),
            view("r", standing("2028-10-24T17:00", 0.63, { findings: 2 })),
            view("p", standing("2028-12-12T17:00", 0.58), [
              { code: "C", project: "c", name: "Centre", standing: standing("2028-05-03T17:00", 0.38) },
            ]),
          ],
        ),
        wanted,
      ).map(({ name }) => name);
    expect(names("all")).toEqual(["Programme", "Centre", "Ridge", "Shed"]);
    expect(names("unlikely")).toEqual(["Programme", "Centre", "Shed"]);
    expect(names("later")).toEqual(["Ridge"]);
    expect(names("findings")).toEqual(["Ridge"]);
    // Within a programme too, by what the project is by itself.
    const within = steeringRows(
      [{ ...ridge, kept: { level: 80, finish: "2028-10-12T17:00" } }, whole],
      standings.map((one) =>
        one.project === "r" ? view("r", standing("2028-10-24T17:00", 0.63, { findings: 2 })) : one,
      ),
    );
    expect(wantedRows(within, "later").map(({ name }) => name)).toEqual(["Programme", "Ridge"]);
    expect(wantedRows(within, "findings").map(({ name }) => name)).toEqual(["Programme", "Ridge"]);
  });

  it("tells how much was confirmed, within a programme too, and nothing where nobody was asked", () => {
    const confirmed = { confirmedRisks: 3, risks: 14, confirmedRanges: 7, ranges: 26 };
    const [programme, part, other] = steeringRows(
      [ridge, whole],
      standings.map((one) => (one.project === "r" ? { ...one, confirmed } : one)),
    ).map(confirmedWords);
    expect([programme, other]).toEqual([undefined, undefined]);
    expect(part).toEqual({
      short: "25 % confirmed",
      long: "Confirmed by their owners: 3 of 14 risks and 7 of 26 ranges",
    });
  });

  it("tells of which projects what was confirmed of a programme, where one may not read all", () => {
    const confirmed = { confirmedRisks: 1, risks: 2, confirmedRanges: 0, ranges: 2 };
    const words = (parts: StandingView["parts"]) =>
      steeringRows([whole], [{ project: "p", fresh: true, confirmed, parts }]).map(confirmedWords)[0];
    expect(words([{ code: "KR", project: "r" }])?.long).toBe(
      "Confirmed by their owners: 1 of 2 risks and 0 of 2 ranges",
    );
    expect(words([{ code: "KR", project: "r" }, { code: "VC" }])?.long).toBe(
      "Confirmed by their owners: 1 of 2 risks and 0 of 2 ranges, of the projects you may read",
    );
  });

  it("says how many are unlikely to keep their dates and what a programme lacks", () => {
    expect(steeringSentence(rows)).toBe(
      "Two of three projects have less than an even chance of their dates; Programme needs €1.10m more to be 80 % sure of its budget.",
    );
    expect(steeringSentence(steeringRows([ridge], [view("r", standing("2028-10-24T17:00", 0.63))]))).toBe(
      "The project has at least an even chance of its date.",
    );
    expect(steeringSentence([])).toBeUndefined();
  });

  it("tells the drift against the last recorded run at the same level", () => {
    const driftWith = (level: number) =>
      steeringRows([{ ...ridge, kept: { level, finish: "2028-10-12T17:00" } }], standings).map(drift);
    expect(driftWith(80)).toEqual([12]);
    expect(driftWith(70)).toEqual([undefined]);
  });

  it("has room for all on common axes, marked by quarters or years", () => {
    const axis = finishAxis(rows);
    expect(ticks(axis).map(({ label }) => label)).toContain("Jul 2028");
    expect(ticks({ from: Date.UTC(2027, 0, 5), to: Date.UTC(2031, 0, 5) }).map(({ label }) => label)).toEqual(
      ["2028", "2029", "2030", "2031"],
    );
    expect(costAxis(rows).to).toBeGreaterThan(1.08);
    const early = {
      name: "Permit",
      finish: { ...standing("2027-03-01T17:00", 0).finish, plan: "2027-01-15T17:00" },
    };
    const [shown] = steeringRows(
      [ridge],
      [view("r", standing("2028-10-24T17:00", 0.6, { milestones: [early] }))],
    );
    expect(finishAxis([shown!]).from).toBe(finishAxis([shown!], new Set(["other"])).from);
    expect(finishAxis([shown!], new Set(["r"])).from).toBeLessThan(Date.UTC(2027, 0, 15));
    expect(finishAxis([])).toEqual({ from: 0, to: 1 });
  });
});
