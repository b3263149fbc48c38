package app.tychon.core.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What makes a plan impossible to calculate, apart from loops in its logic. Every problem is reported at once, each
 * with its JSON pointer into the open project file.
 */
public final class PlanRules {
    private static final List<String> SECTIONS = List.of(
            "project",
            "calendars",
            "wbs",
            "activities",
            "links",
            "grades",
            "correlations",
            "resources",
            "assignments",
            "costs",
            "risks",
            "accepted",
            "evidence");

    private final Plan plan;
    private final PlanNames names;
    private final Found found = new Found();

    private PlanRules(Plan plan) {
        this.plan = plan;
        names = new PlanNames(plan);
    }

    public static List<Problem> problems(Plan plan) {
        PlanRules rules = new PlanRules(plan);
        rules.ids();
        rules.project();
        rules.calendars();
        new BranchRules(plan, rules.names, rules.found).check();
        rules.activities();
        rules.links();
        rules.grades();
        rules.assignments();
        rules.costs();
        rules.accepted();
        rules.evidence();
        new CorrelationRules(plan, rules.names, rules.found).check();
        new RiskRules(plan, rules.names, rules.found).check();
        return rules.found.inOrderOf(SECTIONS);
    }

    private void ids() {
        ids("/calendars/", plan.calendars().stream().map(CalendarDefinition::id).toList(), Map.of(), "a calendar");
        ids("/grades/", plan.grades().stream().map(Grade::id).toList(), Map.of(), "a grade");
        ids("/correlations/", plan.correlations().stream().map(Correlation::id).toList(), Map.of(), "a correlation");
        ids("/resources/", plan.resources().stream().map(Resource::id).toList(), Map.of(), "a resource");
        ids("/evidence/", plan.evidence().stream().map(Evidence::id).toList(), Map.of(), "evidence");
        ids("/risks/", plan.risks().stream().map(Risk::id).toList(), Map.of(), "a risk");
        // Branches, activities and cost lines are all named by "on", so no two of them may share an id.
        Map<String, String> targets = new HashMap<>(Map.of(Plan.PROJECT, "the word for the whole project"));
        List<String> branches = plan.wbs().stream().map(WbsNode::id).toList();
        ids("/wbs/", branches, targets, "a WBS branch");
        branches.forEach(id -> targets.put(id, "the id of a WBS branch"));
        List<String> activities = plan.activities().stream().map(Activity::id).toList();
        ids("/activities/", activities, targets, "an activity");
        activities.forEach(id -> targets.put(id, "the id of an activity"));
        ids("/costs/", plan.costs().stream().map(CostLine::id).toList(), targets, "a cost line");
    }

