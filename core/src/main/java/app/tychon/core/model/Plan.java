package app.tychon.core.model;

import java.util.List;

/** Everything that is calculated: a project with its calendars, work breakdown, activities, logic and money. */
public record Plan(
        Project project,
        List<CalendarDefinition> calendars,
        List<WbsNode> wbs,
        List<Activity> activities,
        List<Link> links,
        List<CostLine> costs) {

    public Plan {
        calendars = List.copyOf(calendars);
        wbs = List.copyOf(wbs);
        activities = List.copyOf(activities);
        links = List.copyOf(links);
        costs = List.copyOf(costs);
    }

    public Plan withActivities(List<Activity> others) {
        return new Plan(project, calendars, wbs, others, links, costs);
    }

    public Plan withLinks(List<Link> others) {
        return new Plan(project, calendars, wbs, activities, others, costs);
    }
}
