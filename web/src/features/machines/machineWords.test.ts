import { describe, expect, it } from "vitest";
import type { MachinesView, MachineView } from "../../shared/api/client";
import { aMachine } from "../../test/aMachine";
import { busyWords, machinesSentence, share, sizeWords } from "./machineWords";

const machine = (more: Partial<MachineView>) => aMachine("ridge-1", more);

const SERVER = machine({ id: "s", kind: "server" });
const view = (...machines: MachineView[]): MachinesView => ({ listen: "0.0.0.0:9400", machines });

describe("the machines in words", () => {
  it("says that a server without any works alone", () => {
    expect(machinesSentence({ machines: [] })).toBe("This server works alone.");
    expect(machinesSentence(view(SERVER))).toBe("No machine has joined yet, so this server works alone.");
  });

  it("says who helps with what", () => {
    const work = [{ what: "run 3", project: "Kestrel Ridge Observatory" }];
    expect(machinesSentence(view(SERVER, machine({})))).toBe(
      "One machine helps this server, 2 blocks at once; nothing long is to be done.",
    );
    expect(machinesSentence(view(SERVER, machine({ work, busy: 2 }), machine({ work, busy: 1 })))).toBe(
      "2 machines help this server, 4 blocks at once; they work at run 3 of Kestrel Ridge Observatory.",
    );
  });

  it("names no project that the reader does not read", () => {
    expect(busyWords(machine({ busy: 1, work: [{ what: "run 7" }] }))).toBe(
      "run 7 of a project you do not read, 1 block in hand",
    );
  });

  it("tells what a machine has in hand", () => {
    expect(busyWords(machine({}))).toBe("waits for work");
    expect(busyWords(machine({ busy: 2 }))).toBe("a run of another server, 2 blocks in hand");
    expect(busyWords(SERVER)).toBe("hands blocks out, works too, puts together");
  });

  it("tells shares and sizes", () => {
    const one = machine({ futures: 300 });
    expect(share(view(SERVER, one, machine({ futures: 100 })), one)).toBe(0.75);
    expect(share(view(SERVER), SERVER)).toBe(0);
    expect(sizeWords(1000)).toBe("under 1 MB");
    expect(sizeWords(84 * 1024 * 1024)).toBe("84 MB");
  });
});
