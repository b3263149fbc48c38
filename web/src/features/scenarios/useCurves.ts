import { useMemo } from "react";
import { useScenarioAmounts, useScenarioDates } from "../../shared/api/scenarios";
import { civil } from "../../shared/format/dates";
import type { QuantityName } from "../../shared/odds/subject";

/** The cumulative curve of one scenario: values at even steps of chance from 0 to 1, dates in milliseconds. */
export interface Curve {
  id: string;
  values: number[];
}

/** Curves of a quantity in some scenarios; none until they are worked out. */
export function useCurves(project: string, mark: string, ids: string[], what: QuantityName, of: string) {
  const isDate = what === "finish" || what === "start";
  const dates = useScenarioDates(project, isDate ? mark : "", ids, what === "start" ? "start" : "finish", of);
  const amounts = useScenarioAmounts(
    project,
    isDate ? "" : mark,
    ids,
    what === "duration" ? "duration" : "cost",
    of,
  );
  const curves = useMemo(
    (): Curve[] | undefined =>
      isDate
        ? dates.data?.curves.map(({ id, values }) => ({ id, values: values.map(civil) }))
        : amounts.data?.curves.map(({ id, values }) => ({ id, values })),
    [isDate, dates.data, amounts.data],
  );
  const query = isDate ? dates : amounts;
  return { curves, error: query.error, old: query.isPlaceholderData };
}
