package app.tychon.core.model;

/** What cannot be true of a grade of spread. */
final class GradeRules {
    private GradeRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.grades().size(); i++) {
            Grade grade = plan.grades().get(i);
            found.addAll("/grades/" + i, TextRules.name("/name", grade.name()));
            found.addAll("/grades/" + i, EstimateRules.problems(grade.estimate(), EstimateRules.Subject.DURATION));
        }
    }
}
