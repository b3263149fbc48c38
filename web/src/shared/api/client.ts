import createClient, { type Middleware } from "openapi-fetch";
import { person } from "./person";
import type { components, paths } from "./schema";

type Schemas = components["schemas"];
export type ProjectView = Schemas["ProjectView"];
export type PlanView = Schemas["PlanView"];
export type StandingView = Schemas["StandingView"];
export type Standing = Schemas["Standing"];
export type ProgrammeView = Schemas["ProgrammeView"];
export type ProgrammePart = Schemas["ProgrammePartView"];
export type PartWords = Schemas["PartWords"];
export type MilestoneReach = Schemas["MilestoneReach"];
export type ConfirmedShare = Schemas["ConfirmedShare"];
export type StandingPart = Schemas["StandingPartView"];
export type TieWorth = Schemas["TieWorth"];
export type ActivityView = Schemas["ActivityView"];
export type BranchView = Schemas["BranchView"];
export type CalendarView = Schemas["CalendarView"];
export type RangeView = Schemas["RangeView"];
/** What is to change in a row; null takes away what can be absent. */
export type RowEdit = OrTaken<Schemas["RowEdit"]> & { id: string };
/** What is to change of the project itself; null takes away what can be absent. */
export type SettingsWords = OrTaken<Schemas["SettingsWords"]>;
export type GradeWords = Schemas["GradeWords"];
export type CorrelationWords = Schemas["CorrelationWords"];
export type FitWords = Schemas["FitWords"];
export type EstimateWords = Schemas["EstimateWords"];
export type GradeView = Schemas["GradeView"];
export type CostView = Schemas["CostView"];
export type CorrelationView = Schemas["CorrelationView"];
export type EvidenceLook = Schemas["EvidenceLook"];
export type FitView = Schemas["FitView"];
export type RangeLook = Schemas["RangeLook"];
export type RangeEffect = Schemas["RangeEffect"];
export type RangePreview = Schemas["RangePreview"];
export type MatrixLook = Schemas["MatrixLook"];
export type CorrelationEffect = Schemas["CorrelationEffect"];
export type Outlook = Schemas["Outlook"];
export type LiveView = Schemas["LiveView"];
export type RiskView = Schemas["RiskView"];
export type RegisterView = Schemas["RegisterView"];
/** What is to change in a risk; null takes away what can be absent. */
export type RiskEdit = OrTaken<Schemas["RiskWords"]> & { id: string };
export type ImpactWords = Schemas["ImpactWords"];
export type ResponseView = Schemas["ResponseView"];
export type RiskAction = Schemas["ActionView"];
export type RiskHistory = Schemas["RiskHistory"];
export type TablePreview = Schemas["TablePreview"];
export type LossesView = Schemas["LossesView"];
export type ExposureView = Schemas["ExposureView"];
export type PastWords = Schemas["HistoryWords"];
export type PastLook = Schemas["PastLook"];
export type SchemeView = Schemas["SchemeView"];
export type ScaleView = Schemas["ScaleView"];
export type ScoreView = Schemas["ScoreView"];
export type RiskEffect = Schemas["EffectView"];
export type RiskMoves = Schemas["RiskRow"];
export type EffectsView = Schemas["EffectsView"];
export type FinishHeading = Schemas["HeadingLocalDateTime"];
export type EditResult = Schemas["EditResult"];
export type BranchEdit = Schemas["BranchEdit"];
export type RowMove = Schemas["RowMove"];
export type Undoing = Schemas["Undoing"];
export type Neighbour = Schemas["Neighbour"];
export type CheckView = Schemas["CheckView"];
export type FindingView = Schemas["FindingView"];
export type CalendarWords = Schemas["CalendarWords"];
export type ExceptionWords = Schemas["ExceptionWords"];
export type ProjectSummary = Schemas["ProjectSummary"];
export type NewProject = Schemas["NewProject"];
export type LinkView = Schemas["LinkView"];
export type SchedulePreview = Schemas["SchedulePreview"];
export type UpdatePreview = Schemas["UpdatePreview"];
export type UpdateRow = Schemas["UpdateRow"];
export type RunView = Schemas["RunView"];
export type InputChange = Schemas["InputChange"];
export type RunRequest = Schemas["RunRequest"];
export type Spans = Schemas["Spans"];
export type Span = Schemas["Span"];
export type FutureView = Schemas["FutureView"];
export type FutureRow = Schemas["RowView"];
export type JointView = Schemas["JointView"];
export type DriversView = Schemas["DriversView"];
export type DriverRow = Schemas["DriverRow"];
export type GroupRow = Schemas["GroupRow"];
export type GoalValue = Schemas["GoalValue"];
export type DriverInput = Schemas["InputView"];
export type MovesView = Schemas["MovesView"];
export type ScatterView = Schemas["ScatterView"];
export type ScatterAxis = Schemas["ScatterAxis"];
export type SharedView = Schemas["SharedView"];
export type SharedRow = Schemas["SharedRow"];
export type PathsView = Schemas["PathsView"];
export type PathView = Schemas["PathView"];
export type StaircaseView = Schemas["StaircaseView"];
export type StaircaseInside = Schemas["StairInside"];
export type CriticalityView = Schemas["CriticalityView"];
export type CriticalityRow = Schemas["CriticalityRow"];
export type SpareView = Schemas["SpareView"];
export type SpareRow = Schemas["SpareRow"];
export type InsideActivity = Schemas["InsideActivityView"];
export type PlanChanges = Schemas["ChangesView"];
export type ResourceView = Schemas["ResourceView"];
export type ResourceEdit = OrTaken<Schemas["ResourceWords"]> & { id: string };
export type EscalationView = Schemas["EscalationView"];
export type EscalationWords = Schemas["EscalationWords"];
export type FundingView = Schemas["FundingView"];
export type FundingWords = Schemas["FundingWords"];
export type FigureView = Schemas["FigureView"];
export type HireWords = Schemas["Hire"];
export type MoneyRows = Schemas["MoneyRowsView"];
export type MoneyRow = Schemas["MoneyRow"];
export type CashFlow = Schemas["CashFlowView"];
export type FlowPeriod = Schemas["FlowPeriod"];
export type FundingOdds = Schemas["FundingOddsView"];
export type CostCauses = Schemas["CostCausesView"];
export type CauseSum = Schemas["CauseSum"];
export type ResourceLoad = Schemas["LoadView"];
export type ScenariosView = Schemas["ScenariosView"];
export type ScenarioRow = Schemas["ScenarioRow"];
export type ScenarioNumbers = Schemas["ScenarioNumbers"];
export type ScenarioGap = Schemas["GapView"];
export type ScenarioWords = Schemas["ScenarioWords"];
export type EditRow = Schemas["EditRow"];
export type MisfitRow = Schemas["MisfitRow"];
export type FundView = Schemas["FundView"];
export type BestSet = Schemas["BestSet"];
export type OptionRow = Schemas["OptionRow"];
export type StoryView = Schemas["StoryView"];
export type StoryStep = Schemas["StoryStep"];
export type DriftView = Schemas["DriftView"];
export type DriftPoint = Schemas["DriftPoint"];
export type SinceRow = Schemas["SinceRow"];
export type RecordView = Schemas["RecordView"];
export type TallyView = Schemas["TallyView"];
export type TallyGroup = Schemas["TallyGroup"];
export type FactRow = Schemas["FactRow"];
export type WiderGrade = Schemas["WiderGrade"];
export type RailsView = Schemas["RailsView"];
export type BriefView = Schemas["BriefView"];
export type BriefWords = Schemas["BriefWords"];
export type BriefBlock = Schemas["BlockView"];
export type BriefLine = Schemas["LineView"];
export type BriefDrawing = Schemas["DrawingView"];
export type BriefAxis = Schemas["AxisView"];
export type BriefTable = Schemas["TableView"];
export type BriefDecision = Schemas["DecisionView"];
export type BriefIssue = Schemas["IssueView"];
export type BriefField = Schemas["Field"];
export type BriefTold = Schemas["ToldView"];
export type TwoDriversRow = Schemas["TwoDriversRow"];
export type Me = Schemas["MeView"];
export type Person = Schemas["PersonView"];
export type MachinesView = Schemas["MachinesView"];
export type MachineView = Schemas["MachineView"];
export type PersonWords = Schemas["PersonWords"];
export type PersonChange = Schemas["PersonChange"];
export type Member = Schemas["MemberView"];
export type MemberWords = Schemas["MemberWords"];
export type Role = Member["role"];
export type About = Schemas["About"];
export type Comment = Schemas["CommentView"];
export type Confirmation = Schemas["ConfirmationView"];
export type InboxNotice = Schemas["NoticeView"];
export type HistoryEdit = Schemas["EditView"];
export type Codes = Schemas["CodesView"];
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

