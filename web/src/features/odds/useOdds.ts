import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answer, http } from "../../shared/api/client";
import { toCivilText } from "../../shared/format/dates";
import {
  amountQuantity,
  amountReading,
  dateQuantity,
  dateReading,
  type Reading,
} from "../../shared/odds/quantity";
import type { Line } from "../../shared/odds/place";
import { isDate, type Subject } from "../../shared/odds/subject";

const FOR_EVER = Infinity;

/** A quantity as it is asked for; what is undefined is left out. */
const asked = <T>(run: string, { what, of }: Subject, more: T) => ({
  params: { path: { run }, query: { what, of, ...more } },
});

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
      const query = asked(run ?? "", subject, { levels, bins });
      const quantity = isDate(subject.what)
        ? dateQuantity(await answer(http.GET("/api/runs/{run}/dates", query)), subject.what, named)
        : amountQuantity(
            await answer(http.GET("/api/runs/{run}/amounts", query)),
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

async function reading(run: string, subject: Subject, line: Line): Promise<Reading> {
  if (isDate(subject.what)) {
    return dateReading(
      await answer(
        line.by === "chance"
          ? http.GET("/api/runs/{run}/dates/at-chance", asked(run, subject, { chance: line.chance }))
          : http.GET("/api/runs/{run}/dates/at-date", asked(run, subject, { date: toCivilText(line.value) })),
      ),
    );
  }
  return amountReading(
    await answer(
      line.by === "chance"
        ? http.GET("/api/runs/{run}/amounts/at-chance", asked(run, subject, { chance: line.chance }))
        : http.GET("/api/runs/{run}/amounts/at-amount", asked(run, subject, { amount: line.value })),
    ),
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

/** The same simulation with another seed, by its number. */
export const readRepeat = (run: string, number: number) =>
  answer(http.GET("/api/runs/{run}/repeats/{number}", { params: { path: { run, number } } }));

/** Which future to look into: one by its number, or one that finishes when so many percent have finished. */
export type Which = { by: "number"; number: number } | { by: "chance"; chance: number };

export function useFuture(run: string, which: Which) {
  return useQuery({
    queryKey: ["future", run, which],
    queryFn: async () => ({
      ...(await answer(
        which.by === "number"
          ? http.GET("/api/runs/{run}/futures/{number}", { params: { path: { run, number: which.number } } })
          : http.GET("/api/runs/{run}/futures/at-chance", {
              params: { path: { run }, query: { chance: which.chance } },
            }),
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
  return useQuery({
    queryKey: ["joint", run, date, amount, chance],
    queryFn: async () => ({
      ...(await answer(
        http.GET("/api/runs/{run}/joint", { params: { path: { run }, query: { date, amount, chance } } }),
      )),
      run,
    }),
    staleTime: FOR_EVER,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
    retry: false,
  });
}
