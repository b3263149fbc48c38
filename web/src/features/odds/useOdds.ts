import { keepPreviousData, useQuery } from "@tanstack/react-query";
import {
  type AmountOdds,
  type AmountReading,
  api,
  type Criticality,
  type DateOdds,
  type DateReading,
  type FutureView,
  type JointView,
  type Repeat,
} from "../../shared/api/client";
import { toCivilText } from "../../shared/format/dates";
import { amountQuantity, amountReading, dateQuantity, dateReading, type Reading } from "./quantity";
import { isDate, type Subject } from "./subject";

const FOR_EVER = Infinity;

const asked = ({ what, of }: Subject, more: Record<string, string | number | undefined>) => {
  const query = new URLSearchParams({ what, of });
  for (const [name, value] of Object.entries(more)) if (value !== undefined) query.set(name, String(value));
  return query.toString();
};

interface Wanted {
  levels: number[];
  /** Most bars of the histogram. */
  bins?: number;
  currency: string;
  /** What the subject is called. */
  named?: string;
}

/**
 * Odds by a simulation, recorded or live: those of one key never change. What is shown while another is read says by its run
 * that it is older.
 */
export function useQuantity(run: string | undefined, subject: Subject, wanted: Wanted) {
  const { levels, bins, currency, named } = wanted;
  return useQuery({
    queryKey: ["odds", run, subject, levels, bins, currency, named],
    queryFn: async () => {
      const query = asked(subject, { levels: levels.join(","), bins });
      const quantity = isDate(subject.what)
        ? dateQuantity(await api<DateOdds>(`/runs/${run}/dates?${query}`), subject.what, named)
        : amountQuantity(
            await api<AmountOdds>(`/runs/${run}/amounts?${query}`),
            subject.what,
            currency,
            named,
          );
      return { ...quantity, run };
    },
    enabled: run !== undefined,
    staleTime: FOR_EVER,
    retry: false,
    placeholderData: (previous) =>
      previous?.name === subject.what && previous.named === named ? previous : undefined,
  });
}

/** Where the reading line stands: at a chance in percent, or at a value. */
export type Line = { by: "chance"; chance: number } | { by: "value"; value: number };

async function reading(run: string, subject: Subject, line: Line): Promise<Reading> {
  const chance = line.by === "chance" ? line.chance : undefined;
  if (isDate(subject.what)) {
    const date = line.by === "value" ? toCivilText(line.value) : undefined;
    const how = date === undefined ? "at-chance" : "at-date";
    return dateReading(
      await api<DateReading>(`/runs/${run}/dates/${how}?${asked(subject, { chance, date })}`),
    );
  }
  const amount = line.by === "value" ? line.value : undefined;
  const how = amount === undefined ? "at-chance" : "at-amount";
  return amountReading(
    await api<AmountReading>(`/runs/${run}/amounts/${how}?${asked(subject, { chance, amount })}`),
  );
}

/** The exact reading at the line, calculated from all futures of the run; none where there is no line. */
export function useReading(run: string | undefined, subject: Subject, line: Line | undefined) {
  return useQuery({
    queryKey: ["reading", subject, line, run],
    queryFn: () => (run && line ? reading(run, subject, line) : Promise.reject(new Error("no line"))),
    enabled: run !== undefined && line !== undefined,
    staleTime: FOR_EVER,
    gcTime: 60_000,
    retry: false,
    // Of another subject a reading would be nonsense on this one's axis.
    placeholderData: (previous, query) =>
      JSON.stringify(query?.queryKey[1]) === JSON.stringify(subject) ? previous : undefined,
  });
}

export function useCriticality(run: string) {
  return useQuery({
    queryKey: ["criticality", run],
    queryFn: () => api<Criticality[]>(`/runs/${run}/criticality`),
    staleTime: FOR_EVER,
    placeholderData: keepPreviousData,
  });
}

/** The same simulation with other seeds, one after the other as far as they are wanted. */
export function useRepeat(run: string, number: number, wanted: boolean) {
  return useQuery({
    queryKey: ["repeat", run, number],
    queryFn: () => api<Repeat>(`/runs/${run}/repeats/${number}`),
    enabled: wanted,
    staleTime: FOR_EVER,
    retry: false,
  });
}

/** Which future to look into: one by its number, or one that finishes when so many percent have finished. */
export type Which = { by: "number"; number: number } | { by: "chance"; chance: number };

export function useFuture(run: string, which: Which) {
  return useQuery({
    queryKey: ["future", run, which],
    queryFn: async () => ({
      ...(await api<FutureView>(
        which.by === "number"
          ? `/runs/${run}/futures/${which.number}`
          : `/runs/${run}/futures/at-chance?chance=${which.chance}`,
      )),
      run,
    }),
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
  const query = new URLSearchParams({ chance: String(chance) });
  if (date) query.set("date", date);
  if (amount !== undefined) query.set("amount", String(amount));
  return useQuery({
    queryKey: ["joint", run, date, amount, chance],
    queryFn: async () => ({ ...(await api<JointView>(`/runs/${run}/joint?${query.toString()}`)), run }),
    staleTime: FOR_EVER,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
    retry: false,
  });
}