/** A field that somebody else has changed since it was seen that is now edited. */
export interface Clash {
  section: string;
  key: string;
  field: string;
  was?: unknown;
  theirs?: unknown;
  mine?: unknown;
  by?: string;
  at: string;
}

/** What the server refused, in its own words (RFC 9457). */
export class ApiError extends Error {
  readonly status: number;
  readonly problems: FieldProblem[];
  /** Whether a change may have been kept all the same. */
  readonly unknown: boolean;
  readonly clashes: Clash[];

  constructor(
    status: number,
    message: string,
    problems: FieldProblem[],
    unknown = false,
    clashes: Clash[] = [],
  ) {
    super(message);
    this.status = status;
    this.problems = problems;
    this.unknown = unknown;
    this.clashes = clashes;
  }
}

const fromServer: Middleware = {
  onRequest({ request }) {
    request.headers.set("Tychon-Person", person());
    const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1];
    if (token) request.headers.set("X-XSRF-TOKEN", token);
    return request;
  },
  async onResponse({ response }) {
    if (!response.ok) throw await errorOf(response);
  },
  onError({ error, request }) {
    if (error instanceof ApiError) return error;
    // What was sent may have arrived though no answer came back.
    const changes = request.method !== "GET";
    return new ApiError(
      503,
      changes
        ? "The server did not answer, so it is not known whether the change was kept. The plan is read again as soon as the server is back."
        : "The server does not answer; try again in a moment.",
      [],
      changes,
    );
  },
};

