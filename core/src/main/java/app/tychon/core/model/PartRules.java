package app.tychon.core.model;

import java.util.HashSet;
import java.util.Set;

/** What cannot be true of the projects of a programme's plan. */
final class PartRules {
    private PartRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        Set<String> codes = new HashSet<>();
        for (int i = 0; i < plan.parts().size(); i++) {
            Part part = plan.parts().get(i);
            String at = "/parts/" + i;
            if (!part.code().matches(Part.CODE)) {
                found.add(at + "/code", "a code has 1 to 12 letters, digits and hyphens, not \"" + part.code() + "\"");
            }
            if (!codes.add(part.code())) {
                found.add(at + "/code", "there is already a project with the code \"" + part.code() + "\"");
            }
            found.addAll(at, TextRules.name("/name", part.name()));
            found.addAll(TextRules.text(at + "/draws", part.draws(), Bounds.LONGEST_ID));
            found.addAll(TextRules.date(at + "/start", part.start()));
            part.dataDate().ifPresent(date -> found.addAll(TextRules.date(at + "/dataDate", date)));
            if (!names.calendars.contains(part.calendar())) {
                found.add(at + "/calendar", "there is no calendar \"" + part.calendar() + "\"");
            }
            if (!names.branches.contains(part.root())) {
                found.add(at + "/code", "there is no branch \"" + part.root() + "\" for it");
            }
        }
    }
}
