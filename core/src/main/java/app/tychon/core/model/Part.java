package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * A project within a programme's plan, with what a plan of its own would say of it as a whole. What it consists of has ids
 * that begin with its code and a colon.
 *
 * @param draws    what its random numbers are drawn by, so that it draws the same alone; see {@link Project#draws}
 * @param start    no work of it starts before
 * @param dataDate up to when its progress is known
 * @param calendar id of its own project calendar, with the code before it
 */
@RecordBuilder
public record Part(
        String code,
        String name,
        String draws,
        LocalDateTime start,
        Optional<LocalDateTime> dataDate,
        String calendar,
        LagCalendar lagCalendar)
        implements PartBuilder.With {
    /** What a code is: short, since it stands before every id. */
    public static final String CODE = "[A-Za-z0-9-]{1,12}";

    private static final char MARK = ':';

    /** What something of a project is called within a programme. */
    public static String qualified(String code, String id) {
        return code + MARK + id;
    }

    /** The code that an id begins with; empty where there is none. */
    public static String codeOf(String id) {
        return id.substring(0, Math.max(0, id.indexOf(MARK)));
    }

    /** What stands before the own id of everything in it. */
    public String prefix() {
        return qualified(code, "");
    }

    /** The branch above all that it consists of. */
    public String root() {
        return qualified(Plan.PROJECT);
    }

    /** What something in it is called within the programme. */
    public String qualified(String id) {
        return qualified(code, id);
    }
}
