import { describe, expect, it, vi } from "vitest";
import type { PlanView, ProjectSummary } from "../shared/api/client";
import { aRisk } from "../test/aRisk";
import { itemsFor } from "./paletteItems";

const plan = {
  project: { id: "p" },
  branches: [{ id: "S", name: "Site" }],
  activities: [
    { id: "S10", name: "Survey the ridge", kind: "task" },
    { id: "I40", name: "Install the instrument", kind: "task" },
  ],
  costs: [{ id: "K1", name: "Survey fee" }],
} as unknown as PlanView;

const known = (over = {}) => ({
  plan,
  projects: [{ project: { id: "q", name: "Ridge road" } }] as unknown as ProjectSummary[],
  offered: { Plan: [{ id: "cal", label: "Calendars…", run: vi.fn() }] },
  go: vi.fn(),
  onRow: vi.fn(),
  onRisk: vi.fn(),
  ...over,
});

describe("what a search finds", () => {
  it("is what can be done and where one can go, while nothing is typed", () => {
    expect(itemsFor("", known()).map((item) => item.label)).toEqual([
      "Calendars…",
      "Plan",
      "Ranges",
      "Risks",
      "Costs",
      "Odds",
      "Drivers",
      "Scenarios",
      "Brief",
    ]);
  });

  it("are rows by code or words of their name, projects, and words", () => {
    expect(itemsFor("ridge", known()).map((item) => item.id)).toEqual(["row S10", "project q"]);
    expect(itemsFor("surv fee", known()).map((item) => item.id)).toEqual(["row K1"]);
    expect(itemsFor("s10", known())[0]?.id).toBe("row S10");
    expect(itemsFor("hammock", known()).map((item) => item.id)).toEqual(["word hammock"]);
  });

  it("does what it says when it is chosen", () => {
    const given = known();
    itemsFor("calend", given)[0]?.run();
    expect(given.offered.Plan[0]?.run).toHaveBeenCalled();
    itemsFor("odds", given)
      .find((item) => item.id === "stage odds")
      ?.run();
    expect(given.go).toHaveBeenCalledWith("/projects/p/odds");
    itemsFor("install", given)[0]?.run();
    expect(given.onRow).toHaveBeenCalledWith("I40");
  });

  it("has no stages and rows where no plan is open", () => {
    expect(itemsFor("s", known({ plan: undefined, offered: {} })).some((item) => item.group === "Rows")).toBe(
      false,
    );
  });

  it("is risks, too", () => {
    const onRisk = vi.fn();
    const [found] = itemsFor("storm", known({ risks: [aRisk("R03", { title: "Storms" })], onRisk }));
    expect(found).toMatchObject({ code: "R03", label: "Storms", group: "Risks" });
    found?.run();
    expect(onRisk).toHaveBeenCalledWith("R03");
  });
});
