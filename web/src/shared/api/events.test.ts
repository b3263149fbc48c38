import { QueryClient } from "@tanstack/react-query";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { PlanView } from "./client";
import { listen } from "./events";
import { newest, planKey } from "./plan";
import { runsKey } from "./runs";
import { commentsKey } from "./together";

const plan = (revision: number) => ({ project: { revision } }) as unknown as PlanView;

describe("the plan", () => {
  it("is not overwritten by an older answer that was long on its way", async () => {
    let known = plan(3);
    const slow = newest(
      () => Promise.resolve(plan(4)),
      () => known,
    );
    known = plan(5);
    expect((await slow).project.revision).toBe(5);
    expect(
      (
        await newest(
          () => Promise.resolve(plan(6)),
          () => known,
        )
      ).project.revision,
    ).toBe(6);
  });
});

class Stream extends EventTarget {
  static readonly CLOSED = 2;
  static opened: Stream[] = [];
  readyState = 1;
  onerror?: () => void;
  close = vi.fn();

  constructor() {
    super();
    Stream.opened.push(this);
  }

  /** Tells what the server tells first. */
  stands(revision: number) {
    this.dispatchEvent(Object.assign(new Event("standing"), { data: JSON.stringify({ revision }) }));
  }

  breaks(readyState = 0) {
    this.readyState = readyState;
    this.onerror?.();
  }
}

describe("live events", () => {
  const page = Object.assign(new EventTarget(), { visibilityState: "visible" });
  const tab = Object.assign(new EventTarget(), { setTimeout: vi.fn(), clearTimeout: vi.fn() });
  const seen = (visibilityState: string) => {
    page.visibilityState = visibilityState;
    page.dispatchEvent(new Event("visibilitychange"));
  };
  const reading = (known?: PlanView) => {
    const client = new QueryClient();
    if (known) client.setQueryData(planKey("p"), known);
    const read = vi.spyOn(client, "invalidateQueries");
    return { client, keys: () => read.mock.calls.map(([filter]) => filter?.queryKey) };
  };

  beforeEach(() => {
    Stream.opened = [];
    page.visibilityState = "visible";
    vi.useFakeTimers();
    Object.assign(tab, { setTimeout, clearTimeout });
    vi.stubGlobal("EventSource", Stream);
    vi.stubGlobal("window", tab);
    vi.stubGlobal("document", page);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("have everything read anew when they come back, and not when they first open", () => {
    const { client, keys } = reading();
    const stop = listen(client, "p");
    const [stream] = Stream.opened;
    stream?.stands(3);
    expect(keys()).toEqual([]);
    client.setQueryData(planKey("p"), plan(3));
    stream?.breaks();
    stream?.stands(4);
    expect(keys()).toContainEqual(planKey("p"));
    expect(keys()).toContainEqual(runsKey("p"));
    stop();
    expect(stream?.close).toHaveBeenCalled();
  });

  it("leave a plan alone that is as it was", () => {
    const { client, keys } = reading(plan(3));
    const stop = listen(client, "p");
    Stream.opened[0]?.stands(3);
    expect(keys()).toContainEqual(commentsKey("p"));
    expect(keys()).not.toContainEqual(planKey("p"));
    stop();
  });

  it("are opened again where the server has closed them with an error", () => {
    const stop = listen(reading().client, "p");
    Stream.opened[0]?.breaks(Stream.CLOSED);
    vi.advanceTimersByTime(5000);
    expect(Stream.opened).toHaveLength(2);
    stop();
  });

  it("end where nobody sees the window, but for a moment, and go on where somebody does", () => {
    const { client, keys } = reading();
    const stop = listen(client, "p");
    client.setQueryData(planKey("p"), plan(3));
    seen("hidden");
    vi.advanceTimersByTime(1000);
    seen("visible");
    vi.advanceTimersByTime(60_000);
    expect(Stream.opened).toHaveLength(1);
    expect(Stream.opened[0]?.close).not.toHaveBeenCalled();

    seen("hidden");
    vi.advanceTimersByTime(60_000);
    expect(Stream.opened[0]?.close).toHaveBeenCalled();
    expect(Stream.opened).toHaveLength(1);
    seen("visible");
    expect(Stream.opened).toHaveLength(2);
    expect(keys()).toEqual([]);
    Stream.opened[1]?.stands(4);
    expect(keys()).toContainEqual(planKey("p"));
    stop();
  });

  it("wait in a window that was opened behind another", () => {
    page.visibilityState = "hidden";
    const stop = listen(reading().client, "p");
    vi.advanceTimersByTime(60_000);
    expect(Stream.opened).toHaveLength(0);
    seen("visible");
    expect(Stream.opened).toHaveLength(1);
    stop();
    seen("hidden");
    seen("visible");
    expect(Stream.opened).toHaveLength(1);
  });

  it("end with the page, and go on where one comes back to it", () => {
    const stop = listen(reading().client, "p");
    tab.dispatchEvent(new Event("pagehide"));
    expect(Stream.opened[0]?.close).toHaveBeenCalled();
    tab.dispatchEvent(new Event("pageshow"));
    expect(Stream.opened).toHaveLength(2);
    stop();
  });
});
