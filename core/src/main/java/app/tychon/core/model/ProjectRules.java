package app.tychon.core.model;

/** What cannot be true of a project as a whole. */
final class ProjectRules {
    private ProjectRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        Project project = plan.project();
        found.addAll(TextRules.name("/project/name", project.name()));
        found.addAll(TextRules.text("/project/id", project.id(), Bounds.LONGEST_ID));
        found.addAll(TextRules.text("/project/draws", project.draws(), Bounds.LONGEST_ID));
        if (!project.currency().matches("[A-Z]{3}")) {
            found.add(
                    "/project/currency",
                    "a currency is told by three capital letters, such as EUR or USD; this is \"" + project.currency()
                            + "\"");
        }
        project.targets()
                .cost()
                .ifPresent(
                        cost -> found.addAll(TextRules.number("/project/targets/cost", cost, Bounds.LARGEST_AMOUNT)));
        if (!names.calendars.contains(project.calendar())) {
            found.add("/project/calendar", "there is no calendar \"" + project.calendar() + "\"");
        }
        found.addAll(TextRules.date("/project/start", project.start()));
        project.dataDate().ifPresent(d -> found.addAll(TextRules.date("/project/dataDate", d)));
        project.targets().finish().ifPresent(f -> found.addAll(TextRules.date("/project/targets/finish", f)));
        int confidence = project.targets().confidence();
        if (confidence < 1 || confidence > 99) {
            found.add(
                    "/project/targets/confidence",
                    "the level of confidence is a whole number of percent from 1 to 99, not " + confidence);
        }
    }
}
