import { describe, expect, it } from "vitest";
import type { PlanView } from "../../shared/api/client";
import type { Row } from "../../shared/planGrid/rows";
import { planColumns } from "./planColumns";
import { extent, timeScale, ticks, wantedWidth } from "../../shared/charts/timeScale";

const DAY = 86_400_000;
const from = Date.UTC(2027, 2, 1);

describe("the time scale", () => {
  it("spans all work and the target, with room at the end", () => {
    const plan = {
      project: { start: "2027-03-01T08:00:00", targetFinish: "2028-09-01T17:00:00" },
      finish: "2028-07-10T17:00:00",
    } as unknown as PlanView;
    const { start, end } = extent(plan);
    expect(start).toBeLessThan(from);
    expect(end).toBeGreaterThan(Date.UTC(2028, 8, 1));
  });

  it("maps its ends to the edges of the drawing", () => {
    const scale = timeScale({ start: from, end: from + 10 * DAY }, 500);
    expect(scale.x(from)).toBe(0);
    expect(scale.x(from + 5 * DAY)).toBe(250);
    expect(wantedWidth("whole", scale)).toBe(0);
    expect(wantedWidth("days", scale)).toBeGreaterThan(wantedWidth("weeks", scale));
  });

  it("labels days, weeks, months, quarters or years as the room allows", () => {
    const labels = (days: number, width: number) =>
      ticks(timeScale({ start: from, end: from + days * DAY }, width));
    expect(labels(20, 600).fine).toHaveLength(20);
    expect(labels(70, 600).fine.map((tick) => new Date(tick.time).getUTCDay())).toEqual(Array(10).fill(1));
    expect(labels(365, 600).fine).toHaveLength(12);
    expect(labels(365, 600).coarse.map((tick) => tick.label)).toEqual(["2027", "2028"]);
    expect(labels(365 * 4, 600).fine.length).toBeLessThan(18);
    expect(labels(365 * 20, 600).coarse).toHaveLength(0);
    expect(labels(365 * 10, 600).fine[0]?.label).toBe("2027");
    expect(labels(365 * 30, 600).fine.map((tick) => tick.label)).toContain("2030");
    expect(labels(365 * 30, 600).fine.length).toBeLessThan(17);
  });

  it("never gives two labels to the same month", () => {
    const { fine } = ticks(timeScale({ start: from + 14 * DAY, end: from + 700 * DAY }, 900));
    expect(new Set(fine.map((tick) => tick.time)).size).toBe(fine.length);
  });
});

describe("predecessors", () => {
  const plan = {
    calendars: [],
    links: [
      { from: "A10", to: "A30", type: "FS", lag: "0d" },
      { from: "A20", to: "A30", type: "FS", lag: "3d" },
      { from: "A25", to: "A30", type: "SS", lag: "-1d" },
      { from: "A26", to: "A30", type: "FF", lag: "0d" },
    ],
  } as unknown as PlanView;

  it("are written as a planner would", () => {
    const after = planColumns(plan).find((column) => column.id === "after");
    expect(after?.text({ kind: "activity", id: "A30" } as Row)).toBe("A10; A20FS+3d; A25SS−1d; A26FF");
    expect(after?.text({ kind: "activity", id: "A10" } as Row)).toBe("");
  });
});
