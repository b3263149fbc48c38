package app.tychon.core.model;

/** What cannot be true of a finding that was accepted. */
final class AcceptanceRules {
    private AcceptanceRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.accepted().size(); i++) {
            Acceptance accepted = plan.accepted().get(i);
            String pointer = "/accepted/" + i;
            found.addAll(TextRules.name(pointer + "/reason", accepted.reason()));
            found.addAll(TextRules.text(pointer + "/finding", accepted.finding(), Bounds.LONGEST_NAME));
            if (!accepted.on().equals(Plan.PROJECT)
                    && !names.branches.contains(accepted.on())
                    && !names.costs.contains(accepted.on())
                    && !names.resources.contains(accepted.on())
                    && !names.risks.containsKey(accepted.on())) {
                names.needActivity(pointer + "/on", accepted.on(), found);
            }
        }
    }
}
