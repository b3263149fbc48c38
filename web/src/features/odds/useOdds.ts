import { keepPreviousData, useQuery } from "@tanstack/react-query";
import {
  api,
  type CostOdds,
  type CostReading,
  type Criticality,
  type FinishOdds,
  type FinishReading,
  type FutureView,
  type JointView,
} from "../../shared/api/client";
import { toCivilText } from "../../shared/format/dates";
import {
  costQuantity,
  costReading,
  finishQuantity,
  finishReading,
  type QuantityName,
  type Reading,
} from "./quantity";

const FOR_EVER = Infinity;

/** Odds of a recorded run, which never change. */
export function useQuantity(run: string, name: QuantityName, levels: number[], currency: string) {
  return useQuery({
    queryKey: ["odds", run, name, levels, currency],
    queryFn: async () =>
      name === "finish"
        ? finishQuantity(await api<FinishOdds>(`/runs/${run}/finish?levels=${levels.join(",")}`))
        : costQuantity(await api<CostOdds>(`/runs/${run}/cost?levels=${levels.join(",")}`), currency),
    staleTime: FOR_EVER,
    placeholderData: (previous) => (previous?.name === name ? previous : undefined),
  });
}

/** Where the reading line stands: at a chance in percent, or at a value. */
export type Line = { by: "chance"; chance: number } | { by: "value"; value: number };

async function reading(run: string, name: QuantityName, line: Line): Promise<Reading> {
  if (name === "finish") {
    const at =
      line.by === "chance" ? `at-chance?chance=${line.chance}` : `at-date?date=${toCivilText(line.value)}`;
    return finishReading(await api<FinishReading>(`/runs/${run}/finish/${at}`));
  }
  const at = line.by === "chance" ? `at-chance?chance=${line.chance}` : `at-amount?amount=${line.value}`;
  return costReading(await api<CostReading>(`/runs/${run}/cost/${at}`));
}

/** The exact reading at the line, calculated from all futures of the run. */
export function useReading(run: string, name: QuantityName, line: Line) {
  return useQuery({
    queryKey: ["reading", run, name, line],
    queryFn: () => reading(run, name, line),
    staleTime: FOR_EVER,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
  });
}

export function useCriticality(run: string) {
  return useQuery({
    queryKey: ["criticality", run],
    queryFn: () => api<Criticality[]>(`/runs/${run}/criticality`),
    staleTime: FOR_EVER,
  });
}

/** Which future to look into: one by its number, or one that finishes when so many percent have finished. */
export type Which = { by: "number"; number: number } | { by: "chance"; chance: number };

export function useFuture(run: string, which: Which) {
  return useQuery({
    queryKey: ["future", run, which],
    queryFn: () =>
      api<FutureView>(
        which.by === "number"
          ? `/runs/${run}/futures/${which.number}`
          : `/runs/${run}/futures/at-chance?chance=${which.chance}`,
      ),
    staleTime: FOR_EVER,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
    retry: false,
  });
}

/** A date and a budget to be kept together; the targets' where none is said. */
export interface Pledge {
  date?: string;
  amount?: number;
  chance: number;
}

export function useJoint(run: string, { date, amount, chance }: Pledge) {
  const asked = new URLSearchParams({ chance: String(chance) });
  if (date) asked.set("date", date);
  if (amount !== undefined) asked.set("amount", String(amount));
  return useQuery({
    queryKey: ["joint", run, date, amount, chance],
    queryFn: () => api<JointView>(`/runs/${run}/joint?${asked.toString()}`),
    staleTime: FOR_EVER,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
    retry: false,
  });
}
