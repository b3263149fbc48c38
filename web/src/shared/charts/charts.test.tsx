import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { shown } from "../../test/shown";
import { CHANCE_TICKS, FootAxis, SideAxis } from "./axes";
import { ChartTable } from "./ChartTable";
import { Density } from "./Density";
import { GripLine } from "./GripLine";
import { Bars, ChanceCurve } from "./Histogram";
import { Mark } from "./marks";
import { plotOf } from "./plot";

const plot = plotOf({ min: 0, max: 100 }, 300, 200, { left: 50, right: 50, top: 20, bottom: 30 });

describe("a plot", () => {
  it("leads from values to pixels and back, heights from the foot up", () => {
    expect(plot.x(0)).toBe(50);
    expect(plot.x(100)).toBe(250);
    expect(plot.value(plot.x(37))).toBeCloseTo(37);
    expect(plot.y(0)).toBe(170);
    expect(plot.y(1)).toBe(20);
    expect(plot.height(plot.y(0.25))).toBeCloseTo(0.25);
  });

  it("has axes with words at round values that lie in it", () => {
    render(
      <svg>
        <FootAxis
          plot={plot}
          ticks={[
            { value: 50, label: "fifty" },
            { value: 200, label: "far" },
          ]}
        />
        <SideAxis plot={plot} ticks={CHANCE_TICKS} at="right" />
      </svg>,
    );
    expect(screen.getByText("fifty")).toHaveAttribute("x", "150");
    expect(screen.queryByText("far")).toBeNull();
    expect(screen.getByText("80 %")).toHaveAttribute("y", String(plot.y(0.8) + 4));
  });

  it("draws bars that tell what they are, and a curve from the first value to the last", () => {
    const { container } = render(
      <svg>
        <Bars
          plot={plot}
          edges={[0, 50, 100]}
          counts={[1, 3]}
          headroom={1}
          words={(a, b, n) => `${a}–${b}: ${n}`}
        />
        <ChanceCurve plot={plot} values={[0, 50, 100]} />
      </svg>,
    );
    expect(screen.getByText("50–100: 3")).toBeInTheDocument();
    expect(container.querySelector("path")).toHaveAttribute("d", "M50,170L150,95L250,20");
    const bar = container.querySelector("[data-bar='1']") as Element;
    fireEvent.pointerEnter(bar);
    expect(bar.querySelectorAll("rect")[1]?.getAttribute("fill")).toContain("simulated)");
  });

  it("draws a density between two values, filled down to the foot or as a line", () => {
    const { container } = render(
      <svg>
        <Density plot={plot} heights={[0, 1, 0]} from={25} to={75} colour="red" />
        <Density plot={plot} heights={[0, 0.5]} from={0} to={100} colour="red" look="dashed" />
      </svg>,
    );
    const [filling, outline, dashed] = [...container.querySelectorAll("path")];
    expect(filling).toHaveAttribute("d", "M100,170L150,20L200,170L200,170L150,170L100,170Z");
    expect(outline).toHaveAttribute("d", "M100,170L150,20L200,170");
    expect(dashed).toHaveAttribute("d", "M50,170L250,95");
    expect(dashed).toHaveAttribute("stroke-dasharray");
  });

  it("has a line that keys move, by a step or by far, and that is dragged", () => {
    const [onStep, onDrag, onRelease] = [vi.fn(), vi.fn(), vi.fn()];
    render(
      <svg>
        <GripLine
          label="Reading line"
          spoken="12 May, 80 %"
          now={80}
          direction="across"
          from={[100, 20]}
          to={[100, 170]}
          onStep={onStep}
          onDrag={onDrag}
          onRelease={onRelease}
        />
      </svg>,
    );
    const line = screen.getByRole("slider", { name: "Reading line" });
    expect(line).toHaveAttribute("aria-valuetext", "12 May, 80 %");
    fireEvent.keyDown(line, { key: "ArrowRight" });
    fireEvent.keyDown(line, { key: "ArrowDown", shiftKey: true });
    expect(onStep.mock.calls).toEqual([
      [1, false],
      [-1, true],
    ]);
    fireEvent.pointerDown(line, { pointerId: 1 });
    fireEvent(line, new MouseEvent("pointermove", { buttons: 1, clientX: 120, clientY: 30, bubbles: true }));
    fireEvent.pointerUp(line);
    expect(onDrag).toHaveBeenCalledWith(120, 30);
    expect(onRelease).toHaveBeenCalled();
  });

  it("marks each kind of thing by a shape of its own, hollow where it is only proposed", () => {
    const { container } = render(
      <svg>
        <Mark kind="estimate" x={5} y={5} />
        <Mark kind="threat" x={15} y={5} />
        <Mark kind="opportunity" x={25} y={5} hollow />
        <Mark kind="money" x={35} y={5} />
      </svg>,
    );
    const drawn = [...container.querySelectorAll("svg > *")];
    expect(drawn.map((one) => one.tagName)).toEqual(["circle", "path", "path", "rect"]);
    expect(drawn[1]?.getAttribute("d")).not.toBe(drawn[2]?.getAttribute("d"));
    expect(drawn[2]).toHaveAttribute("fill", "var(--chakra-colors-ground)");
  });

  it("is told as a table, too", () => {
    shown(<ChartTable caption="Finish" columns={["From", "To"]} rows={[["1 May", "8 May"]]} />);
    expect(screen.getByRole("table", { name: "Finish" })).toHaveTextContent("8 May");
  });
});
