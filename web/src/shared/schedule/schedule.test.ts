import { describe, expect, it } from "vitest";
import type { SchedulePreview } from "../api/client";
import { fidelitySentence, nextMonday, previewSentence } from "./scheduleSentences";

const preview: SchedulePreview = {
  columns: [],
  sample: [],
  rows: 4,
  problems: [],
  problemCount: 0,
  notes: [],
  compared: 0,
  differences: [],
  differenceCount: 0,
  activities: 4,
  links: 1,
  ranges: 3,
  finish: "2027-06-01T17:00:00",
};

describe("a schedule that is brought in", () => {
  it("is told as what it would become", () => {
    expect(previewSentence(preview)).toMatch(
      /^4 activities, 1 link, 3 with a range\. The plan would finish on .*2027.*\.$/,
    );
  });

  it("is told to be in the way of nothing but its problems", () => {
    expect(previewSentence({ ...preview, problemCount: 1, finish: undefined })).toBe(
      "1 problem in 4 rows. Nothing is kept until there are none.",
    );
  });

  it("tells how its dates agree with the file's own", () => {
    expect(fidelitySentence(preview)).toBe("The table has no dates of its own to compare ours with.");
    expect(fidelitySentence({ ...preview, compared: 4 })).toBe("All 4 dates come out as in the table.");
    const one = { id: "A", name: "A", table: "2027-03-01", ours: "2027-03-02", daysLater: 1, reason: "" };
    const differences = [
      { ...one, cause: true },
      { ...one, cause: false },
    ];
    expect(fidelitySentence({ ...preview, compared: 4, differences, differenceCount: 2 })).toBe(
      "2 of 4 dates come out as in the table; 2 differ, beginning at 1 activity.",
    );
  });

  it("starts on the Monday after today", () => {
    expect(nextMonday(new Date(2026, 10, 23))).toBe("2026-11-30");
    expect(nextMonday(new Date(2026, 10, 24))).toBe("2026-11-30");
    expect(nextMonday(new Date(2026, 10, 29))).toBe("2026-11-30");
  });
});
