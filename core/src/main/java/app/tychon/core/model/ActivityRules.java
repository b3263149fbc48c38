package app.tychon.core.model;

import java.util.ArrayList;
import java.util.List;

/** What is wrong with one activity by itself; pointers are relative to it. */
public final class ActivityRules {
    private ActivityRules() {}

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
