import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { BriefAxis, BriefDrawing, BriefLine, FutureView } from "../../shared/api/client";
import { aPlan } from "../../test/aPlan";
import { shown } from "../../test/shown";
import { freeCode } from "../../shared/format/freeCode";
import { Decisions } from "./Decisions";
import { DrawingPicture } from "./DrawingPicture";
import { placeOf, played } from "./future";
import { headingOf, KINDS } from "./kinds";
import { Lines } from "./Lines";
import { PaperTable } from "./PaperTable";
import { chanceAt, valueAt, valueOf, xOf } from "./readOff";
import { fieldNode, fill, read, same } from "./words";

const words = (text: string) => ({ text, field: "", lost: false });
const field = (name: string, text: string) => ({ text, field: name, lost: false });
const LINES: BriefLine[] = [
  {
    template: "Promise {sure.finish} & no less.",
    pieces: [words("Promise "), field("sure.finish", "24 October 2028"), words(" & no less.")],
    changed: [],
  },
  { template: "Second <paragraph>", pieces: [words("Second <paragraph>")], changed: [] },
];

function editor(): HTMLElement {
  const element = document.createElement("div");
  fill(element, LINES);
  return element;
}

describe("words that are typed", () => {
  it("are read as they were filled in, with what their fields said", () => {
    const typed = read(editor());
    expect(typed.words).toEqual(["Promise {sure.finish} & no less.", "Second <paragraph>"]);
    expect(typed.seen).toEqual({ "sure.finish": "24 October 2028" });
    expect(same(typed, LINES)).toBe(true);
  });

  it("take numbers that are put in, and lose those that are taken out", () => {
    const element = editor();
    element.lastElementChild?.append(" for ", fieldNode("budget", "€5.05m"));
    element.querySelector("[data-field='sure.finish']")?.remove();
    const typed = read(element);
    expect(typed.words).toEqual(["Promise  & no less.", "Second <paragraph> for {budget}"]);
    expect(typed.seen).toEqual({ budget: "€5.05m" });
    expect(same(typed, LINES)).toBe(false);
  });

  it("keep lines that browsers break in their own ways", () => {
    const element = document.createElement("div");
    element.innerHTML = "one<br>two<div>three</div><p>four</p><p><br></p><p>five</p>";
    expect(read(element).words).toEqual(["one", "two", "three", "four", "", "five"]);
  });

  it("of an empty block are one empty paragraph to type in", () => {
    const element = document.createElement("div");
    fill(element, []);
    expect(element.querySelectorAll("p")).toHaveLength(1);
    expect(read(element).words).toEqual([]);
  });
});

describe("a line whose number has changed", () => {
  it("is marked for a second look, until somebody says that it still holds", () => {
    const still = vi.fn();
    const changed = [{ field: "sure.finish", was: "1 May 2028", now: "24 October 2028" }];
    shown(
      <Lines
        lines={LINES.map((line, i) => (i === 0 ? { ...line, changed } : line))}
        large
        onStillRight={still}
      />,
    );
    expect(screen.getByTestId("second-look").textContent).toContain("1 May 2028 is 24 October 2028 now");
    fireEvent.click(screen.getByText("The words still hold"));
    expect(still).toHaveBeenCalledOnce();
  });

  it("is not marked where nothing can be changed any more", () => {
    const changed = [{ field: "sure.finish", was: "1 May 2028", now: "24 October 2028" }];
    shown(<Lines lines={[{ ...(LINES[0] as BriefLine), changed }]} large={false} />);
    expect(screen.queryByTestId("second-look")).toBeNull();
  });
});

const AXIS: BriefAxis = {
  what: "cost",
  left: 100,
  right: 300,
  top: 0,
  bottom: 100,
  low: 0,
  high: 40,
  quantiles: [10, 20, 20, 30, 30],
};

describe("what is read off", () => {
  it("goes from chance to value and back", () => {
    expect(valueAt(AXIS, 0.125)).toBe(15);
    expect(chanceAt(AXIS, 15)).toBe(0.125);
    expect(chanceAt(AXIS, 20)).toBe(0.5);
    expect(chanceAt(AXIS, 9)).toBe(0);
    expect(chanceAt(AXIS, 30)).toBe(1);
    expect(valueAt(AXIS, 2)).toBe(30);
  });

  it("goes from place to value and back, within the axis", () => {
    expect(xOf(AXIS, 20)).toBe(200);
    expect(valueOf(AXIS, 200)).toBe(20);
    expect(valueOf(AXIS, 5_000)).toBe(40);
  });
});

