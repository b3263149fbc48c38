import { person } from "./person";
import type { components } from "./schema";

type Schemas = components["schemas"];
export type ProjectView = Schemas["ProjectView"];
export type PlanView = Schemas["PlanView"];
export type ActivityView = Schemas["ActivityView"];
export type BranchView = Schemas["BranchView"];
export type CalendarView = Schemas["CalendarView"];
export type RangeView = Schemas["RangeView"];
/** What is to change in a row; null takes away what can be absent. */
export type RowEdit = {
  [K in keyof Schemas["RowEdit"]]?: Schemas["RowEdit"][K] | null;
} & { id: string };
export type EstimateWords = Schemas["EstimateWords"];
export type GradeView = Schemas["GradeView"];
export type CostView = Schemas["CostView"];
export type CorrelationView = Schemas["CorrelationView"];
export type EvidenceView = Schemas["EvidenceView"];
export type EvidenceLook = Schemas["EvidenceLook"];
export type FitView = Schemas["FitView"];
export type RangeLook = Schemas["RangeLook"];
export type RangeEffect = Schemas["RangeEffect"];
export type RangePreview = Schemas["RangePreview"];
export type MatrixLook = Schemas["MatrixLook"];
export type CorrelationEffect = Schemas["CorrelationEffect"];
export type Outlook = Schemas["Outlook"];
export type LiveView = Schemas["LiveView"];
export type FinishHeading = Schemas["HeadingLocalDateTime"];
export type CostHeading = Schemas["HeadingDouble"];
export type EditResult = Schemas["EditResult"];
export type BranchEdit = Schemas["BranchEdit"];
export type RowMove = Schemas["RowMove"];
export type EditView = Schemas["EditView"];
export type Undoing = Schemas["Undoing"];
export type ActivitySheet = Schemas["ActivitySheet"];
export type Neighbour = Schemas["Neighbour"];
export type CheckView = Schemas["CheckView"];
export type FindingView = Schemas["FindingView"];
export type CalendarWords = Schemas["CalendarWords"];
export type ExceptionWords = Schemas["ExceptionWords"];
export type CalendarLook = Schemas["CalendarLook"];
export type ProjectSummary = Schemas["ProjectSummary"];
export type NewProject = Schemas["NewProject"];
export type Example = Schemas["Example"];
export type LinkView = Schemas["LinkView"];
export type SchedulePreview = Schemas["SchedulePreview"];
export type Difference = Schemas["Difference"];
export type UpdatePreview = Schemas["UpdatePreview"];
export type UpdateRow = Schemas["UpdateRow"];
export type CellProblem = Schemas["CellProblem"];
export type RunView = Schemas["RunView"];
export type InputChange = Schemas["InputChange"];
export type RunRequest = Schemas["RunRequest"];
export type Spans = Schemas["Spans"];
export type Span = Schemas["Span"];
export type FutureView = Schemas["FutureView"];
export type FutureRow = Schemas["RowView"];
export type JointView = Schemas["JointView"];
export type Criticality = Schemas["Criticality"];
export type DateOdds = Schemas["OddsLocalDateTime"];
export type AmountOdds = Schemas["OddsDouble"];
export type DateReading = Schemas["ReadingLocalDateTime"];
export type AmountReading = Schemas["ReadingDouble"];
export type Repeat = Schemas["Repeat"];

/** One field's problem, as the server tells it. */
export interface FieldProblem {
  pointer: string;
  message: string;
}

/** What the server refused, in its own words (RFC 9457). */
export class ApiError extends Error {
  readonly status: number;
  readonly problems: FieldProblem[];
  /** Whether a change may have been kept all the same. */
  readonly unknown: boolean;

  constructor(status: number, message: string, problems: FieldProblem[], unknown = false) {
    super(message);
    this.status = status;
    this.problems = problems;
    this.unknown = unknown;
  }
}

interface Options {
  method?: "GET" | "POST" | "PUT" | "PATCH" | "DELETE";
  /** Sent as JSON; a file is sent as it is. */
  body?: unknown;
  /** What a file holds, where it is not JSON. */
  contentType?: string;
  ifMatch?: number;
}

export async function api<T>(path: string, options: Options = {}): Promise<T> {
  const headers: Record<string, string> = { "Tychon-Person": person() };
  const asIs = options.body instanceof Blob || options.body instanceof FormData;
  // A form says itself what it is, with the mark between its parts.
  if (options.body !== undefined && !(options.body instanceof FormData))
    headers["Content-Type"] = options.contentType ?? "application/json";
  if (options.ifMatch !== undefined) headers["If-Match"] = `"${options.ifMatch}"`;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method: options.method ?? "GET",
      headers,
      body: asIs
        ? (options.body as BodyInit)
        : options.body === undefined
          ? undefined
          : JSON.stringify(options.body),
    });
  } catch {
    // What was sent may have arrived though no answer came back.
    const changes = options.method !== undefined && options.method !== "GET";
    throw new ApiError(
      503,
      changes
        ? "The server did not answer, so it is not known whether the change was kept. The plan is read again as soon as the server is back."
        : "The server does not answer; try again in a moment.",
      [],
      changes,
    );
  }
  if (!response.ok) throw await errorOf(response);
  return (response.status === 204 ? undefined : await response.json()) as T;
}

async function errorOf(response: Response): Promise<ApiError> {
  try {
    const problem = (await response.json()) as {
      detail?: string;
      title?: string;
      problems?: FieldProblem[];
      outcome?: string;
    };
    return new ApiError(
      response.status,
      problem.detail ?? problem.title ?? response.statusText,
      problem.problems ?? [],
      problem.outcome === "unknown",
    );
  } catch {
    return new ApiError(response.status, `The server answered with ${response.status}.`, []);
  }
}
