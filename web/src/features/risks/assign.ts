import type { ImpactWords, PlanView, RiskEdit, RiskView } from "../../shared/api/client";

/** An effect in the words that edits send. */
export const impactWords = ({
  on,
  effect,
  draw,
  distribution,
}: RiskView["effects"][number]): ImpactWords => ({
  on,
  effect,
  draw,
  distribution,
});

/**
 * The edits that give rows of the plan to risks: the first effect on time takes them in, or the first effect there is.
 *
 * @returns undefined where a risk has no effect yet, so that somebody must say how much
 */
export function assigned(
  risks: readonly RiskView[],
  rows: readonly string[],
): { edits: RiskEdit[]; without: RiskView[] } {
  const without = risks.filter((risk) => risk.effects.length === 0);
  const edits = risks.flatMap((risk): RiskEdit[] => {
    const onTime = risk.effects.findIndex((one) => one.effect.endsWith("Time"));
    const index = Math.max(0, onTime);
    const chosen = risk.effects[index];
    const fresh = rows.filter((row) => !chosen?.on.includes(row));
    if (!chosen || fresh.length === 0) return [];
    const impacts = risk.effects.map(impactWords);
    impacts[index] = { ...impactWords(chosen), on: [...chosen.on, ...fresh] };
    return [{ id: risk.id, impacts }];
  });
  return { edits, without };
}

/** The edits that give rows to risks with a size of its own, beside what they do already. */
export const sized = (risks: readonly RiskView[], rows: readonly string[], size: string): RiskEdit[] =>
  risks.map((risk) => ({
    id: risk.id,
    time: [risk.timeText, `${size.trim()} on ${rows.join(", ")}`].filter(Boolean).join("; "),
  }));

/** All that a risk hits, and the rows on which the cost lines it hits stand. */
export function hitBy(plan: PlanView, risk: RiskView | undefined): Set<string> {
  const on = new Set(risk?.effects.flatMap((effect) => effect.on));
  for (const cost of plan.costs) if (on.has(cost.id)) on.add(cost.on);
  return on;
}
