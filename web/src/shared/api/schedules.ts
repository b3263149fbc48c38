import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answer, ApiError, asForm, asIs, http, type PlanView } from "./client";
import { undoingKey } from "./edits";
import { planKey } from "./plan";
import { PROJECTS_KEY } from "./projects";

const SHEET = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

/** Which number of 3/4/27 is the day; empty to have it recognised. */
export type DateOrder = "" | "DAY_FIRST" | "MONTH_FIRST";

/** How a schedule's table is to be read. */
export interface Reading {
  file: File;
  /** First day of the project, as 2027-03-01. */
  start: string;
  /** What each column says, empty for one that is left out; undefined to have it guessed. */
  meanings?: string[];
  dates: DateOrder;
  /** Cells typed anew, by row and column as 7:3. */
  mended?: Readonly<Record<string, string>>;
}

export const isSchedule = (file: File) => /\.(csv|tsv|txt|xlsx|xlsm|xls)$/i.test(file.name);

const LARGEST = 50_000_000;

/** A file as the body of a request; one that is far too large is not even sent. */
function bodyOf({ file }: Reading): File {
  if (file.size > LARGEST)
    throw new ApiError(
      413,
      "The file has more than 50 MB; a schedule of 100,000 activities has less. Export the table alone.",
      [],
    );
  return file;
}

const table = (reading: Reading) =>
  asIs(bodyOf(reading), /\.xls[xm]?$/i.test(reading.file.name) ? SHEET : "text/csv");

/** A reading with one more cell typed anew. */
export const withMended = (reading: Reading, row: number, column: number, text: string): Reading => ({
  ...reading,
  mended: { ...reading.mended, [`${row}:${column}`]: text },
});

const mendedLines = (mended: Readonly<Record<string, string>>) =>
  Object.entries(mended)
    .map(([cell, text]) => `${cell}:${text.replace(/\s+/g, " ")}`)
    .join("\n");

const query = ({ start, meanings, dates, mended }: Reading) => ({
  start,
  columns: meanings,
  dates: dates || undefined,
  mended: mended && mendedLines(mended),
});

const keyOf = ({ file, start, meanings, dates, mended }: Reading) => [
  file.name,
  file.size,
  file.lastModified,
  start,
  meanings,
  dates,
  mended,
];

/** What a table would become; the last answer stays while the next is on its way. */
export function useSchedulePreview(reading: Reading) {
  return useQuery({
    queryKey: ["schedule", ...keyOf(reading)],
    queryFn: () =>
      answer(http.POST("/api/schedules/preview", { params: { query: query(reading) }, ...table(reading) })),
    placeholderData: keepPreviousData,
    enabled: reading.start !== "",
    retry: false,
  });
}

/** Keeps a schedule as a new project. */
export function useTakeOver() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ reading, name }: { reading: Reading; name: string }) =>
      answer(
        http.POST("/api/schedules", { params: { query: { ...query(reading), name } }, ...table(reading) }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: PROJECTS_KEY }),
  });
}

/** What a newer file would change of a plan. */
export function useUpdatePreview(project: string, revision: number, reading: Reading | undefined) {
  return useQuery({
    queryKey: ["update", project, revision, ...(reading ? keyOf(reading) : [])],
    queryFn: () =>
      reading &&
      answer(
        http.POST("/api/projects/{id}/update/preview", {
          params: { path: { id: project }, query: query(reading) },
          ...table(reading),
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: reading !== undefined,
    retry: false,
  });
}

/** Takes a newer file over, but for some rows. */
export function useUpdate(project: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ reading, except }: { reading: Reading; except: string[] }) => {
      const seen = client.getQueryData<PlanView>(planKey(project))?.project.revision;
      return answer(
        http.POST("/api/projects/{id}/update", {
          params: { path: { id: project }, query: query(reading) },
          headers: seen === undefined ? {} : { "If-Match": `"${seen}"` },
          ...asForm(
            bodyOf(reading),
            except.map((row) => ["except", row] as const),
          ),
        }),
      );
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: undoingKey(project) });
      return client.invalidateQueries({ queryKey: planKey(project) });
    },
  });
}
