package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What holds for the whole plan.
 *
 * @param currency ISO 4217 code
 * @param start    no work starts before it
 * @param dataDate up to when progress is known; nothing not yet done can happen before it
 * @param calendar id of the project's calendar, in which its duration is counted
 * @param draws    what stands before the ids of rows where random numbers are drawn by them, so that rows of the same id in
 *     two projects of a programme do not draw the same; mostly nothing
 */
@RecordBuilder
public record Project(
        String id,
        String name,
        String currency,
        LocalDateTime start,
        Optional<LocalDateTime> dataDate,
        String calendar,
        LagCalendar lagCalendar,
        Targets targets,
        String draws)
        implements ProjectBuilder.With {

    /** One that draws by the ids of its rows alone. */
    public Project(
            String id,
            String name,
            String currency,
            LocalDateTime start,
            Optional<LocalDateTime> dataDate,
            String calendar,
            LagCalendar lagCalendar,
            Targets targets) {
        this(id, name, currency, start, dataDate, calendar, lagCalendar, targets, "");
    }
}
