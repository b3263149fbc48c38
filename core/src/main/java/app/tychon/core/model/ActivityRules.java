package app.tychon.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What is wrong with one activity by itself; pointers are relative to it. */
public final class ActivityRules {
    private ActivityRules() {}

    /** All activities of a plan. */
    static void check(Plan plan, PlanNames names, Found found) {
        Map<String, CalendarDefinition> calendars = new HashMap<>();
        plan.calendars().forEach(c -> calendars.put(c.id(), c));
        for (int i = 0; i < plan.activities().size(); i++) {
            Activity activity = plan.activities().get(i);
            String pointer = "/activities/" + i;
            found.addAll(pointer, problems(activity));
            found.addAll(
                    pointer, ProgressRules.problems(activity, plan.project().dataDate()));
            names.needGrade(pointer, activity.grade(), found);
            if (!names.branches.contains(activity.wbs())) {
                found.add(pointer + "/wbs", "there is no WBS branch \"" + activity.wbs() + "\"");
            }
            if (!names.calendars.contains(activity.calendar())) {
                found.add(pointer + "/calendar", "there is no calendar \"" + activity.calendar() + "\"");
            }
            CalendarDefinition calendar = calendars.get(activity.calendar());
            length(pointer + "/duration", "a duration", activity.duration(), calendar, found);
            activity.progress()
                    .remaining()
                    .ifPresent(r -> length(pointer + "/remaining", "a remaining duration", r, calendar, found));
        }
        found.addAll(HammockRules.problems(plan));
    }

    /** In working minutes, so that the bound is the same whatever the unit. */
    private static void length(
            String pointer, String what, WorkDuration length, CalendarDefinition calendar, Found found) {
        if (calendar != null && !(Math.abs(length.minutes(calendar)) <= Bounds.LONGEST_MINUTES)) {
            found.add(
                    pointer,
                    what + " of " + length + " is not believable: it is more than " + Bounds.LONGEST_YEARS
                            + " years of work");
        }
    }

    public static List<Problem> problems(Activity activity) {
        List<Problem> found = new ArrayList<>(TextRules.name("/name", activity.name()));
        duration(found, activity);
        found.addAll(TextRules.text("/notes", activity.notes(), Bounds.LONGEST_NOTES));
        activity.constraint().ifPresent(c -> found.addAll(TextRules.date("/constraint/date", c.date())));
        activity.estimate().ifPresent(estimate -> {
            EstimateRules.problems(estimate, EstimateRules.Subject.DURATION)
                    .forEach(p -> found.add(new Problem("/estimate" + p.pointer(), p.message())));
            if (activity.kind() != ActivityKind.TASK) {
                found.add(new Problem("/estimate", kind(activity) + " has no duration of its own to estimate"));
            }
        });
        return found;
    }

    private static void duration(List<Problem> found, Activity activity) {
        WorkDuration duration = activity.duration();
        if (duration.amount() < 0) {
            found.add(new Problem("/duration", "a duration cannot be below zero; this is " + duration));
        }
        if (activity.kind() != ActivityKind.TASK && duration.amount() != 0) {
            found.add(new Problem("/duration", kind(activity) + " has no duration of its own; this is " + duration));
        }
        if (activity.isHammock() && activity.constraint().isPresent()) {
            found.add(new Problem("/constraint", "a hammock takes its dates from what opens and closes it"));
        }
    }

    private static String kind(Activity activity) {
        return activity.isHammock() ? "a hammock" : "a milestone";
    }
}
