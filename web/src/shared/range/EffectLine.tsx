import { Box } from "@chakra-ui/react";
import type { ProjectView, RangeEffect } from "../api/client";
import { daysBetween, formatDay } from "../format/dates";
import { formatMoney, formatSigned, formatWhole } from "../format/numbers";

/** What a range would do, before and after, in days and in money. */
export function EffectLine({ effect, project }: { effect: RangeEffect; project: ProjectView }) {
  const { currency, confidence } = project;
  const before = effect.before.finish.percentiles[confidence - 1] ?? "";
  const after = effect.after.finish.percentiles[confidence - 1] ?? "";
  const days = daysBetween(before, after);
  const costBefore = effect.before.cost?.percentiles[confidence - 1];
  const costAfter = effect.after.cost?.percentiles[confidence - 1];
  const money = costBefore === undefined || costAfter === undefined ? 0 : costAfter - costBefore;
  return (
    <Box data-effect={days}>
      {days === 0 ? (
        <>
          P{confidence} of the finish stays at {formatDay(after)}
        </>
      ) : (
        <>
          P{confidence} of the finish goes from {formatDay(before)} to <b>{formatDay(after)}</b>,{" "}
          {formatWhole(Math.abs(days))} {Math.abs(days) === 1 ? "day" : "days"}{" "}
          {days > 0 ? "later" : "earlier"}
        </>
      )}
      {costAfter !== undefined && Math.abs(money) >= 0.5 && (
        <>
          ; of the cost to <b>{formatMoney(costAfter, currency)}</b> (
          {formatSigned(money, (value) => formatMoney(value, currency))})
        </>
      )}
      .{" "}
      <Box as="span" color="softInk">
        By {formatWhole(effect.after.iterations)} iterations.
      </Box>
    </Box>
  );
}
