package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * Everything that is calculated: a project with its calendars, work breakdown, activities, logic, spread, risks and
 * money.
 *
 * @param scheme     how its risks are scored, where they are
 * @param escalation how prices rise, where they do
 * @param funding    what can be spent from when on, where that is known
 * @param scenarios  how it could be otherwise
 * @param briefs     what is told of it
 * @param parts      the projects that it consists of, where it is the plan of a programme
 */
@RecordBuilder
@RecordBuilder.Options(suffix = "Draft", buildMethodName = "done")
public record Plan(
        Project project,
        List<CalendarDefinition> calendars,
        List<WbsNode> wbs,
        List<Activity> activities,
        List<Link> links,
        List<Grade> grades,
        List<Correlation> correlations,
        List<Resource> resources,
        List<Assignment> assignments,
        List<CostLine> costs,
        List<Risk> risks,
        List<Acceptance> accepted,
        List<Evidence> evidence,
        Optional<Scheme> scheme,
        List<Escalation> escalation,
        List<Funding> funding,
        List<Scenario> scenarios,
        List<Brief> briefs,
        List<Part> parts)
        implements PlanDraft.With {

    /** What {@code on} says of a cost line or an impact that concerns the whole project. */
    public static final String PROJECT = "project";

    public Plan {
        calendars = List.copyOf(calendars);
        wbs = List.copyOf(wbs);
        activities = List.copyOf(activities);
        links = List.copyOf(links);
        grades = List.copyOf(grades);
        correlations = List.copyOf(correlations);
        resources = List.copyOf(resources);
        assignments = List.copyOf(assignments);
        costs = List.copyOf(costs);
        risks = List.copyOf(risks);
        accepted = List.copyOf(accepted);
        evidence = List.copyOf(evidence);
        escalation = List.copyOf(escalation);
        funding = List.copyOf(funding);
        scenarios = List.copyOf(scenarios);
        briefs = List.copyOf(briefs);
        parts = List.copyOf(parts);
    }

    /** A project with its activities and logic alone. */
    public static Plan of(
            Project project,
            List<CalendarDefinition> calendars,
            List<WbsNode> wbs,
            List<Activity> activities,
            List<Link> links) {
        return new Plan(
                project,
                calendars,
                wbs,
                activities,
                links,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    /** The calendar the project counts its working days in; a sound plan has it. */
    public CalendarDefinition projectCalendar() {
        return calendar(project.calendar());
    }

    /** The calendar an activity is worked in; a sound plan has it. */
    public CalendarDefinition calendarOf(Activity activity) {
        return calendar(activity.calendar());
    }

    private CalendarDefinition calendar(String id) {
        return calendars.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    /** The plan without what changes nothing that is simulated: scenarios, which are plans of their own, and briefs. */
    public Plan alone() {
        return withScenarios(List.of()).withBriefs(List.of());
    }

    /** A copy of which sections can be replaced. */
    public PlanDraft edit() {
        return PlanDraft.builder(this);
    }
}
