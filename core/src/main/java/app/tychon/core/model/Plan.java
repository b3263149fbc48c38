package app.tychon.core.model;

import java.util.List;

/**
 * Everything that is calculated: a project with its calendars, work breakdown, activities, logic, spread, risks and
 * money.
 */
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
        List<Risk> risks) {

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
    }

    public Plan withActivities(List<Activity> others) {
        return new Plan(
                project, calendars, wbs, others, links, grades, correlations, resources, assignments, costs, risks);
    }

    public Plan withLinks(List<Link> others) {
        return new Plan(
                project,
                calendars,
                wbs,
                activities,
                others,
                grades,
                correlations,
                resources,
                assignments,
                costs,
                risks);
    }

    public Plan withCosts(List<CostLine> others) {
        return new Plan(
                project,
                calendars,
                wbs,
                activities,
                links,
                grades,
                correlations,
                resources,
                assignments,
                others,
                risks);
    }

    public Plan withRisks(List<Risk> others) {
        return new Plan(
                project,
                calendars,
                wbs,
                activities,
                links,
                grades,
                correlations,
                resources,
                assignments,
                costs,
                others);
    }
}