    /** @param taken ids of other kinds that may not be used, with what they are */
    private void ids(String pointer, List<String> ids, Map<String, String> taken, String what) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < ids.size(); i++) {
            String id = ids.get(i);
            String at = pointer + i + "/id";
            List<Problem> text = TextRules.text(at, id, Integer.MAX_VALUE);
            if (id.isBlank()) {
                found.add(at, "the id is empty");
            } else if (!text.isEmpty()) {
                found.addAll(text);
            } else if (id.length() > Bounds.LONGEST_ID) {
                found.add(at, "an id has at most " + Bounds.LONGEST_ID + " characters; this one has " + id.length());
            } else if (!seen.add(id.stripTrailing())) {
                found.add(
                        at,
                        "there is already " + what + " \"" + id.stripTrailing() + "\""
                                + (id.equals(id.stripTrailing()) ? "" : "; blanks at the end make no difference"));
            } else if (taken.containsKey(id)) {
                found.add(at, "\"" + id + "\" is already " + taken.get(id));
            }
        }
    }

    private void project() {
        Project project = plan.project();
        found.addAll(TextRules.name("/project/name", project.name()));
        found.addAll(TextRules.text("/project/id", project.id(), Bounds.LONGEST_ID));
        if (!project.currency().matches("[A-Z]{3}")) {
            found.add(
                    "/project/currency",
                    "a currency is told by three capital letters, such as EUR or USD; this is \"" + project.currency()
                            + "\"");
        }
        project.targets()
                .cost()
                .ifPresent(
                        cost -> found.addAll(TextRules.number("/project/targets/cost", cost, Bounds.LARGEST_AMOUNT)));
        if (!names.calendars.contains(project.calendar())) {
            found.add("/project/calendar", "there is no calendar \"" + project.calendar() + "\"");
        }
        found.addAll(TextRules.date("/project/start", project.start()));
        project.dataDate().ifPresent(d -> found.addAll(TextRules.date("/project/dataDate", d)));
        project.targets().finish().ifPresent(f -> found.addAll(TextRules.date("/project/targets/finish", f)));
        int confidence = project.targets().confidence();
        if (confidence < 1 || confidence > 99) {
            found.add(
                    "/project/targets/confidence",
                    "the level of confidence is a whole number of percent from 1 to 99, not " + confidence);
        }
    }

    private void calendars() {
        for (int i = 0; i < plan.calendars().size(); i++) {
            CalendarDefinition calendar = plan.calendars().get(i);
            found.addAll("/calendars/" + i, TextRules.name("/name", calendar.name()));
            found.addAll("/calendars/" + i, CalendarRules.problems(calendar));
        }
    }

    /** In working minutes, so that the bound is the same whatever the unit. */
    private void length(String pointer, String what, WorkDuration length, CalendarDefinition calendar) {
        if (calendar != null && !(Math.abs(length.minutes(calendar)) <= Bounds.LONGEST_MINUTES)) {
            found.add(
                    pointer,
                    what + " of " + length + " is not believable: it is more than " + Bounds.LONGEST_YEARS
                            + " years of work");
        }
    }

    private void activities() {
        Map<String, CalendarDefinition> calendars = new HashMap<>();
        plan.calendars().forEach(c -> calendars.put(c.id(), c));
        for (int i = 0; i < plan.activities().size(); i++) {
            Activity activity = plan.activities().get(i);
            String pointer = "/activities/" + i;
            found.addAll(pointer, ActivityRules.problems(activity));
            found.addAll(
                    pointer, ProgressRules.problems(activity, plan.project().dataDate()));
            grade(pointer, activity.grade());
            if (!names.branches.contains(activity.wbs())) {
                found.add(pointer + "/wbs", "there is no WBS branch \"" + activity.wbs() + "\"");
            }
            if (!names.calendars.contains(activity.calendar())) {
                found.add(pointer + "/calendar", "there is no calendar \"" + activity.calendar() + "\"");
            }
            CalendarDefinition calendar = calendars.get(activity.calendar());
            length(pointer + "/duration", "a duration", activity.duration(), calendar);
            activity.progress()
                    .remaining()
                    .ifPresent(r -> length(pointer + "/remaining", "a remaining duration", r, calendar));
        }
        found.addAll(HammockRules.problems(plan));
    }

    private void grade(String pointer, Optional<String> grade) {
        grade.filter(id -> !names.grades.contains(id))
                .ifPresent(id -> found.add(pointer + "/grade", "there is no grade \"" + id + "\""));
    }

    private void links() {
        for (int i = 0; i < plan.links().size(); i++) {
            Link link = plan.links().get(i);
            String pointer = "/links/" + i;
            activity(pointer + "/from", link.from());
            activity(pointer + "/to", link.to());
            if (!(Math.abs(link.lag().clockMinutes()) <= Bounds.LONGEST_MINUTES)) {
                found.add(pointer + "/lag", "a lag of " + link.lag() + " is not believable");
            }
        }
    }

    private void activity(String pointer, String id) {
        if (!names.activities.containsKey(id)) {
            found.add(pointer, "there is no activity \"" + id + "\"");
        }
    }

    private void grades() {
        for (int i = 0; i < plan.grades().size(); i++) {
            Grade grade = plan.grades().get(i);
            found.addAll("/grades/" + i, TextRules.name("/name", grade.name()));
            found.addAll("/grades/" + i, EstimateRules.problems(grade.estimate(), EstimateRules.Subject.DURATION));
        }
    }

    private void assignments() {
        for (int i = 0; i < plan.resources().size(); i++) {
            Resource resource = plan.resources().get(i);
            found.addAll("/resources/" + i, TextRules.name("/name", resource.name()));
            found.addAll(TextRules.number("/resources/" + i + "/rate", resource.rate(), Bounds.MOST_UNITS));
        }
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < plan.assignments().size(); i++) {
            Assignment assignment = plan.assignments().get(i);
            String pointer = "/assignments/" + i;
            activity(pointer + "/activity", assignment.activity());
            if (!names.resources.contains(assignment.resource())) {
                found.add(pointer + "/resource", "there is no resource \"" + assignment.resource() + "\"");
            }
            if (!seen.add(List.of(assignment.activity(), assignment.resource()))) {
                found.add(
                        pointer,
                        "\"" + assignment.resource() + "\" is assigned to \"" + assignment.activity() + "\" twice");
            }
            found.addAll(TextRules.number(pointer + "/units", assignment.units(), Bounds.MOST_UNITS));
            if (assignment.units() < 0) {
                found.add(
                        pointer + "/units",
                        "units cannot be below zero; this is " + EstimateRules.text(assignment.units()));
            }
        }
    }

    private void costs() {
        for (int i = 0; i < plan.costs().size(); i++) {
            CostLine line = plan.costs().get(i);
            String pointer = "/costs/" + i;
            found.addAll(pointer, TextRules.name("/name", line.name()));
            grade(pointer, line.grade());
            found.addAll(TextRules.number(pointer + "/amount", line.amount(), Bounds.LARGEST_AMOUNT));
            if (!line.on().equals(Plan.PROJECT)
                    && !names.activities.containsKey(line.on())
                    && !names.branches.contains(line.on())) {
                found.add(pointer + "/on", "there is no activity or WBS branch \"" + line.on() + "\"");
            }
            if (!(line.fixedShare() >= 0 && line.fixedShare() <= 1)) {
                found.add(
                        pointer + "/fixedShare",
                        "a share lies between 0 and 1; this is " + EstimateRules.text(line.fixedShare()));
            }
            line.estimate()
                    .ifPresent(estimate -> found.addAll(
                            pointer + "/estimate", EstimateRules.problems(estimate, EstimateRules.Subject.COST)));
        }
    }

    private void accepted() {
        for (int i = 0; i < plan.accepted().size(); i++) {
            Acceptance accepted = plan.accepted().get(i);
            String pointer = "/accepted/" + i;
            found.addAll(TextRules.name(pointer + "/reason", accepted.reason()));
            found.addAll(TextRules.text(pointer + "/finding", accepted.finding(), Bounds.LONGEST_NAME));
            if (!accepted.on().equals(Plan.PROJECT)
                    && !names.branches.contains(accepted.on())
                    && !names.costs.contains(accepted.on())) {
                activity(pointer + "/on", accepted.on());
            }
        }
    }

    private void evidence() {
        for (int i = 0; i < plan.evidence().size(); i++) {
            Evidence evidence = plan.evidence().get(i);
            String pointer = "/evidence/" + i;
            found.addAll(pointer, EvidenceRules.problems(evidence));
            for (int u = 0; u < evidence.on().size(); u++) {
                String id = evidence.on().get(u);
                if (!names.activities.containsKey(id) && !names.costs.contains(id) && !names.grades.contains(id)) {
                    found.add(pointer + "/on/" + u, "there is no activity, cost line or grade \"" + id + "\"");
                }
            }
        }
    }
}
