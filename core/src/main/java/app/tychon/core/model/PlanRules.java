package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What makes a plan impossible to calculate, apart from loops in its logic. Every problem is reported at once, each
 * with its JSON pointer into the open project file.
 */
public final class PlanRules {
    public static final int LONGEST_ID = 60;

    private final Plan plan;
    private final List<Problem> found = new ArrayList<>();
    private final Set<String> calendars = new HashSet<>();
    private final Set<String> branches = new HashSet<>();
    private final Set<String> activities = new HashSet<>();

    private PlanRules(Plan plan) {
        this.plan = plan;
    }

    public static List<Problem> problems(Plan plan) {
        PlanRules rules = new PlanRules(plan);
        rules.calendars();
        rules.project();
        rules.wbs();
        rules.activities();
        rules.links();
        rules.costs();
        return List.copyOf(rules.found);
    }

    private void add(String pointer, String message) {
        found.add(new Problem(pointer, message));
    }

    private void addAll(String pointer, List<Problem> problems) {
        problems.forEach(p -> add(pointer + p.pointer(), p.message()));
    }

    private void project() {
        Project project = plan.project();
        addAll("", TextRules.name("/project/name", project.name()));
        if (!calendars.contains(project.calendar())) {
            add("/project/calendar", "there is no calendar \"" + project.calendar() + "\"");
        }
        addAll("", TextRules.date("/project/start", project.start()));
        project.targets().finish().ifPresent(f -> addAll("", TextRules.date("/project/targets/finish", f)));
    }

    private void calendars() {
        for (int i = 0; i < plan.calendars().size(); i++) {
            CalendarDefinition calendar = plan.calendars().get(i);
            String pointer = "/calendars/" + i;
            id(pointer, calendar.id(), calendars, "a calendar");
            addAll(pointer, TextRules.name("/name", calendar.name()));
            addAll(pointer, CalendarRules.problems(calendar));
        }
    }

    private void wbs() {
        Map<String, String> parents = new HashMap<>();
        for (int i = 0; i < plan.wbs().size(); i++) {
            WbsNode node = plan.wbs().get(i);
            id("/wbs/" + i, node.id(), branches, "a WBS branch");
            addAll("/wbs/" + i, TextRules.name("/name", node.name()));
            node.parent().ifPresent(parent -> parents.put(node.id(), parent));
        }
        for (int i = 0; i < plan.wbs().size(); i++) {
            WbsNode node = plan.wbs().get(i);
            String pointer = "/wbs/" + i + "/parent";
            node.parent()
                    .filter(parent -> !branches.contains(parent))
                    .ifPresent(parent -> add(pointer, "there is no WBS branch \"" + parent + "\""));
            if (liesUnderItself(node.id(), parents)) {
                add(pointer, "branch \"" + node.id() + "\" lies under itself");
            }
        }
    }

    private static boolean liesUnderItself(String id, Map<String, String> parents) {
        Set<String> seen = new HashSet<>();
        String at = parents.get(id);
        while (at != null && seen.add(at)) {
            if (at.equals(id)) {
                return true;
            }
            at = parents.get(at);
        }
        return false;
    }

    private void activities() {
        for (int i = 0; i < plan.activities().size(); i++) {
            Activity activity = plan.activities().get(i);
            String pointer = "/activities/" + i;
            id(pointer, activity.id(), activities, "an activity");
            if (branches.contains(activity.id())) {
                add(pointer + "/id", "\"" + activity.id() + "\" is already the id of a WBS branch");
            }
            addAll(pointer, ActivityRules.problems(activity));
            if (!branches.contains(activity.wbs())) {
                add(pointer + "/wbs", "there is no WBS branch \"" + activity.wbs() + "\"");
            }
            if (!calendars.contains(activity.calendar())) {
                add(pointer + "/calendar", "there is no calendar \"" + activity.calendar() + "\"");
            }
        }
    }

    private void links() {
        for (int i = 0; i < plan.links().size(); i++) {
            Link link = plan.links().get(i);
            String pointer = "/links/" + i;
            known(pointer + "/from", link.from());
            known(pointer + "/to", link.to());
            if (Math.abs(link.lag().amount()) > EstimateRules.LONGEST_DAYS) {
                add(pointer + "/lag", "a lag of " + link.lag() + " is not believable");
            }
        }
    }

    private void known(String pointer, String activity) {
        if (!activities.contains(activity)) {
            add(pointer, "there is no activity \"" + activity + "\"");
        }
    }

    private void costs() {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < plan.costs().size(); i++) {
            CostLine line = plan.costs().get(i);
            String pointer = "/costs/" + i;
            id(pointer, line.id(), ids, "a cost line");
            addAll(pointer, TextRules.name("/name", line.name()));
            if (!line.on().equals(CostLine.PROJECT)
                    && !activities.contains(line.on())
                    && !branches.contains(line.on())) {
                add(pointer + "/on", "there is no activity or WBS branch \"" + line.on() + "\"");
            }
            if (!(line.fixedShare() >= 0 && line.fixedShare() <= 1)) {
                add(
                        pointer + "/fixedShare",
                        "a share lies between 0 and 1; this is " + EstimateRules.text(line.fixedShare()));
            }
            line.estimate()
                    .ifPresent(estimate -> addAll(
                            pointer + "/estimate", EstimateRules.problems(estimate, EstimateRules.Subject.COST)));
        }
    }

    private void id(String pointer, String id, Set<String> taken, String what) {
        if (id.isBlank()) {
            add(pointer + "/id", "the id is empty");
        } else if (id.length() > LONGEST_ID) {
            add(pointer + "/id", "an id has at most " + LONGEST_ID + " characters; this one has " + id.length());
        } else if (!taken.add(id)) {
            add(pointer + "/id", "there is already " + what + " \"" + id + "\"");
        }
    }
}