/** The server, by the paths of its document; what it refuses is thrown as an {@link ApiError}. */
export const http = createClient<paths>({
  baseUrl: globalThis.location?.origin ?? "http://localhost",
  querySerializer: { array: { style: "form", explode: false } },
});
http.use(fromServer);

/** What the server answered. */
export async function answer<T>(request: Promise<{ data?: T }>): Promise<T> {
  return (await request).data as T;
}

/** A file as the body of a request, as it is. */
export function asIs(file: Blob, contentType: string) {
  return { body: file as never, bodySerializer: () => file, headers: { "Content-Type": contentType } };
}

/** A form with a file as the body of a request; it says itself what it is, with the mark between its parts. */
export function asForm(file: Blob, more: readonly (readonly [string, string])[] = []) {
  const form = new FormData();
  form.append("file", file);
  for (const [name, value] of more) form.append(name, value);
  return { body: form as never, bodySerializer: () => form };
}

/** What JSON says where something is taken away, beside what it is. */
export type OrTaken<T> = { [K in keyof T]?: T[K] | null };

async function errorOf(response: Response): Promise<ApiError> {
  try {
    const problem = (await response.json()) as {
      detail?: string;
      title?: string;
      problems?: FieldProblem[];
      outcome?: string;
      clashes?: Clash[];
    };
    return new ApiError(
      response.status,
      problem.detail ?? problem.title ?? response.statusText,
      problem.problems ?? [],
      problem.outcome === "unknown",
      problem.clashes,
    );
  } catch {
    return new ApiError(response.status, `The server answered with ${response.status}.`, []);
  }
}
