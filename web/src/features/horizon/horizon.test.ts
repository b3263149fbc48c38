import { describe, expect, it } from "vitest";
import type { LiveView, Outlook } from "../../shared/api/client";
import { pinnable, pinnedLike } from "./horizonStore";

const outlook = (iterations: number) => ({ iterations }) as Outlook;

describe("the pin", () => {
  it("compares by as many iterations, and holds only what is refined", () => {
    const [first, refined] = [outlook(1000), outlook(5000)];
    const view = { revision: 1, state: "refined", outlook: refined, first } as LiveView;
    const pinned = pinnable(view);
    expect(pinned).toEqual({ first, refined });
    expect(pinnable({ ...view, state: "live" })).toBeUndefined();
    expect(pinnedLike(pinned, outlook(1000))).toBe(first);
    expect(pinnedLike(pinned, outlook(2000))).toBeUndefined();
  });
});
