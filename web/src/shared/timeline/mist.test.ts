import { describe, expect, it } from "vitest";
import type { Span } from "../api/client";
import { finishAt, mistOf, thinned } from "./mist";

const levels = [1, 50, 99];
const span: Span = { id: "A", criticality: 1, start: [0, 100, 200], finish: [300, 400, 500] };

describe("mist", () => {
  it("is the chance that work has begun and not ended", () => {
    const points = mistOf(span, levels);
    const at = (minutes: number) => points.find((point) => point.time === minutes * 60_000)?.chance;
    expect(at(100)).toBeCloseTo(0.5);
    expect(at(200)).toBeCloseTo(1);
    expect(at(400)).toBeCloseTo(0.5);
    expect(at(500)).toBeCloseTo(0);
  });

  it("of certain work is as dark as can be from its start to its finish", () => {
    const certain = { ...span, start: [10, 10, 10], finish: [20, 20, 20] };
    expect(mistOf(certain, levels).map((point) => point.chance)).toEqual([1, 0]);
  });

  it("is told by points that can be told apart, and by its ends", () => {
    const points = [0, 1, 2, 10, 11, 12].map((time) => ({ time, chance: time / 12 }));
    expect(thinned(points, 2).map((point) => point.time)).toEqual([0, 2, 10, 12]);
    expect(thinned(points, 100).map((point) => point.time)).toEqual([0, 12]);
  });

  it("has its notches where levels of futures have ended the work", () => {
    expect(finishAt(span, levels, 50)).toBe(400 * 60_000);
    expect(finishAt(span, levels, 80)).toBeUndefined();
  });
});