describe("a future that is played", () => {
  it("begins and ends each branch with the first and last work beneath it", () => {
    const plan = aPlan();
    const [first, second] = plan.activities;
    if (!first || !second) throw new Error("the plan of tests has two activities");
    const branch = first.wbs;
    const row = (id: string, start: string, finish: string) => ({ id, start, finish, kind: "task" });
    const future = {
      rows: [
        row(first.id, "2027-03-02T08:00", "2027-03-05T17:00"),
        { ...row(second.id, "2020-01-01T08:00", "2039-01-01T08:00"), kind: "hammock" },
      ],
    } as unknown as FutureView;
    const drawing = { spots: [{ id: branch, y: 12 }] } as BriefDrawing;
    expect(played(plan, drawing, future)).toEqual([
      { id: branch, y: 12, start: Date.UTC(2027, 2, 2, 8), finish: Date.UTC(2027, 2, 5, 17) },
    ]);
    const axis = { ...AXIS, low: 0, high: 100 };
    expect(placeOf(axis, 50 * 60_000)).toBe(200);
  });
});

describe("on paper", () => {
  it("a drawing is told to those who do not see it", () => {
    const drawing: BriefDrawing = {
      width: 640,
      height: 100,
      alt: "How likely each finish is",
      marks: [
        { d: "M0 0L10 10", width: 1, colour: "#000000" },
        { x: 1, y: 2, text: "P80", anchor: "middle", size: 12, strong: true, colour: "#000000" },
      ],
      axes: [],
      spots: [],
    };
    shown(<DrawingPicture drawing={drawing} />);
    expect(screen.getByRole("img", { name: "How likely each finish is" }).textContent).toBe("P80");
  });

  it("a table has its heads, and its numbers look otherwise than its words", () => {
    const table = {
      columns: [
        { name: "Risk", number: false },
        { name: "Days", number: true },
      ],
      rows: [["Snow", "12"]],
    };
    shown(<PaperTable table={table} label="Risks" />);
    expect(screen.getAllByRole("columnheader").map((one) => one.textContent)).toEqual(["Risk", "Days"]);
    expect(screen.getByText("12").className).not.toBe(screen.getByText("Snow").className);
  });

  it("every kind of block has a name and can be told from the others", () => {
    expect(new Set(KINDS.map(({ name }) => name)).size).toBe(KINDS.length);
    expect(headingOf({ heading: "", usual: "", kind: "text" } as never)).toBe("Words of your own");
  });
});

describe("decisions", () => {
  const rows = [{ what: "Book the crane", who: "The board", by: "2027-02-01", cost: 18_000 }];
  const shownWith = (answer?: string) => {
    const change = vi.fn(() => Promise.resolve(answer));
    shown(<Decisions plan={aPlan()} block={{ decisions: rows } as never} onChange={change} />);
    return change;
  };
  const leave = (label: string | RegExp, text: string) => {
    const field = screen.getByLabelText(label);
    fireEvent.blur(field, { target: { value: text } });
  };

  it("are changed field by field, as people type days and money", () => {
    const change = shownWith();
    leave("Cost", "20k");
    expect(change).toHaveBeenLastCalledWith([{ ...rows[0], cost: 20_000 }]);
    leave("By whom", "The sponsor");
    expect(change).toHaveBeenLastCalledWith([{ ...rows[0], who: "The sponsor" }]);
    leave("Cost", "");
    expect(change).toHaveBeenLastCalledWith([{ ...rows[0], cost: undefined }]);
  });

  it("keep what was typed where it cannot be, and say why", async () => {
    const change = shownWith("A date lies between 1900 and 2400.");
    leave("Cost", "plenty");
    expect(change).not.toHaveBeenCalled();
    expect(screen.getByRole("alert").textContent).toContain("“plenty” is no amount");
    leave(/^By when/, "someday");
    expect(change).not.toHaveBeenCalled();
    leave("By whom", "Nobody");
    expect(await screen.findByText("A date lies between 1900 and 2400.")).toBeTruthy();
  });

  it("are added and taken out", () => {
    const change = shownWith();
    fireEvent.click(screen.getByText("Add a decision"));
    expect(change).toHaveBeenLastCalledWith([rows[0], { what: "To be said", who: "" }]);
    fireEvent.click(screen.getByLabelText("Take “Book the crane” out"));
    expect(change).toHaveBeenLastCalledWith([]);
  });
});

it("a free code is the first that nobody has", () => {
  expect(freeCode("b", ["b1", "b3"])).toBe("b2");
  expect(freeCode("B", [])).toBe("B1");
});
