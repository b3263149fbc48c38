package app.tychon.server.settings;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.Words;
import app.tychon.exchange.WorkJson;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.WorkingDay;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.NullNode;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What is to change of the project itself; what is absent stays, null takes away what can be absent.
 *
 * @param fields name, currency, start, dataDate, calendar, lagCalendar, targetFinish, targetCost, confidence
 */
record SettingsEdit(JsonNode fields) implements Edit {
    private static final Set<String> KNOWN = Set.of(
            "name",
            "currency",
            "start",
            "dataDate",
            "calendar",
            "lagCalendar",
            "targetFinish",
            "targetCost",
            "confidence");

    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        JsonCursor at = JsonCursor.at(fields, problems).allow(KNOWN);
        Project now = plan.project();
        CalendarDefinition calendar = plan.projectCalendar();
        Project after = new Project(
                now.id(),
                at.optional("name", JsonCursor::text).orElse(now.name()),
                at.optional("currency", WorkJson::currency).orElse(now.currency()),
                at.optional("start", start -> WorkingDay.start(start, calendar)).orElse(now.start()),
                changed(at, "dataDate", SettingsEdit::dataDate, now.dataDate()),
                at.optional("calendar", JsonCursor::text).orElse(now.calendar()),
                at.optional("lagCalendar", Words::lagCalendar).orElse(now.lagCalendar()),
                new Targets(
                        changed(
                                at,
                                "targetFinish",
                                date -> WorkingDay.finish(date, calendar),
                                now.targets().finish()),
                        changed(
                                at,
                                "targetCost",
                                JsonCursor::number,
                                now.targets().cost()),
                        at.optional("confidence", WorkJson::confidence)
                                .orElse(now.targets().confidence())));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return new Outcome(plan.edit().project(after).done(), "Settings of the project");
    }

    /** Of a day, its very beginning is meant, whatever hours a calendar has. */
    private static LocalDateTime dataDate(JsonCursor at) {
        return at.isDate() ? at.date().atStartOfDay() : at.dateTime();
    }

    private <T> Optional<T> changed(JsonCursor at, String field, Function<JsonCursor, T> read, Optional<T> now) {
        JsonNode node = fields.get(field);
        if (node == null) {
            return now;
        }
        return node instanceof NullNode ? Optional.empty() : at.optional(field, read);
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return new Problem(
                problem.pointer()
                        .replaceFirst("^/project/targets/finish", "/targetFinish")
                        .replaceFirst("^/project/targets/cost", "/targetCost")
                        .replaceFirst("^/project/targets", "")
                        .replaceFirst("^/project", ""),
                problem.message());
    }
}
