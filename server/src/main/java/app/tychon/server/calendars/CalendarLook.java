package app.tychon.server.calendars;

import app.tychon.core.calendar.Instants;
import app.tychon.server.plan.LoadedPlan;
import java.time.LocalDateTime;

/** What a calendar would do to the plan. */
record CalendarLook(LocalDateTime finish) {
    static CalendarLook of(LoadedPlan plan) {
        return new CalendarLook(Instants.toCivil(plan.schedule().finish()));
    }
}
