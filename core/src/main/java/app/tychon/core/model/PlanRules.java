package app.tychon.core.model;

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
    private PlanRules() {}

    public static List<Problem> problems(Plan plan) {
        PlanNames names = new PlanNames(plan);
        Found found = new Found();
        // Branches, activities and cost lines are all named by "on", so no two of them may share an id.
        Map<String, String> targets = new HashMap<>(Map.of(Plan.PROJECT, "the word for the whole project"));
        Sections.ALL.forEach(section -> {
            ids(section, plan, targets, found);
            section.rules().check(plan, names, found);
        });
        return found.inOrderOf(Sections.ALL.stream().map(Section::name).toList());
    }

    private static <T> void ids(Section<T> section, Plan plan, Map<String, String> targets, Found found) {
        List<String> ids = section.of().apply(plan).stream().map(section.key()).toList();
        switch (section.keys()) {
            case IDS -> ids(section, ids, Map.of(), found);
            case TARGETS -> {
                ids(section, ids, targets, found);
                ids.forEach(id -> targets.putIfAbsent(id, "the id of " + section.one()));
            }
            case MADE, INTO -> {}
        }
    }

    /** @param taken ids of other kinds that may not be used, with what they are */
    private static void ids(Section<?> section, List<String> ids, Map<String, String> taken, Found found) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < ids.size(); i++) {
            String id = ids.get(i);
            String at = "/" + section.name() + "/" + i + "/id";
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
                        "there is already " + section.one() + " \"" + id.stripTrailing() + "\""
                                + (id.equals(id.stripTrailing()) ? "" : "; blanks at the end make no difference"));
            } else if (taken.containsKey(id)) {
                found.add(at, "\"" + id + "\" is already " + taken.get(id));
            }
        }
    }
}
