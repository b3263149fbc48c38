import { fireEvent, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { formatDay } from "../../shared/format/dates";
import { nextMonday } from "../../shared/schedule/scheduleSentences";
import { aServer, refused } from "../../test/aServer";
import { A_FAULTY_TABLE, aTable } from "../../test/aTable";
import { shown } from "../../test/shown";
import { ScheduleImport } from "./ScheduleImport";
import { button, field, user } from "../../test/hands";

const FILE = new File(["ID,Days\nA10,5\n"], "Harbour works.csv", { type: "text/csv" });
const PREVIEW = "POST /api/schedules/preview";

const bringIn = (leave = vi.fn()) =>
  shown(
    <Routes>
      <Route path="/" element={<ScheduleImport file={FILE} leave={leave} />} />
      <Route path="*" element={<output>It stands elsewhere.</output>} />
    </Routes>,
  );

describe("a schedule's table that becomes a project", () => {
  it("is called as its file and begins on the day that the file says", async () => {
    const sent = aServer({
      [PREVIEW]: aTable({ firstDay: "2027-05-03" }),
      "POST /api/schedules": { id: "n" },
    });
    bringIn();
    expect(field("Name of the project")).toHaveValue("Harbour works");
    expect(await screen.findByDisplayValue(formatDay("2027-05-03"))).toBeInTheDocument();
    await expect.poll(() => sent().at(-1)?.path).toContain("start=2027-05-03");
    fireEvent.change(field("Name of the project"), { target: { value: "Harbour" } });
    await user.click(await screen.findByRole("button", { name: "Take it over" }));
    expect(await screen.findByText("It stands elsewhere.")).toBeInTheDocument();
    expect(sent().at(-1)?.path).toContain("name=Harbour");
  });

  it("wants a day that is one, and says which", async () => {
    aServer({ [PREVIEW]: aTable() });
    bringIn();
    await screen.findByRole("table");
    fireEvent.change(field(/First day/), { target: { value: "soon" } });
    expect(screen.getByRole("status")).toHaveTextContent(
      `“soon” is no date; write the first day as ${formatDay(nextMonday(new Date()))}.`,
    );
  });

  it("waits until what is wrong is mended", async () => {
    const sent = aServer({
      [PREVIEW]: ({ path }: { path: string }) => (path.includes("mended") ? aTable() : A_FAULTY_TABLE),
    });
    bringIn();
    expect(await screen.findByText(/“soon” is no duration/)).toBeInTheDocument();
    const cell = field("Row 2, Days");
    fireEvent.change(cell, { target: { value: "5d" } });
    fireEvent.keyDown(cell, { key: "Enter" });
    await expect.poll(() => sent().at(-1)?.path).toContain("mended=2%3A1%3A5d");
    await expect.poll(() => screen.queryByText(/“soon” is no duration/)).toBeNull();
  });

  it("that cannot be read says why, with the way back", async () => {
    const leave = vi.fn();
    aServer({ [PREVIEW]: refused("it is empty") });
    bringIn(leave);
    expect(await screen.findByText("Harbour works.csv cannot be read: it is empty")).toBeInTheDocument();
    await user.click(button("Back to the projects"));
    expect(leave).toHaveBeenCalled();
  });
});
