import { describe, expect, it } from "vitest";
import { freeTie, idsOf, rateSaid, tieSaid, worthSaid } from "./tieWords";

const names = { "KR:S50": "Road surface", "VC:V20": "Site cleared", "KR:R12": "A hard winter" };
const projects = [
  { code: "VC", name: "Visitor centre", shown: "nothing" as const, owned: true, project: "v" },
];

describe("the rate of a currency", () => {
  const member = { code: "AL", shown: "nothing" as const, owned: true, worth: 1.05, worthOn: "2026-11-01" };
  const on = (day: string) => Date.parse(`${day}T12:00Z`);

  it("has its date, and is asked after once it is more than thirty days old", () => {
    expect(rateSaid(member, "EUR", on("2026-12-01"))).toBe(
      "AL: 1.05 EUR for one of its own money, as of 1 Nov 2026.",
    );
    expect(rateSaid(member, "EUR", on("2026-12-02"))).toMatch(/1 Nov 2026, 31 days ago: is it still right\?/);
    expect(rateSaid({ ...member, worth: undefined }, "EUR", on("2026-12-02"))).toBeUndefined();
  });
});

describe("what ties projects", () => {
  it("is said in a line, each kind in its own words", () => {
    expect(
      tieSaid({ kind: "logic", id: "T1", from: "KR:S50", to: "VC:V20", type: "FS", lag: "0d" }, names),
    ).toBe("KR:S50 Road surface → VC:V20 Site cleared");
    expect(
      tieSaid({ kind: "logic", id: "T1", from: "KR:S50", to: "VC:V20", type: "SS", lag: "5d" }, names),
    ).toBe("KR:S50 Road surface → VC:V20 Site cleared (SS 5d)");
    expect(tieSaid({ kind: "risk", id: "T2", risk: "KR:R12", others: ["VC:W03"] }, names)).toBe(
      "KR:R12 A hard winter: one event, also as VC:W03",
    );
    expect(
      tieSaid({ kind: "resource", id: "T3", name: "Crew", resources: ["KR:crew", "VC:crew"], limit: 2 }, {}),
    ).toBe("Crew, shared: KR:crew, VC:crew, at most 2");
    expect(
      tieSaid(
        { kind: "together", id: "T4", name: "", members: ["KR:S50", "VC:V20"], coefficient: 0.5 },
        names,
      ),
    ).toContain("KR:S50 Road surface; VC:V20 Site cleared, at 0.5");
  });

  it("costs days of whom it moves most, or too little of what is shared", () => {
    expect(worthSaid({ tie: "T1", moves: "VC", days: 16.7 }, projects, 80)).toBe(
      "moves Visitor centre by +17 working days at P80",
    );
    expect(worthSaid({ tie: "T1", moves: "VC", days: -0.2 }, projects, 80)).toBe("moves no project by a day");
    expect(worthSaid({ tie: "T5", overbooked: 0.4, months: ["2028-04-01"] }, projects, 80)).toBe(
      "overbooked in 40 % of futures, most in Apr",
    );
    expect(worthSaid({ tie: "T5", overbooked: 0 }, projects, 80)).toBe("never wanted by more than there are");
  });

  it("is named by the next free number, and takes ids however they are parted", () => {
    expect(freeTie(["T1", "T3"])).toBe("T2");
    expect(idsOf(" KR:A, VC:B;KR:C\n")).toEqual(["KR:A", "VC:B", "KR:C"]);
  });
});
