import { screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { MachinesView } from "../../shared/api/client";
import { aMachine } from "../../test/aMachine";
import { aServer, refused } from "../../test/aServer";
import { shown } from "../../test/shown";
import { MachinesPage } from "./MachinesPage";

const page = (view: MachinesView) => {
  aServer({ "GET /api/machines": view });
  shown(<MachinesPage />);
};

describe("the page of machines", () => {
  it("says how to let machines in where none may join", async () => {
    page({ machines: [aMachine("hut", { kind: "server" })] });
    expect(await screen.findByTestId("machines")).toHaveTextContent("This server works alone.");
    expect(screen.getByText("TYCHON_MACHINES=HOST:PORT")).toBeInTheDocument();
    expect(screen.queryByRole("table")).toBeNull();
  });

  it("says how one joins as long as none has", async () => {
    page({ listen: "10.0.0.1:47500", machines: [aMachine("hut", { kind: "server" })] });
    expect(await screen.findByTestId("machines")).toHaveTextContent("No machine has joined yet");
    expect(screen.getByText(/worker --join 10\.0\.0\.1:47500/)).toBeInTheDocument();
  });

  it("tells who works at what, and what share of it each has done", async () => {
    page({
      listen: "10.0.0.1:47500",
      machines: [
        aMachine("hut", { kind: "server" }),
        aMachine("ridge-1", {
          busy: 2,
          work: [{ what: "run 3", project: "Kestrel Ridge" }],
          blocks: 6,
          futures: 3000,
          bytes: 84 * 1024 * 1024,
        }),
        aMachine("ridge-2", { busy: 1, work: [{ what: "run 3" }], blocks: 2, futures: 1000, bytes: 1000 }),
        aMachine("idle"),
      ],
    });
    const table = await screen.findByRole("table", { name: "Machines" });
    const row = (name: string) => within(table).getByRole("row", { name: new RegExp(`^${name}`) });
    expect(row("hut")).toHaveTextContent("hands blocks out, works too, puts together");
    expect(row("ridge-1")).toHaveTextContent("run 3 of Kestrel Ridge, 2 blocks in hand");
    expect(row("ridge-1")).toHaveTextContent("3,000 futures in 6 blocks, 84 MB");
    expect(within(row("ridge-1")).getByRole("img", { name: "75 %" })).toBeInTheDocument();
    expect(row("ridge-2")).toHaveTextContent("run 3 of a project you do not read, 1 block in hand");
    expect(row("ridge-2")).toHaveTextContent("under 1 MB");
    expect(within(row("ridge-2")).getByRole("img", { name: "25 %" })).toBeInTheDocument();
    expect(row("idle")).toHaveTextContent("waits for work");
  });

  it("says why it cannot be shown", async () => {
    aServer({ "GET /api/machines": refused("Only who looks after the server may read this.", [], 403) });
    shown(<MachinesPage />);
    expect(await screen.findByText(/Only who looks after the server/)).toBeInTheDocument();
  });
});
