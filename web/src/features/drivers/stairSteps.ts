import type { StaircaseInside, StaircaseView as Stairs } from "../../shared/api/client";
import { formatDays, formatMoney, formatSigned } from "../../shared/format/numbers";
import type { Goal } from "./goal";
import { stepName } from "./staircaseWords";
import { landing } from "../../shared/charts/landing";
import type { StepDrawn } from "../../shared/charts/Steps";

/** The step that is open: the one that was chosen, else the largest. */
export function opened(view: Stairs | undefined, step: string | undefined): string | undefined {
  const open = (view?.steps ?? []).filter(({ opens }) => opens);
  if (open.some(({ cause }) => cause === step)) return step;
  const largest = open.reduce<(typeof open)[number] | undefined>(
    (best, one) => (!best || Math.abs(one.change) > Math.abs(best.change) ? one : best),
    undefined,
  );
  return largest?.change ? largest.cause : undefined;
}

/** A difference along the axis. */
export const tickText = (value: number, goal: Goal) =>
  value === 0
    ? "plan"
    : goal.money
      ? formatSigned(value, (amount) => formatMoney(amount, goal.currency))
      : `${formatSigned(value, formatDays)} d`;

const COLOURS: Record<string, string> = {
  threats: "var(--chakra-colors-risk)",
  risk: "var(--chakra-colors-risk)",
  longestPath: "var(--chakra-colors-action)",
  opportunities: "var(--chakra-colors-action)",
  responses: "var(--chakra-colors-action)",
  estimateSpread: "var(--chakra-colors-action)",
};

const PLAN = "var(--chakra-colors-plan)";
const OTHER = "var(--chakra-colors-soft-ink)";

/** Steps as they are drawn, with the landings from which one looks. */
export function drawn(view: Stairs, goal: Goal): StepDrawn[] {
  let at = 0;
  return view.steps.flatMap(({ cause, change, value, opens }, i): StepDrawn[] => {
    at += change;
    const isPlan = i === 0;
    const step: StepDrawn = {
      id: cause,
      name: stepName(cause),
      at,
      change,
      label: isPlan ? goal.value(value) : goal.signed(change),
      colour: isPlan ? PLAN : (COLOURS[cause] ?? OTHER),
      whole: isPlan,
      opens,
    };
    const level = `P${Math.round(view.level)}`;
    const stand = (name: string) => landing(`${cause} landing`, name, at, goal.value(value));
    if (i === view.asItIs - 1) return [step, stand(`${level} today`)];
    if (i === view.steps.length - 1) return [step, stand(`${level} with all responses`)];
    return [step];
  });
}

/** The steps, and what is in the open one. */
export const stairTable = (view: Stairs, inside: StaircaseInside | undefined) => ({
  columns: ["Step", "In it", "Ends at", "Change"],
  rows: [
    ...view.steps.map(({ cause, value, change }) => [
      stepName(cause),
      null,
      value.date?.replace("T", " ") ?? value.amount ?? null,
      change,
    ]),
    ...(inside?.parts ?? []).map(({ input, change }) => [
      stepName(inside?.cause ?? ""),
      `${input.id} ${input.name}`.trim(),
      null,
      change,
    ]),
    ...(inside ? [[stepName(inside.cause), "overlap", null, inside.overlap]] : []),
  ],
});
