import { act, fireEvent, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { ApiError } from "../api/client";
import { useReads } from "../api/part";
import { shown } from "../../test/shown";
import { useExplained } from "../words/wordStore";
import { FootBar } from "./FootBar";
import { Grid } from "./Grid";
import { useGridStore } from "./gridStore";
import type { Column, GridRow, OwnKeys } from "./types";
import { useGridEditing } from "./useGridEditing";

interface Row extends GridRow {
  name: string;
  days: number;
}
type Edit = { id: string; days?: number; name?: string };

const ROWS: Row[] = [
  { id: "T", depth: 0, open: true, strong: true, name: "Tower", days: 0 },
  { id: "A", depth: 1, name: "Dig", days: 3 },
  { id: "B", depth: 1, name: "Pour", days: 5 },
  { id: "C", depth: 1, name: "Cure", days: 7 },
];

const COLUMNS: Column<Row, Edit>[] = [
  { id: "code", title: "Code", width: 60, kept: true, text: (row) => row.id },
  {
    id: "name",
    title: "Activity",
    width: 200,
    kept: true,
    gives: true,
    word: "activity",
    text: (row) => row.name,
  },
  {
    id: "days",
    title: "Days",
    width: 60,
    text: (row) => String(row.days),
    cell: (row) =>
      row.open !== undefined
        ? undefined
        : {
            start: String(row.days),
            typed: (text) =>
              Number.isFinite(Number(text))
                ? { edit: { id: row.id, days: Number(text) }, after: { ...row, days: Number(text) } }
                : { refusal: `A number is needed, not “${text}”.` },
            cleared: () => ({ edit: { id: row.id, days: 0 }, after: { ...row, days: 0 } }),
            step: (by) => ({ edit: { id: row.id, days: row.days + by }, after: row }),
          },
  },
];

function Editable({
  send,
  keys,
}: {
  send: (edits: Edit[]) => Promise<unknown>;
  keys?: OwnKeys<Row, Column<Row, Edit>>;
}) {
  const editing = useGridEditing<Row, Edit>(send);
  return (
    <Grid
      state="test"
      label="Work"
      rows={ROWS}
      columns={COLUMNS}
      editing={editing}
      keys={keys}
      foot={(at) => (
        <FootBar refusal={editing.refusal} onUnderstood={editing.dismiss} selected={at.selected().length}>
          what can be done
        </FootBar>
      )}
    />
  );
}

const cell = (row: string, column: string) => document.getElementById(`cell-${row}-${column}`) as HTMLElement;
const select = (row: string, column: string) => {
  fireEvent.mouseDown(cell(row, column));
  screen.getByRole("treegrid").focus();
};

describe("a grid of anything", () => {
  const send = vi.fn<(edits: Edit[]) => Promise<unknown>>();
  const user = userEvent.setup();
  beforeEach(() => {
    send.mockReset().mockResolvedValue(undefined);
    useGridStore.setState({ views: {} });
  });

  it("says its rows and columns, how deep rows lie, and which cell is active", () => {
    shown(<Editable send={send} />);
    const grid = screen.getByRole("treegrid", { name: "Work" });
    expect(grid).toHaveAttribute("aria-rowcount", "5");
    expect(
      within(grid)
        .getAllByRole("columnheader")
        .map((one) => one.textContent),
    ).toEqual(["Code", "Activity", "Days"]);
    select("B", "name");
    expect(grid).toHaveAttribute("aria-activedescendant", "cell-B-name");
    expect(cell("B", "name").closest("[role=row]")).toHaveAttribute("aria-level", "2");
    expect(cell("T", "name").closest("[role=row]")).toHaveAttribute("aria-expanded", "true");
  });

  it("says that whoever reads changes nothing, whatever the way", async () => {
    useReads.setState({ reads: true });
    shown(<Editable send={send} />);
    select("A", "days");
    await user.keyboard("9{Enter}");
    expect(screen.getByText(/You read this project/)).toBeVisible();
    expect(screen.queryByRole("textbox", { name: "Days" })).toBeNull();
    await user.keyboard("{Delete}");
    expect(send).not.toHaveBeenCalled();
    useReads.setState({ reads: false });
  });

  it("is gone through by keys, and a text typed over a cell is handed in by Enter", async () => {
    shown(<Editable send={send} />);
    select("A", "name");
    await user.keyboard("{ArrowRight}{ArrowDown}");
    expect(screen.getByRole("treegrid")).toHaveAttribute("aria-activedescendant", "cell-B-days");
    await user.keyboard("9");
    expect(screen.getByRole("textbox", { name: "Days" })).toHaveValue("9");
    await user.keyboard("{Enter}");
    expect(send).toHaveBeenCalledWith([{ id: "B", days: 9 }]);
    expect(screen.getByRole("treegrid")).toHaveAttribute("aria-activedescendant", "cell-C-days");
  });

  it("keeps what is refused open with the reason; Esc takes the old value back", async () => {
    shown(<Editable send={send} />);
    select("A", "days");
    await user.keyboard("soon{Enter}");
    expect(screen.getByRole("alert")).toHaveTextContent("A number is needed, not “soon”.");
    expect(send).not.toHaveBeenCalled();
    await user.keyboard("{Escape}");
    expect(screen.queryByRole("alert")).toBeNull();
    send.mockRejectedValue(new ApiError(422, "no", [{ pointer: "/0/days", message: "too long" }]));
    await user.keyboard("99{Enter}");
    expect(screen.getByRole("alert")).toHaveTextContent("Too long.");
  });

  it("fills, clears and steps a block of rows as one edit, passing over what cannot be edited", async () => {
    shown(<Editable send={send} />);
    select("A", "days");
    await user.keyboard("{Shift>}{ArrowDown}{ArrowDown}{/Shift}");
    expect(screen.getByRole("toolbar", { name: "Selected rows" })).toHaveTextContent("3 rows selected");
    await user.keyboard("{Control>}d{/Control}");
    expect(send).toHaveBeenLastCalledWith([
      { id: "A", days: 3 },
      { id: "B", days: 3 },
      { id: "C", days: 3 },
    ]);
    await user.keyboard("{Delete}");
    expect(send).toHaveBeenLastCalledWith([
      { id: "A", days: 0 },
      { id: "B", days: 0 },
      { id: "C", days: 0 },
    ]);
    await user.keyboard("+");
    expect(send).toHaveBeenLastCalledWith([
      { id: "A", days: 4 },
      { id: "B", days: 6 },
      { id: "C", days: 8 },
    ]);
  });

  it("is copied and pasted as spreadsheets do; one bad cell refuses the whole", async () => {
    shown(<Editable send={send} />);
    select("A", "name");
    await user.keyboard("{Shift>}{ArrowDown}{ArrowRight}{/Shift}");
    const setData = vi.fn();
    fireEvent.copy(screen.getByRole("treegrid"), { clipboardData: { setData } });
    expect(setData).toHaveBeenCalledWith("text/plain", "Dig\t3\nPour\t5");
    select("A", "days");
    const paste = (text: string) =>
      act(async () => {
        fireEvent.paste(screen.getByRole("treegrid"), { clipboardData: { getData: () => text } });
      });
    await paste("1\n2\n");
    expect(send).toHaveBeenLastCalledWith([
      { id: "A", days: 1 },
      { id: "B", days: 2 },
    ]);
    await paste("1\nx\n");
    expect(screen.getByRole("alert")).toHaveTextContent("Nothing was changed. B, Days: A number is needed");
  });

  it("asks its user's own keys first, opens and closes rows, and explains a column", async () => {
    const keys = vi.fn<OwnKeys<Row, Column<Row, Edit>>>((event) => event.key === "Insert");
    shown(<Editable send={send} keys={keys} />);
    select("T", "name");
    await user.keyboard("{Insert}");
    expect(keys.mock.lastCall?.[1].row?.id).toBe("T");
    await user.keyboard("{Enter}");
    expect(useGridStore.getState().views.test?.closed.has("T")).toBe(true);
    await user.keyboard("{F1}");
    expect(useExplained.getState().word).toBe("activity");
  });

  it("is only read where it has no way of edits", async () => {
    shown(
      <Grid
        state="test"
        label="Read"
        rows={ROWS.slice(1).map((row) => ({ ...row, depth: 0 }))}
        columns={COLUMNS}
      />,
    );
    const grid = screen.getByRole("grid", { name: "Read" });
    expect(grid).toHaveAttribute("aria-readonly", "true");
    fireEvent.mouseDown(cell("A", "days"));
    grid.focus();
    await user.keyboard("5");
    expect(screen.queryByRole("textbox")).toBeNull();
  });
});
