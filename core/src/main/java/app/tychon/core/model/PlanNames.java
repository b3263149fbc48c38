package app.tychon.core.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The ids of a plan, by the kind of thing they name. */
final class PlanNames {
    final Set<String> calendars = new HashSet<>();
    final Set<String> branches = new HashSet<>();
    final Map<String, Activity> activities = new HashMap<>();
    final Set<String> grades = new HashSet<>();
    final Set<String> resources = new HashSet<>();
    final Set<String> costs = new HashSet<>();
    final Map<String, Risk> risks = new HashMap<>();

    PlanNames(Plan plan) {
        plan.calendars().forEach(c -> calendars.add(c.id()));
        plan.wbs().forEach(b -> branches.add(b.id()));
        plan.activities().forEach(a -> activities.putIfAbsent(a.id(), a));
        plan.grades().forEach(g -> grades.add(g.id()));
        plan.resources().forEach(r -> resources.add(r.id()));
        plan.costs().forEach(c -> costs.add(c.id()));
        plan.risks().forEach(r -> risks.putIfAbsent(r.id(), r));
    }

    boolean isHammock(String activity) {
        return Optional.ofNullable(activities.get(activity))
                .filter(Activity::isHammock)
                .isPresent();
    }

    /** Whether money can stand on it: an activity, a branch or the project. */
    boolean isPlace(String id) {
        return id.equals(Plan.PROJECT) || activities.containsKey(id) || branches.contains(id);
    }

    void needActivity(String pointer, String id, Found found) {
        if (!activities.containsKey(id)) {
            found.add(pointer, "there is no activity \"" + id + "\"");
        }
    }

    /** @param pointer of what has the grade */
    void needGrade(String pointer, Optional<String> grade, Found found) {
        grade.filter(id -> !grades.contains(id))
                .ifPresent(id -> found.add(pointer + "/grade", "there is no grade \"" + id + "\""));
    }
}
