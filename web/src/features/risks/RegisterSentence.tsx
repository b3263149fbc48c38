import { Box } from "@chakra-ui/react";
import type { EffectsView, PlanView, RiskView } from "../../shared/api/client";
import { formatMoney, formatOne, formatSigned, formatWhole } from "../../shared/format/numbers";
import { fewThatCarryMost, registerRows } from "./register";
import { isLive } from "./riskWords";

/** How much the register as a whole moves, and how few carry four fifths. */
export function Moved({
  plan,
  risks,
  effects,
}: {
  plan: PlanView;
  risks: readonly RiskView[];
  effects?: EffectsView;
}) {
  const live = risks.filter(isLive);
  if (risks.length === 0) return <Box truncate>No risks yet. Type the first one, or take in a register.</Box>;
  const open = live.length;
  const level = plan.project.confidence;
  const few = fewThatCarryMost(registerRows(live, effects));
  return (
    <Box truncate>
      <b>
        {formatWhole(open)} {open === 1 ? "risk" : "risks"}
      </b>
      {effects?.all && (
        <>
          {" "}
          {open === 1 ? "moves" : "move"} the P{level} finish by {formatSigned(effects.all.days, formatOne)}{" "}
          working days and the P{level} cost by {effects.all.money < 0 ? "−" : "+"}
          {formatMoney(Math.abs(effects.all.money), plan.project.currency)}.{" "}
          {few !== undefined && open > few && (
            <>
              {formatWhole(few)} of them {few === 1 ? "carries" : "carry"} four fifths.
            </>
          )}
        </>
      )}
    </Box>
  );
}

/** How well it is known by now. */
export function Progress({
  effects,
  current,
  error,
}: {
  effects?: EffectsView;
  current: boolean;
  error?: string;
}) {
  const refusal = effects?.refusal ?? error;
  if (refusal) {
    return (
      <Box role="alert" color="risk" truncate title={refusal}>
        {refusal}
      </Box>
    );
  }
  if (current && effects?.state === "done") return null;
  return (
    <Box role="status" color="softInk" whiteSpace="nowrap" data-working>
      {effects === undefined || effects.iterations === 0
        ? "Working out what they move…"
        : `By ${formatWhole(effects.iterations)} of ${formatWhole(effects.total)} futures`}
    </Box>
  );
}
