package app.tychon.core.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** What cannot be asked of estimates that move together. That a matrix is impossible as a whole is no problem here. */
final class CorrelationRules {
    private final Plan plan;
    private final PlanNames names;
    private final Found found;
    /** Those who stand in several correlations, among whom alone a pair could be asked of twice. */
    private final Set<String> shared = new HashSet<>();

    private final Map<Set<String>, Double> asked = new HashMap<>();

    private CorrelationRules(Plan plan, PlanNames names, Found found) {
        this.plan = plan;
        this.names = names;
        this.found = found;
    }

    static void check(Plan plan, PlanNames names, Found found) {
        new CorrelationRules(plan, names, found).check();
    }

    private void check() {
        Set<String> seen = new HashSet<>();
        for (Correlation correlation : plan.correlations()) {
            correlation.members().stream().filter(m -> !seen.add(m)).forEach(shared::add);
        }
        for (int i = 0; i < plan.correlations().size(); i++) {
            String pointer = "/correlations/" + i;
            Correlation correlation = plan.correlations().get(i);
            if (members(pointer, correlation) && coefficients(pointer, correlation)) {
                pairs(pointer, correlation);
            }
        }
    }

    /** What is wrong with a correlation by itself; pointers lead into it. */
    static List<Problem> problems(Correlation correlation) {
        CorrelationRules rules = new CorrelationRules(null, null, new Found());
        if (rules.size("", correlation)) {
            rules.coefficients("", correlation);
        }
        return rules.found.all();
    }

    private boolean members(String pointer, Correlation correlation) {
        List<String> members = correlation.members();
        for (int m = 0; m < members.size(); m++) {
            if (!names.activities.containsKey(members.get(m)) && !names.costs.contains(members.get(m))) {
                found.add(pointer + "/members/" + m, "there is no activity or cost line \"" + members.get(m) + "\"");
            }
        }
        return size(pointer, correlation);
    }

    private boolean size(String pointer, Correlation correlation) {
        List<String> members = correlation.members();
        if (members.size() < 2) {
            found.add(pointer + "/members", "at least two must move together; there are " + members.size());
        } else if (new HashSet<>(members).size() < members.size()) {
            found.add(pointer + "/members", "the same member stands in it twice");
            return false;
        }
        return true;
    }

    private boolean coefficients(String pointer, Correlation correlation) {
        if (correlation.coefficient().isPresent() == !correlation.matrix().isEmpty()) {
            found.add(pointer, "needs either one coefficient or a matrix");
            return false;
        }
        if (correlation.coefficient().isPresent()) {
            return coefficient(
                    pointer + "/coefficient", correlation.coefficient().getAsDouble());
        }
        if (correlation.matrix().size() != correlation.members().size()) {
            found.add(
                    pointer + "/matrix",
                    "needs a row for each of the " + correlation.members().size() + " members; there are "
                            + correlation.matrix().size());
            return false;
        }
        boolean sound = true;
        for (int row = 0; row < correlation.matrix().size(); row++) {
            sound &= row(pointer + "/matrix/" + row, row, correlation.matrix().get(row));
        }
        return sound;
    }

    private boolean row(String pointer, int row, List<Double> values) {
        if (values.size() != row + 1) {
            found.add(
                    pointer,
                    "row " + (row + 1) + " of a lower triangle has " + (row + 1) + " values; this one has "
                            + values.size());
            return false;
        }
        boolean sound = true;
        for (int column = 0; column < row; column++) {
            sound &= coefficient(pointer + "/" + column, values.get(column));
        }
        if (values.get(row) != 1) {
            found.add(pointer + "/" + row, "the diagonal is 1; this is " + EstimateRules.text(values.get(row)));
            sound = false;
        }
        return sound;
    }

    private boolean coefficient(String pointer, double value) {
        if (value >= -1 && value <= 1) {
            return true;
        }
        found.add(pointer, "a coefficient lies between -1 and 1; this is " + EstimateRules.text(value));
        return false;
    }

    /** No pair may be asked to have two coefficients. */
    private void pairs(String pointer, Correlation correlation) {
        List<String> members = correlation.members();
        int[] candidates = IntStream.range(0, members.size())
                .filter(m -> shared.contains(members.get(m)))
                .toArray();
        for (int row : candidates) {
            for (int column : candidates) {
                if (column >= row) {
                    break;
                }
                Set<String> pair = Set.of(members.get(row), members.get(column));
                double value = correlation.asked(row, column);
                Double before = asked.putIfAbsent(pair, value);
                if (before != null && before != value) {
                    found.add(
                            pointer,
                            "asks " + EstimateRules.text(value) + " of " + members.get(column) + " and "
                                    + members.get(row) + ", of whom " + EstimateRules.text(before)
                                    + " is asked elsewhere");
                }
            }
        }
    }
}
