import { QueryClient } from "@tanstack/react-query";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { PlanView } from "./client";
import { listen } from "./events";
import { newest, planKey } from "./plan";

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

class Stream {
  static readonly CLOSED = 2;
  static opened: Stream[] = [];
  readyState = 1;
  onopen?: () => void;
  onerror?: () => void;
  addEventListener = vi.fn();
  close = vi.fn();

  constructor() {
    Stream.opened.push(this);
  }
}

describe("live events", () => {
  beforeEach(() => {
    Stream.opened = [];
    vi.useFakeTimers();
    vi.stubGlobal("EventSource", Stream);
    vi.stubGlobal("window", { setTimeout, clearTimeout });
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("have everything read anew when they come back, and not when they first open", () => {
    const client = new QueryClient();
    const read = vi.spyOn(client, "invalidateQueries");
    const stop = listen(client, "p");
    const [stream] = Stream.opened;
    stream?.onopen?.();
    expect(read).not.toHaveBeenCalled();
    stream?.onerror?.();
    stream?.onopen?.();
    expect(read).toHaveBeenCalledWith({ queryKey: planKey("p") });
    stop();
    expect(stream?.close).toHaveBeenCalled();
  });

  it("are opened again where the server has closed them with an error", () => {
    const stop = listen(new QueryClient(), "p");
    const [stream] = Stream.opened;
    if (stream) stream.readyState = Stream.CLOSED;
    stream?.onerror?.();
    vi.advanceTimersByTime(5000);
    expect(Stream.opened).toHaveLength(2);
    stop();
  });
});
