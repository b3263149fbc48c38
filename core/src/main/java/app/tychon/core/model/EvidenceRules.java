package app.tychon.core.model;

import java.util.ArrayList;
import java.util.List;

/** What past work cannot have been. Pointers name the observation, as {@code /observations/3}. */
public final class EvidenceRules {
    /** Fewer observations say nothing about a shape. */
    public static final int LEAST = 3;

    public static final int MOST = 20_000;

    private EvidenceRules() {}

    /** All evidence of a plan. */
    static void check(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.evidence().size(); i++) {
            Evidence evidence = plan.evidence().get(i);
            String pointer = "/evidence/" + i;
            found.addAll(pointer, problems(evidence));
            for (int u = 0; u < evidence.on().size(); u++) {
                String id = evidence.on().get(u);
                if (!names.activities.containsKey(id) && !names.costs.contains(id) && !names.grades.contains(id)) {
                    found.add(pointer + "/on/" + u, "there is no activity, cost line or grade \"" + id + "\"");
                }
            }
        }
    }

    public static List<Problem> problems(Evidence evidence) {
        List<Problem> found = new ArrayList<>(TextRules.name("/name", evidence.name()));
        List<Evidence.Observation> all = evidence.observations();
        if (all.size() < LEAST || all.size() > MOST) {
            found.add(new Problem(
                    "/observations", "from " + LEAST + " to " + MOST + " observations are needed, not " + all.size()));
        }
        boolean ratios = evidence.isOfRatios();
        for (int i = 0; i < all.size(); i++) {
            String pointer = "/observations/" + i;
            double actual = all.get(i).actual();
            if (!ratios && all.get(i).planned().isPresent()) {
                found.add(new Problem(pointer, "either every observation has a planned value, or none"));
            }
            if (all.get(i).planned().isPresent() && !(all.get(i).planned().getAsDouble() > 0)) {
                found.add(new Problem(
                        pointer,
                        "a planned value must be above zero; this is "
                                + EstimateRules.text(all.get(i).planned().getAsDouble())));
            }
            if (!(actual >= 0)) {
                found.add(new Problem(
                        pointer, "an actual value cannot be below zero; this is " + EstimateRules.text(actual)));
            }
        }
        return found;
    }
}
