import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { UpdateRow } from "../../shared/api/client";
import { formatDay } from "../../shared/format/dates";
import { useNotes } from "../../shared/ui/notify";
import { aPlan } from "../../test/aPlan";
import { aServer, refused } from "../../test/aServer";
import { A_FAULTY_TABLE, aTable } from "../../test/aTable";
import { shownStage } from "../../test/shown";
import { UpdateStage } from "./UpdateStage";
import { updateSentence } from "./updateSentences";
import { button, field, user } from "../../test/hands";

const PREVIEW = "POST /api/projects/p/update/preview";
const UPDATE = "POST /api/projects/p/update";
const FILE = new File(["ID,Days\nA10,5\n"], "newer.csv", { type: "text/csv" });

const aRow = (id: string, what: string, more: Partial<UpdateRow> = {}): UpdateRow => ({
  id,
  name: `Work ${id}`,
  what,
  fields: [],
  hanging: [],
  ...more,
});
const ROWS = [
  aRow("A10", "changed", { fields: [{ field: "duration", before: "5d", after: "8d" }] }),
  aRow("A20", "gone", { hanging: ["risk R1", "the range"] }),
  aRow("A30", "new", { fields: [{ field: "actual start", before: "", after: "2027-03-01T08:00" }] }),
];

const updating = async () => {
  shownStage(aPlan(), <UpdateStage />);
  await user.upload(field("Newer schedule"), FILE);
};

describe("a newer file of the schedule", () => {
  it("is told row by row before anything changes", async () => {
    const sent = aServer({ [PREVIEW]: { schedule: aTable(), rows: ROWS, finish: "2028-04-01T17:00" } });
    await updating();
    expect(await screen.findByTestId("update")).toHaveTextContent("1 new, 1 changed, 1 gone.");
    expect(screen.getByTestId("update")).toHaveTextContent(
      `the plan would finish on ${formatDay("2028-04-01")}.`,
    );
    const row = (id: string) => document.querySelector(`[data-update=${id}]`);
    expect(row("A10")).toHaveTextContent("duration: 5d → 8d");
    expect(row("A20")).toHaveTextContent("With it goes risk R1, the range.");
    expect(row("A30")).toHaveTextContent("started: nothing → 2027-03-01 08:00");
    expect(sent().every(({ path }) => path.includes("/preview"))).toBe(true);
  });

  it("is taken over but for some rows", async () => {
    const sent = aServer({ [PREVIEW]: { schedule: aTable(), rows: ROWS }, [UPDATE]: {} });
    await updating();
    await user.click(await screen.findByLabelText("Take A20 over"));
    expect(field("Take all rows over")).not.toBeChecked();
    await user.click(button("Take 2 rows over"));
    expect(await screen.findByTestId("address")).toHaveTextContent("/projects/p/plan");
    const taken = sent().at(-1);
    expect(taken?.body).toContain('name="except"\r\n\r\nA20\r\n');
    expect(taken?.body).not.toContain("A10\r\n");
    expect(useNotes.getState().note?.text).toContain("Ctrl Z takes all of it back");
  });

  it("is not taken over where no row of it is", async () => {
    aServer({ [PREVIEW]: { schedule: aTable(), rows: ROWS } });
    await updating();
    await user.click(await screen.findByLabelText("Take all rows over"));
    expect(button("Take 0 rows over")).toBeDisabled();
    await user.click(field("Take A30 over"));
    expect(button("Take 1 rows over")).toBeEnabled();
  });

  it("leaves the plan as it is where it is refused, and says why", async () => {
    aServer({
      [PREVIEW]: { schedule: aTable(), rows: ROWS },
      [UPDATE]: refused("the plan was changed meanwhile", [], 409),
    });
    await updating();
    await user.click(await screen.findByRole("button", { name: "Take all of it over" }));
    const told = await screen.findByRole("alert");
    expect(told).toHaveTextContent("The plan was not updated; it is as it was.");
    expect(told).toHaveTextContent("The plan was changed meanwhile.");
    expect(screen.queryByTestId("address")).toBeNull();
  });

  it("is mended where a cell is not understood, and by what its columns mean", async () => {
    const sent = aServer({ [PREVIEW]: { schedule: A_FAULTY_TABLE, rows: [] } });
    await updating();
    expect(await screen.findByTestId("update")).toHaveTextContent("1 problem in the file.");
    expect(screen.queryByRole("button", { name: /Take/ })).toBeNull();
    const cell = field("Row 2, Days");
    await user.clear(cell);
    await user.type(cell, "5d{Enter}");
    await expect.poll(() => sent().at(-1)?.path).toContain("mended=2%3A1%3A5d");
    await user.selectOptions(field("What “Days” says"), "left out");
    await expect.poll(() => sent().at(-1)?.path).toContain("columns=code,&");
    await user.selectOptions(field("Order of dates"), "are 3 April");
    await expect.poll(() => sent().at(-1)?.path).toContain("dates=DAY_FIRST");
  });

  it("that cannot be read is refused with the reason, and another may be chosen", async () => {
    aServer({ [PREVIEW]: refused("this is no table") });
    await updating();
    expect(await screen.findByText("The file cannot be read: This is no table.")).toBeInTheDocument();
    expect(button("Another file")).toBeInTheDocument();
    await user.click(button("Leave it"));
    expect(screen.getByTestId("address")).toHaveTextContent("/projects/p/plan");
  });

  it("that has more than 50 MB is not even sent", async () => {
    const sent = aServer({});
    shownStage(aPlan(), <UpdateStage />);
    const large = new File(["x"], "large.csv", { type: "text/csv" });
    Object.defineProperty(large, "size", { value: 50_000_001 });
    await user.upload(field("Newer schedule"), large);
    expect(await screen.findByText(/The file has more than 50 MB/)).toBeInTheDocument();
    expect(sent()).toEqual([]);
  });

  it("may say what the plan says already", () => {
    expect(updateSentence({ schedule: aTable(), rows: [] })).toBe(
      "The file says what the plan says already.",
    );
  });
});
