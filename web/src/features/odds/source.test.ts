import { describe, expect, it } from "vitest";
import type { LiveView, PlanView, RunView } from "../../shared/api/client";
import type { Heading } from "../../shared/heading/heading";
import { levelsOf, subjectOf, useOddsStore } from "../../shared/odds/oddsStore";
import { progressWords, soFarSentence } from "./runWords";
import { hasResults, isCutShort, ofLive, ofRun, runWords } from "../../shared/odds/source";

const run = {
  id: "r1",
  number: 3,
  state: "done",
  startedAt: "2026-11-23T17:18:00Z",
  asked: 10_000,
  done: 10_000,
  seed: 4711,
  sampling: "latin",
  revision: 5,
  level: 80,
} as RunView;
const plan = { project: { revision: 5, inputsRevision: 5, confidence: 80 } } as PlanView;

describe("whose odds are looked at", () => {
  it("are those of a run that has results, whatever ended it", () => {
    expect(hasResults(run)).toBe(true);
    expect(hasResults({ ...run, state: "interrupted" })).toBe(true);
    expect(hasResults({ ...run, state: "interrupted", done: 0 })).toBe(false);
    expect(hasResults({ ...run, state: "running" })).toBe(false);
    expect([run, { ...run, state: "stopped" }, { ...run, state: "interrupted" }].map(isCutShort)).toEqual([
      false,
      true,
      true,
    ]);
  });

  it("are current while the plan is the one that was simulated", () => {
    expect(ofRun(plan, run)).toEqual({ run, key: "r1", current: true });
    expect(ofRun(plan, { ...run, revision: 4 }).current).toBe(false);
    const scenariosEdited = { project: { ...plan.project, revision: 9 } } as PlanView;
    expect(ofRun(scenariosEdited, run).current).toBe(true);
    expect(ofRun(plan, { ...run, state: "running" }).key).toBeUndefined();
  });

  it("are live where no run is named, and say why there are none", () => {
    const view = { revision: 5, state: "refined", run: "live1", runRevision: 5 } as LiveView;
    expect(ofLive(plan, view, true)).toEqual({ key: "live1", current: true, refusal: undefined });
    expect(ofLive(plan, view, false).current).toBe(false);
    const first = { ...view, state: "live", runRevision: 4 } as LiveView;
    expect(ofLive(plan, first, true).current, "while only finish and cost are known").toBe(false);
    expect(ofLive(plan, { revision: 5, state: "refused", refusal: "a loop" } as LiveView, true).refusal).toBe(
      "a loop",
    );
    expect(ofLive(plan, undefined, false).key).toBeUndefined();
  });

  it("are called by number, name, futures and seed", () => {
    expect(runWords({ ...run, name: "For the board", state: "stopped", done: 900 })).toMatch(
      /^Run 3, For the board · 23 Nov, .* · 900 futures · seed 4711 · stopped early$/,
    );
  });
});

describe("a run at work", () => {
  const heading = { name: "finish", level: 80, kept: Date.UTC(2028, 9, 25, 17) } as Heading;
  const cost = { name: "cost", level: 80, kept: 5_140_000 } as Heading;

  it("says what its futures come to so far", () => {
    expect(soFarSentence(heading, cost, "EUR")).toBe(
      "So far four futures in five finish by 25 Oct 2028, and four in five cost at most €5.14m.",
    );
    expect(soFarSentence({ ...heading, level: 85 }, undefined, "EUR")).toBe(
      "So far 85 of 100 futures finish by 25 Oct 2028.",
    );
  });

  it("says how far it is, how fast, and how long it will take", () => {
    const at = (progress: Partial<NonNullable<RunView["progress"]>>) =>
      progressWords({
        ...run,
        progress: { done: 2500, perSecond: 1000, secondsLeft: 7.2, paused: false, machines: 0, ...progress },
      });
    expect(at({})).toBe("2,500 of 10,000 futures, 1,000 a second, 8 s left.");
    expect(at({ machines: 2 })).toBe(
      "2,500 of 10,000 futures, 1,000 a second with 2 more machines, 8 s left.",
    );
    expect(at({ machines: 1 })).toContain("with 1 more machine,");
    expect(at({ paused: true })).toBe("Held at 2,500 of 10,000 futures.");
    expect(at({ done: 0, perSecond: 0 })).toBe("0 of 10,000 futures.");
    expect(progressWords({ ...run, tolerance: 0.02 })).toBe(
      "0 of at most 10,000 futures; waiting for its turn.",
    );
  });
});

describe("how odds are looked at", () => {
  it("is by project, with the level that matters among the usual ones until others are chosen", () => {
    const fresh = useOddsStore.getState();
    expect(subjectOf(fresh, "p")).toEqual({ what: "finish", of: "project" });
    fresh.look("p", { what: "cost", of: "W1" });
    expect(subjectOf(useOddsStore.getState(), "p")).toEqual({ what: "cost", of: "W1" });
    expect(subjectOf(useOddsStore.getState(), "other")).toEqual({ what: "finish", of: "project" });
    expect(levelsOf(useOddsStore.getState(), 85)).toEqual([10, 25, 50, 70, 80, 85, 90, 95]);
    useOddsStore.getState().setLevels([5, 95]);
    expect(levelsOf(useOddsStore.getState(), 85)).toEqual([5, 95]);
  });
});
