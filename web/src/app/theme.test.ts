import { describe, expect, it } from "vitest";
import { COLOURS } from "./theme";

type Colour = keyof typeof COLOURS;

const WRITTEN: Colour[] = ["ink", "softInk", "action", "simulated", "planText", "risk"];
const GROUNDS: Colour[] = ["ground", "panel", "actionTint", "riskTint"];

/** Relative luminance as WCAG 2.2 defines it. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(one: string, other: string): number {
  const [dark = 0, light = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (light + 0.05) / (dark + 0.05);
}

describe.each(["base", "_dark"] as const)("colours, %s", (scheme) => {
  it.each(WRITTEN.flatMap((text) => GROUNDS.map((ground) => ({ text, ground }))))(
    "$text can be read on $ground",
    ({ text, ground }) => {
      const ratio = contrast(COLOURS[text].value[scheme], COLOURS[ground].value[scheme]);
      expect(ratio).toBeGreaterThanOrEqual(4.5);
    },
  );

  it("what stands on a filled button can be read", () => {
    const ratio = contrast(COLOURS.onAction.value[scheme], COLOURS.action.value[scheme]);
    expect(ratio).toBeGreaterThanOrEqual(4.5);
  });
});
