package app.tychon.exchange.risks;

import app.tychon.core.model.Plan;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** What of a plan a risk can strike, by code or by name, whatever the case of its letters. */
public final class Targets implements UnaryOperator<String> {
    private final Set<String> exact = new HashSet<>(Set.of(Plan.PROJECT));
    private final Map<String, String> codes = new HashMap<>();
    private final Map<String, Set<String>> names = new HashMap<>();

    public Targets(Plan plan) {
        // Where a resource shares its id with another, that one is meant.
        plan.resources().forEach(r -> add(r.id(), r.name()));
        plan.costs().forEach(c -> add(c.id(), c.name()));
        plan.wbs().forEach(w -> add(w.id(), w.name()));
        plan.activities().forEach(a -> add(a.id(), a.name()));
        codes.put(Plan.PROJECT, Plan.PROJECT);
        names.computeIfAbsent("the project", n -> new TreeSet<>()).add(Plan.PROJECT);
    }

    private void add(String code, String name) {
        exact.add(code);
        codes.put(small(code), code);
        names.computeIfAbsent(small(name), n -> new TreeSet<>()).add(code);
    }

    private static String small(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    /** @throws IllegalArgumentException where nothing, or more than one thing, is called so */
    @Override
    public String apply(String text) {
        if (exact.contains(text.strip())) {
            return text.strip();
        }
        String code = codes.get(small(text));
        if (code != null) {
            return code;
        }
        Set<String> found = names.getOrDefault(small(text), Set.of());
        if (found.size() == 1) {
            return List.copyOf(found).get(0);
        }
        throw new IllegalArgumentException(
                found.isEmpty()
                        ? "there is no activity, branch, cost line or resource \"" + text.strip() + "\""
                        : "\"" + text.strip() + "\" is the name of " + String.join(" and ", found)
                                + "; say which by its code");
    }
}
