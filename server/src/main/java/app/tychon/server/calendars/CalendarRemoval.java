package app.tychon.server.calendars;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.server.edits.Edit;
import java.util.List;

/** A calendar that nothing uses, taken out. */
record CalendarRemoval(String id) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        long users =
                plan.activities().stream().filter(a -> a.calendar().equals(id)).count();
        if (plan.project().calendar().equals(id)) {
            throw refused("is the calendar of the project; choose another for it first");
        }
        if (users > 0) {
            throw refused("is used by " + users + (users == 1 ? " activity" : " activities")
                    + "; give them another calendar first");
        }
        return new Outcome(
                plan.edit()
                        .calendars(plan.calendars().stream()
                                .filter(c -> !c.id().equals(id))
                                .toList())
                        .done(),
                "Calendar " + id + " removed");
    }

    private InvalidPlanException refused(String why) {
        return new InvalidPlanException(List.of(new Problem("/id", "calendar \"" + id + "\" " + why)));
    }
}
