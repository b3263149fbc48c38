package app.tychon.core.model;

import app.tychon.core.model.Section.Keys;
import java.util.List;

/** The sections a plan is made of, in the order of the project file. */
public final class Sections {
    public static final Section<Project> PROJECT = new Section<>(
            "project",
            "the project",
            "Settings",
            plan -> List.of(plan.project()),
            (draft, projects) -> draft.project(projects.get(0)),
            project -> Plan.PROJECT,
            Keys.MADE,
            ProjectRules::check);
    public static final Section<CalendarDefinition> CALENDARS = new Section<>(
            "calendars",
            "a calendar",
            "Calendar",
            Plan::calendars,
            PlanDraft::calendars,
            CalendarDefinition::id,
            Keys.IDS,
            CalendarRules::check);
    public static final Section<WbsNode> WBS = new Section<>(
            "wbs", "a WBS branch", "Branch", Plan::wbs, PlanDraft::wbs, WbsNode::id, Keys.TARGETS, BranchRules::check);
    public static final Section<Activity> ACTIVITIES = new Section<>(
            "activities",
            "an activity",
            "Activity",
            Plan::activities,
            PlanDraft::activities,
            Activity::id,
            Keys.TARGETS,
            ActivityRules::check);
    public static final Section<Link> LINKS = new Section<>(
            "links", "a link", "Predecessors of", Plan::links, PlanDraft::links, Link::to, Keys.INTO, LinkRules::check);
    public static final Section<Grade> GRADES = new Section<>(
            "grades", "a grade", "Grade", Plan::grades, PlanDraft::grades, Grade::id, Keys.IDS, GradeRules::check);
    public static final Section<Correlation> CORRELATIONS = new Section<>(
            "correlations",
            "a correlation",
            "Correlation",
            Plan::correlations,
            PlanDraft::correlations,
            Correlation::id,
            Keys.IDS,
            CorrelationRules::check);
    public static final Section<Resource> RESOURCES = new Section<>(
            "resources",
            "a resource",
            "Resource",
            Plan::resources,
            PlanDraft::resources,
            Resource::id,
            Keys.IDS,
            MoneyRules::resources);
    public static final Section<Assignment> ASSIGNMENTS = new Section<>(
            "assignments",
            "an assignment",
            "Resources of",
            Plan::assignments,
            PlanDraft::assignments,
            Assignment::activity,
            Keys.INTO,
            MoneyRules::assignments);
    public static final Section<CostLine> COSTS = new Section<>(
            "costs",
            "a cost line",
            "Cost line",
            Plan::costs,
            PlanDraft::costs,
            CostLine::id,
            Keys.TARGETS,
            MoneyRules::costs);
    public static final Section<Risk> RISKS = new Section<>(
            "risks", "a risk", "Risk", Plan::risks, PlanDraft::risks, Risk::id, Keys.IDS, RiskRules::check);
    public static final Section<Acceptance> ACCEPTED = new Section<>(
            "accepted",
            "an acceptance",
            "Accepted finding",
            Plan::accepted,
            PlanDraft::accepted,
            Acceptance::key,
            Keys.MADE,
            AcceptanceRules::check);
    public static final Section<Evidence> EVIDENCE = new Section<>(
            "evidence",
            "evidence",
            "Past work",
            Plan::evidence,
            PlanDraft::evidence,
            Evidence::id,
            Keys.IDS,
            EvidenceRules::check);
    /** One, or none. */
    public static final Section<Scheme> SCHEME = new Section<>(
            "scheme",
            "the scoring scheme",
            "Scoring scheme",
            plan -> plan.scheme().stream().toList(),
            (draft, schemes) -> draft.scheme(schemes.stream().findFirst()),
            scheme -> "scheme",
            Keys.MADE,
            SchemeRules::check);

    public static final Section<Escalation> ESCALATION = new Section<>(
            "escalation",
            "an escalation",
            "Escalation",
            Plan::escalation,
            PlanDraft::escalation,
            Escalation::key,
            Keys.MADE,
            MoneyRules::escalation);
    public static final Section<Funding> FUNDING = new Section<>(
            "funding",
            "a funding step",
            "Funding",
            Plan::funding,
            PlanDraft::funding,
            one -> one.date().toString(),
            Keys.MADE,
            MoneyRules::funding);

    public static final Section<Scenario> SCENARIOS = new Section<>(
            "scenarios",
            "a scenario",
            "Scenario",
            Plan::scenarios,
            PlanDraft::scenarios,
            Scenario::id,
            Keys.IDS,
            ScenarioRules::check);

    public static final Section<Brief> BRIEFS = new Section<>(
            "briefs", "a brief", "Brief", Plan::briefs, PlanDraft::briefs, Brief::id, Keys.IDS, BriefRules::check);

    /** Of the plan of a programme. */
    public static final Section<Part> PARTS = new Section<>(
            "parts", "a project", "Project", Plan::parts, PlanDraft::parts, Part::code, Keys.MADE, PartRules::check);

    public static final List<Section<?>> ALL = List.of(
            PROJECT,
            CALENDARS,
            WBS,
            ACTIVITIES,
            LINKS,
            GRADES,
            CORRELATIONS,
            RESOURCES,
            ASSIGNMENTS,
            COSTS,
            RISKS,
            ACCEPTED,
            EVIDENCE,
            SCHEME,
            ESCALATION,
            FUNDING,
            SCENARIOS,
            BRIEFS,
            PARTS);

    private Sections() {}
}
