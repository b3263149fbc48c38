import { describe, expect, it } from "vitest";
import type { FutureView, JointView } from "../../shared/api/client";
import { civil } from "../../shared/format/dates";
import { futureSentence, moneySentence, pathSentence, struckSentence } from "./futureWords";
import { inWords } from "../../shared/odds/inputChange";
import { jointPlot, jointSentence } from "./joint";
import { FRESH, runRequest } from "./runRequest";

const future: FutureView = {
  number: 4217,
  of: 10000,
  finish: "2028-10-25T17:00:00",
  planFinish: "2028-07-10T17:00:00",
  finishChance: 0.8,
  cost: 5_150_000,
  planCost: 4_400_000,
  costChance: 0.8,
  money: { spread: 300_000, timeDriven: -50_000, risk: 500_000, actions: 0 },
  rows: [],
  struck: [
    { id: "R1", title: "Permit late", kind: "threat", times: 1 },
    { id: "R2", title: "Storms", kind: "threat", times: 3 },
  ],
  path: ["A", "B"],
};

describe("one future", () => {
  it("is told beside the plan, in days and money", () => {
    expect(futureSentence(future, "EUR")).toBe(
      "Future 4,217 of 10,000 finishes on 25 Oct 2028, 107 days after the plan, and costs €5.15m, €750k more.",
    );
    expect(futureSentence({ ...future, finish: future.planFinish }, "EUR")).toContain("on the plan date");
    expect(moneySentence(future, "EUR")).toBe(
      "Beside the plan: estimates +€300k, time −€50.0k, risks +€500k.",
    );
  });

  it("tells what struck and what drove", () => {
    expect(struckSentence(future)).toBe("2 risks struck: Permit late; Storms (3 times).");
    expect(struckSentence({ ...future, struck: [] })).toBe("No risk struck.");
    expect(pathSentence(future)).toBe("It was driven by A → B.");
    const long = { ...future, path: ["A", "B", "C", "D", "E", "F", "G", "H"] };
    expect(pathSentence(long)).toBe("It was driven by A → B → C → … → F → G → H.");
  });
});

describe("time and money together", () => {
  const joint = {
    date: "2028-10-02T17:00:00",
    amount: 5_000_000,
    both: 0.48,
    dateOnly: 0.14,
    costOnly: 0.2,
    neither: 0.18,
    points: [
      { number: 1, finish: "2028-09-01T17:00:00", cost: 4_600_000 },
      { number: 2, finish: "2029-01-01T17:00:00", cost: 5_600_000 },
    ],
    pairs: [],
  } as JointView;

  it("are told as one chance and as two", () => {
    expect(jointSentence(joint, "EUR")).toBe(
      "2 Oct 2028 and €5.00m are kept together with a chance of 48 %: the date alone with 62 %, the budget alone with 68 %.",
    );
  });

  it("lie on axes that show all futures, later to the right, dearer further up", () => {
    const scale = jointPlot(joint, 600, 400);
    const [one, two] = joint.points;
    expect(scale.x(civil(one?.finish ?? ""))).toBeGreaterThan(0);
    expect(scale.x(civil(two?.finish ?? ""))).toBeLessThan(600);
    expect(scale.y(two?.cost ?? 0)).toBeLessThan(scale.y(one?.cost ?? 0));
    expect(scale.value(scale.x(civil(joint.date)))).toBeCloseTo(civil(joint.date), -2);
    expect(scale.height(scale.y(joint.amount))).toBeCloseTo(joint.amount, 3);
  });
});

describe("inputs since a run", () => {
  it("are told object by object", () => {
    const change = {
      section: "activities",
      title: "Activity",
      key: "S20",
      name: "Permit",
      what: "changed",
      fields: ["actualStart", "duration", "estimate"],
      details: [
        { name: "actualStart", after: "2027-03-01T08:00" },
        { name: "duration", before: "80d", after: "90d" },
        { name: "estimate" },
      ],
    };
    expect(inWords(change)).toBe(
      "Activity S20, Permit: actual start 1 Mar 2027, duration 80d → 90d, estimate changed.",
    );
    expect(
      inWords({ ...change, section: "project", title: "Settings", fields: [], details: [], what: "moved" }),
    ).toBe("Settings: moved.");
  });
});

describe("a run until steady", () => {
  const typed = { ...FRESH, iterations: "100,000", tolerance: "2 %", name: " For the board " };
  it("asks for a share of the standard deviation", () => {
    expect(runRequest(typed)).toEqual({
      run: { iterations: 100000, tolerance: 0.02, name: "For the board" },
    });
    expect(runRequest({ ...typed, tolerance: "soon" })).toHaveProperty("refusal");
    expect(runRequest({ ...typed, tolerance: "0.1" })).toHaveProperty("refusal");
  });
});
