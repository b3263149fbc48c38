package app.tychon.core.model;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What cannot be true of resources, of who uses them, and of cost lines. */
final class MoneyRules {
    private MoneyRules() {}

    static void resources(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.resources().size(); i++) {
            Resource resource = plan.resources().get(i);
            found.addAll("/resources/" + i, TextRules.name("/name", resource.name()));
            found.addAll(TextRules.number("/resources/" + i + "/rate", resource.rate(), Bounds.MOST_UNITS));
        }
    }

    static void assignments(Plan plan, PlanNames names, Found found) {
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < plan.assignments().size(); i++) {
            Assignment assignment = plan.assignments().get(i);
            String pointer = "/assignments/" + i;
            names.needActivity(pointer + "/activity", assignment.activity(), found);
            if (!names.resources.contains(assignment.resource())) {
                found.add(pointer + "/resource", "there is no resource \"" + assignment.resource() + "\"");
            }
            if (!seen.add(List.of(assignment.activity(), assignment.resource()))) {
                found.add(
                        pointer,
                        "\"" + assignment.resource() + "\" is assigned to \"" + assignment.activity() + "\" twice");
            }
            found.addAll(TextRules.number(pointer + "/units", assignment.units(), Bounds.MOST_UNITS));
            if (assignment.units() < 0) {
                found.add(
                        pointer + "/units",
                        "units cannot be below zero; this is " + EstimateRules.text(assignment.units()));
            }
        }
    }

    static void costs(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.costs().size(); i++) {
            CostLine line = plan.costs().get(i);
            String pointer = "/costs/" + i;
            found.addAll(pointer, TextRules.name("/name", line.name()));
            names.needGrade(pointer, line.grade(), found);
            found.addAll(TextRules.number(pointer + "/amount", line.amount(), Bounds.LARGEST_AMOUNT));
            if (!line.on().equals(Plan.PROJECT)
                    && !names.activities.containsKey(line.on())
                    && !names.branches.contains(line.on())) {
                found.add(pointer + "/on", "there is no activity or WBS branch \"" + line.on() + "\"");
            }
            if (!(line.fixedShare() >= 0 && line.fixedShare() <= 1)) {
                found.add(
                        pointer + "/fixedShare",
                        "a share lies between 0 and 1; this is " + EstimateRules.text(line.fixedShare()));
            }
            line.estimate()
                    .ifPresent(estimate -> found.addAll(
                            pointer + "/estimate", EstimateRules.problems(estimate, EstimateRules.Subject.COST)));
        }
    }
}
