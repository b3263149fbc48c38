package app.tychon.server.rows;

import app.tychon.core.model.Plan;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** What money can stand on, by code or by name, whatever the case of its letters. */
final class PlaceNames {
    private final Map<String, String> codes = new HashMap<>();
    private final Map<String, Set<String>> names = new HashMap<>();

    PlaceNames(Plan plan) {
        plan.wbs().forEach(branch -> add(branch.id(), branch.name()));
        plan.activities().forEach(activity -> add(activity.id(), activity.name()));
        add(Plan.PROJECT, "the project");
        names.computeIfAbsent("the whole project", name -> new TreeSet<>()).add(Plan.PROJECT);
    }

    private void add(String code, String name) {
        codes.put(small(code), code);
        names.computeIfAbsent(small(name), n -> new TreeSet<>()).add(code);
    }

    private static String small(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    /** @throws IllegalArgumentException where nothing, or more than one thing, is called so */
    String of(String text) {
        String code = codes.get(small(text));
        Set<String> found = names.getOrDefault(small(text), Set.of());
        if (code == null && found.size() != 1) {
            throw new IllegalArgumentException(
                    found.isEmpty()
                            ? "there is no activity or branch \"" + text.strip() + "\""
                            : "\"" + text.strip() + "\" is the name of " + String.join(" and ", found)
                                    + "; say which by its code");
        }
        return code == null ? found.iterator().next() : code;
    }
}
