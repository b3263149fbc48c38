import type { StepDrawn } from "./Steps";

/** A landing from which one looks: what was simulated, and adds nothing. */
export const landing = (id: string, name: string, at: number, label: string): StepDrawn => ({
  id,
  name,
  at,
  change: 0,
  label,
  colour: "var(--chakra-colors-simulated)",
  whole: true,
  opens: false,
});
