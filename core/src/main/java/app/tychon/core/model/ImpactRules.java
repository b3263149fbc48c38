package app.tychon.core.model;

import java.util.HashSet;
import java.util.List;

/** What a risk cannot do. */
final class ImpactRules {
    private final PlanNames names;
    private final Found found;

    ImpactRules(PlanNames names, Found found) {
        this.names = names;
        this.found = found;
    }

    void check(String pointer, List<Impact> impacts) {
        for (int i = 0; i < impacts.size(); i++) {
            Impact impact = impacts.get(i);
            targets(pointer + i + "/on", impact);
            distribution(pointer + i + "/distribution", impact);
        }
    }

    private void targets(String pointer, Impact impact) {
        if (impact.on().isEmpty()) {
            found.add(pointer, "there is nothing it strikes");
        }
        if (new HashSet<>(impact.on()).size() < impact.on().size()) {
            found.add(pointer, "the same target stands in it twice");
        }
        for (int t = 0; t < impact.on().size(); t++) {
            String target = impact.on().get(t);
            String at = pointer + "/" + t;
            boolean isCost = names.costs.contains(target);
            boolean known = isCost
                    || target.equals(Plan.PROJECT)
                    || names.branches.contains(target)
                    || names.activities.containsKey(target);
            boolean isResource = !known && names.resources.contains(target);
            if (isResource && impact.effect() == Impact.Effect.ADD_COST) {
                found.add(at, "\"" + target + "\" is a resource, which has a rate to scale and no amount to add to");
            } else if (!known && !isResource) {
                found.add(at, "there is no activity, WBS branch, cost line or resource \"" + target + "\"");
            } else if (isCost && impact.effect().isOnTime()) {
                found.add(at, "\"" + target + "\" is a cost line, which takes no time");
            } else if (names.isHammock(target) && impact.effect().isOnTime()) {
                found.add(at, "\"" + target + "\" is a hammock, which has no duration of its own");
            }
        }
    }

    private void distribution(String pointer, Impact impact) {
        Shape shape = impact.distribution().shape();
        Basis basis = impact.distribution().basis();
        found.addAll(pointer, ShapeRules.problems(shape));
        boolean fits =
                switch (impact.effect()) {
                    case SCALE_TIME, SCALE_COST -> basis == Basis.FACTOR;
                    case ADD_TIME -> basis == Basis.DAYS || basis == Basis.HOURS;
                    case ADD_COST -> basis == Basis.MONEY;
                };
        if (!fits) {
            String wanted =
                    switch (impact.effect()) {
                        case SCALE_TIME, SCALE_COST -> "a factor";
                        case ADD_TIME -> "days or hours";
                        case ADD_COST -> "money";
                    };
            found.add(pointer + "/basis", "this effect is counted in " + wanted);
        }
        if (impact.effect().isScale() && Double.isFinite(shape.low()) && shape.low() < 0) {
            found.add(pointer, "a factor cannot be below zero; this is " + EstimateRules.text(shape.low()));
        }
        boolean endless = Double.isFinite(shape.high()) && shape.high() > EstimateRules.LONGEST_DAYS;
        if (impact.effect() == Impact.Effect.ADD_TIME && endless) {
            found.add(
                    pointer,
                    "a delay above " + EstimateRules.text(EstimateRules.LONGEST_DAYS) + " is not believable; this is "
                            + EstimateRules.text(shape.high()));
        }
    }
}
