import { describe, expect, it } from "vitest";
import { aPlan } from "../../test/aPlan";
import { aRisk, anEffect } from "../../test/aRisk";
import { hitting } from "../../shared/risks/hitting";
import { assigned, hitBy, sized } from "./assign";

describe("rows given to risks", () => {
  const money = anEffect({ effect: "addCost", on: ["K1"], text: "5k on K1" });

  it("join the first effect on time, or the first there is", () => {
    const both = aRisk("R1", { effects: [money, anEffect({ on: ["A10"] })] });
    const { edits, without } = assigned([both], ["A10", "A20"]);
    expect(without).toEqual([]);
    expect(edits).toHaveLength(1);
    expect(edits[0]?.impacts?.map(({ on }) => on)).toEqual([["K1"], ["A10", "A20"]]);
    const paid = assigned([aRisk("R2", { effects: [money] })], ["A20"]);
    expect(paid.edits[0]?.impacts?.[0]?.on).toEqual(["K1", "A20"]);
  });

  it("change nothing where they are struck already, and are asked for where there is no effect", () => {
    const known = aRisk("R1", { effects: [anEffect({ on: ["A10"] })] });
    const bare = aRisk("R2");
    expect(assigned([known, bare], ["A10"])).toEqual({ edits: [], without: [bare] });
  });

  it("are struck by a size of their own where one is said, beside what was there", () => {
    const [edit] = sized([aRisk("R1", { timeText: "5d on A10" })], ["A20", "S"], " 2..9d ");
    expect(edit).toEqual({ id: "R1", time: "5d on A10; 2..9d on A20, S" });
  });
});

describe("what a risk hits", () => {
  const plan = aPlan();

  it("is what it names, and what the money it names stands on", () => {
    const risk = aRisk("R1", { effects: [anEffect({ on: ["A20"] }), anEffect({ on: ["K1"] })] });
    expect([...hitBy(plan, risk)].sort()).toEqual(["A10", "A20", "K1"]);
    expect(hitBy(plan, undefined).size).toBe(0);
  });

  it("is seen from the row, too: by itself, by its branch, by the project", () => {
    const risks = [
      aRisk("R1", { effects: [anEffect({ on: ["A10"] })] }),
      aRisk("R2", { effects: [anEffect({ on: ["S"] })] }),
      aRisk("R3", { effects: [anEffect({ on: ["project"] })] }),
      aRisk("R4", { effects: [anEffect({ on: ["A20"] })] }),
    ];
    expect(hitting(plan, risks, "A10").map(({ id }) => id)).toEqual(["R1", "R2", "R3"]);
  });
});
