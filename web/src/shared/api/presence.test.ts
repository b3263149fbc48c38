import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

/** A page is loaded in a window that keeps something from page to page. */
describe("a window", () => {
  const kept = new Map<string, string>();
  const page = new EventTarget();
  const load = async () => {
    vi.resetModules();
    return (await import("./presence")).WINDOW;
  };

  beforeEach(() => {
    kept.clear();
    vi.stubGlobal("sessionStorage", {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
    vi.stubGlobal("addEventListener", page.addEventListener.bind(page));
  });
  afterEach(() => vi.unstubAllGlobals());

  it("is the same to others when its page is loaded anew", async () => {
    const before = await load();
    page.dispatchEvent(new Event("pagehide"));
    expect(await load()).toBe(before);
  });

  it("is another than one that is made as a copy of it", async () => {
    const before = await load();
    expect(await load()).not.toBe(before);
    page.dispatchEvent(new Event("pagehide"));
    // Its page comes back as it was left, and is still the one.
    page.dispatchEvent(new Event("pageshow"));
    expect(await load()).not.toBe(before);
  });
});
