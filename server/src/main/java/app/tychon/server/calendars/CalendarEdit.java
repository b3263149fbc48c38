package app.tychon.server.calendars;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.CalendarJson;
import app.tychon.exchange.JsonCursor;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/**
 * A calendar put in place of the one that has its id, or added.
 *
 * @param definition in the words of the project file
 */
record CalendarEdit(JsonNode definition) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        CalendarDefinition calendar = CalendarJson.read(JsonCursor.at(definition, problems));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        List<CalendarDefinition> calendars = new ArrayList<>(plan.calendars());
        int at = calendars.stream().map(CalendarDefinition::id).toList().indexOf(calendar.id());
        if (at < 0) {
            calendars.add(calendar);
        } else {
            calendars.set(at, calendar);
        }
        return new Outcome(
                plan.edit().calendars(calendars).done(), (at < 0 ? "New calendar " : "Calendar ") + calendar.name());
    }

    /** Pointers lead into the calendar itself. */
    @Override
    public Problem told(Plan plan, Problem problem) {
        return new Problem(problem.pointer().replaceFirst("^/calendars/\\d+", ""), problem.message());
    }
}
